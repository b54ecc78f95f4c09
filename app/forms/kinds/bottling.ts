import { closedWith, closureHolds, tooWeak } from '~~/core/benches'
import { fact } from '~~/core/drafts'
import { type EntryOf, FAULTS, type Fault } from '~~/core/ledger'
import { type MaterialCard, cardsOf } from '~~/core/materials'
import { FAULT } from '~/wording/faults'
import { bottleLabel } from '~/wording/materials'
import { CLOSURE, TAKEN } from '~/wording/terms'
import { type EntryForm, choices, lotOf, many, number, orNone, text, wanting } from '../spec'

/** What it is closed with: the usual ones, and cards of one's own behind them. */
export function closureItems(cards: ReadonlyMap<string, MaterialCard>, sparkling: boolean, chosen = '') {
  const holds = (closes: string | undefined) => closureHolds(closes, sparkling)
  const own = [...cards.values()].filter((card) => holds(card.closes)).map((card) => ({ value: card.key, label: card.name ?? card.key }))
  const items = [{ value: '', label: 'not said' }, ...choices(CLOSURE).filter((c) => holds(c.value)), ...own]
  // A card that was struck since, or stayed in another cellar.
  return items.some((item) => item.value === chosen) ? items : [...items, { value: chosen, label: 'a card that is gone' }]
}
export const bottlingForm: EntryForm<'bottling'> = {
  type: 'bottling',
  title: 'Bottle',
  fields: (values, { cellar, lot }) => [
    {
      as: 'quantity',
      key: 'count',
      label: 'Bottles',
      measure: 'plain',
      unit: '',
      required: true,
      limits: { min: 1, max: 100_000, words: 'At least one bottle.' }
    },
    {
      as: 'choice',
      key: 'bottle',
      label: 'Of',
      items: cardsOf(['bottle'], cellar.cards)
        .filter((card) => !tooWeak(card, lot))
        .map((card) => ({ value: card.key, label: bottleLabel(card) }))
    },
    {
      as: 'choice',
      key: 'closure',
      label: 'Closed with',
      items: closureItems(cellar.cards, lot?.plan.sparkling === true, text(values, 'closure'))
    },
    { as: 'words', key: 'place', label: 'Where they are stored' }
  ],
  blank: ({ lot }) => ({ bottle: lot?.plan.sparkling ? 'sparkling-bottle-750' : 'bottle-750', closure: '', place: '' }),
  from: (e) => ({
    count: e.bottles[0]!.count,
    bottle: e.bottles[0]!.material ?? `bottle-${e.bottles[0]!.sizeMl}`,
    closure: e.closureMaterial ?? e.closure ?? '',
    place: e.place ?? ''
  }),
  draft(values, context, before) {
    const count = number(values, 'count')
    if (count === undefined || !Number.isInteger(count)) return wanting('count', 'Say how many bottles, as a whole number.')
    const [first, ...others] = before?.bottles ?? []
    const card = context.card(text(values, 'bottle'))
    if (!before && tooWeak(card, context.lot)) return wanting('bottle', 'Not in this bottle: it is made for still wine, and bursts.')
    // What was bottled before bottles had cards stays as it was, unless another is chosen.
    const asBefore = first && !first.material && (!card?.bottle || card.key === `bottle-${first.sizeMl}`)
    const bottle = asBefore || !card?.bottle ? { sizeMl: first?.sizeMl ?? 750 } : { sizeMl: card.bottle.ml, material: card.key }
    return fact('bottling', {
      lotId: before?.lotId ?? lotOf(context),
      bottles: [{ ...bottle, count }, ...others],
      keeps: before?.keeps,
      ...(before?.closureMaterial === text(values, 'closure')
        ? { closure: before.closure, closureMaterial: before.closureMaterial }
        : closedWith(text(values, 'closure'), context.cellar.cards)),
      place: orNone(text(values, 'place').slice(0, 80))
    })
  }
}

/** Sizes of which there are bottles in store. */
const sizesOf = (bottled: readonly { sizeMl: number, left: number }[] = []) => [
  ...new Set(bottled.filter((b) => b.left > 0).map((b) => b.sizeMl))
]

export const bottleTakenForm: EntryForm<'bottle-taken'> = {
  type: 'bottle-taken',
  title: 'From the store',
  fields: ({ sizeMl }, { lot }) => [
    { as: 'choice', key: 'what', label: 'They were', items: choices(TAKEN) },
    {
      as: 'quantity',
      key: 'count',
      label: 'How many',
      measure: 'plain',
      unit: '',
      required: true,
      limits: { min: 1, max: 100_000, words: 'At least one bottle.' }
    },
    {
      as: 'choice',
      key: 'sizeMl',
      label: 'Of',
      items: [...new Set([...sizesOf(lot?.bottled), Number(sizeMl ?? 750)])].map((value) => ({ value, label: `${value} mL` }))
    },
    { as: 'words', key: 'note', label: 'To whom, or why', max: 2000, wide: true }
  ],
  blank: ({ lot }) => ({ what: 'drunk', count: 1, sizeMl: sizesOf(lot?.bottled)[0] ?? 750, note: '' }),
  from: (e) => ({ what: e.what, count: e.count, sizeMl: e.sizeMl, note: e.note ?? '' }),
  draft(values, context, before) {
    const count = number(values, 'count')
    if (count === undefined || !Number.isInteger(count)) return wanting('count', 'Say how many bottles, as a whole number.')
    return fact('bottle-taken', {
      lotId: before?.lotId ?? lotOf(context),
      sizeMl: Number(values.sizeMl),
      count,
      what: values.what as EntryOf<'bottle-taken'>['what'],
      note: orNone(text(values, 'note'))
    })
  }
}

const FAULT_ITEMS = FAULTS.map((value) => ({ value, label: FAULT[value] }))
const RATINGS = Array.from({ length: 10 }, (_, i) => ({ value: 10 - i, label: `${10 - i}` }))

export const tastingForm: EntryForm<'tasting'> = {
  type: 'tasting',
  title: 'Tasting',
  fields: () => [
    { as: 'words', key: 'sight', label: 'In the glass', placeholder: 'colour, clearness', max: 400, wide: true },
    { as: 'words', key: 'nose', label: 'Nose', placeholder: 'fruit, flowers, faults', max: 400, wide: true },
    { as: 'words', key: 'palate', label: 'Palate', placeholder: 'acid, tannin, body, length', max: 400, wide: true },
    { as: 'words', key: 'verdict', label: 'Verdict', placeholder: 'drink, keep, blend', max: 400, wide: true },
    { as: 'choice', key: 'rating', label: 'Of ten', items: RATINGS },
    { as: 'many', key: 'faults', label: 'Faults, if any', items: FAULT_ITEMS, wide: true }
  ],
  blank: () => ({ sight: '', nose: '', palate: '', verdict: '', rating: 6, faults: '' }),
  from: (e) => ({
    sight: e.sight ?? '',
    nose: e.nose ?? '',
    palate: e.palate ?? '',
    verdict: e.verdict ?? '',
    rating: e.rating,
    faults: (e.faults ?? []).join(',')
  }),
  draft: (values, context, before) =>
    fact('tasting', {
      lotId: before?.lotId ?? lotOf(context),
      sight: orNone(text(values, 'sight')),
      nose: orNone(text(values, 'nose')),
      palate: orNone(text(values, 'palate')),
      verdict: orNone(text(values, 'verdict')),
      faults: many(values, 'faults').length > 0 ? (many(values, 'faults') as Fault[]) : undefined,
      rating: Number(values.rating)
    })
}
