import { inoculation } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { isWine } from '~~/core/ledger'
import { type EntryForm, lotOf, number, orNone, text, wanting } from '../spec'

export const inoculationForm: EntryForm<'inoculation'> = {
  type: 'inoculation',
  title: 'Yeast or bacteria',
  fields(values, context) {
    const own = context
      .materials(values.organism === 'bacteria' ? 'bacteria' : 'yeast')
      .filter((card) => context.cellar.cards.has(card.value))
    return [
      {
        as: 'choice',
        key: 'organism',
        label: 'What',
        items: [
          { value: 'yeast', label: 'Yeast' },
          { value: 'bacteria', label: 'Malolactic bacteria' }
        ]
      },
      ...(own.length > 0
        ? [{ as: 'choice', key: 'cardKey', label: 'Your card', items: [{ value: '', label: 'none of these' }, ...own] } as const]
        : []),
      ...(values.cardKey ? [] : [{ as: 'words', key: 'culture', label: 'Culture', wide: true, placeholder: 'as you call it' } as const]),
      {
        as: 'quantity',
        key: 'grams',
        label: 'Weight',
        measure: 'plain',
        unit: '',
        unitLabel: 'g',
        limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000 g.' }
      }
    ]
  },
  blank: ({ lot }) => ({ organism: lot && isWine(lot) ? 'bacteria' : 'yeast', culture: '', cardKey: '' }),
  from: (e) => ({ organism: e.organism, culture: e.culture, cardKey: e.cardKey ?? '', grams: e.grams }),
  draft(values, context, before) {
    const cardKey = orNone(text(values, 'cardKey'))
    const culture = (cardKey && context.card(cardKey)?.name) ?? text(values, 'culture')
    if (!culture) return wanting('culture', 'Enter the culture.')
    return inoculation({
      lotId: before?.lotId ?? lotOf(context),
      organism: values.organism as EntryOf<'inoculation'>['organism'],
      culture,
      cardKey,
      grams: number(values, 'grams')
    })
  }
}
