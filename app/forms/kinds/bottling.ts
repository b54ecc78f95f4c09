import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { CLOSURE, TAKEN } from '~/wording/terms'
import { type EntryForm, choices, lotOf, number, orNone, text, wanting } from '../spec'

const SIZES = [187, 375, 500, 750, 1000, 1500] as const

export const bottlingForm: EntryForm<'bottling'> = {
  type: 'bottling',
  title: 'Bottle',
  fields: () => [
    {
      as: 'quantity',
      key: 'count',
      label: 'Bottles',
      measure: 'plain',
      unit: '',
      required: true,
      limits: { min: 1, max: 100_000, words: 'At least one bottle.' }
    },
    { as: 'choice', key: 'sizeMl', label: 'Of', items: SIZES.map((value) => ({ value, label: `${value} mL` })) },
    { as: 'choice', key: 'closure', label: 'Closed with', items: [{ value: '', label: 'not said' }, ...choices(CLOSURE)] },
    { as: 'words', key: 'place', label: 'Where they lie' }
  ],
  blank: () => ({ sizeMl: 750, closure: '', place: '' }),
  from: (e) => ({ count: e.bottles[0]!.count, sizeMl: e.bottles[0]!.sizeMl, closure: e.closure ?? '', place: e.place ?? '' }),
  draft(values, context, before) {
    const count = number(values, 'count')
    if (count === undefined || !Number.isInteger(count)) return wanting('count', 'Say how many bottles, as a whole number.')
    const [, ...others] = before?.bottles ?? []
    return fact('bottling', {
      lotId: before?.lotId ?? lotOf(context),
      bottles: [{ sizeMl: Number(values.sizeMl), count }, ...others],
      closure: orNone(text(values, 'closure')) as EntryOf<'bottling'>['closure'],
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

const RATINGS = Array.from({ length: 10 }, (_, i) => ({ value: 10 - i, label: `${10 - i}` }))

export const tastingForm: EntryForm<'tasting'> = {
  type: 'tasting',
  title: 'Tasting',
  fields: () => [
    { as: 'words', key: 'sight', label: 'In the glass', placeholder: 'colour, clearness', max: 400, wide: true },
    { as: 'words', key: 'nose', label: 'Nose', placeholder: 'fruit, flowers, faults', max: 400, wide: true },
    { as: 'words', key: 'palate', label: 'Palate', placeholder: 'acid, tannin, body, length', max: 400, wide: true },
    { as: 'words', key: 'verdict', label: 'Verdict', placeholder: 'drink, keep, blend', max: 400, wide: true },
    { as: 'choice', key: 'rating', label: 'Of ten', items: RATINGS }
  ],
  blank: () => ({ sight: '', nose: '', palate: '', verdict: '', rating: 6 }),
  from: (e) => ({ sight: e.sight ?? '', nose: e.nose ?? '', palate: e.palate ?? '', verdict: e.verdict ?? '', rating: e.rating }),
  draft: (values, context, before) =>
    fact('tasting', {
      lotId: before?.lotId ?? lotOf(context),
      sight: orNone(text(values, 'sight')),
      nose: orNone(text(values, 'nose')),
      palate: orNone(text(values, 'palate')),
      verdict: orNone(text(values, 'verdict')),
      rating: Number(values.rating)
    })
}
