import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { COST } from '~/wording/terms'
import { type EntryForm, choices, lotOf, number, orNone, text, wanting } from '../spec'

export const MONEY = { measure: 'plain', unit: '', limits: { min: 0, max: 1_000_000, words: 'Between 0 and 1,000,000.' } } as const

export const costForm: EntryForm<'cost'> = {
  type: 'cost',
  title: 'Cost',
  fields: () => [
    { as: 'choice', key: 'what', label: 'What for', items: choices(COST) },
    {
      as: 'quantity',
      key: 'amount',
      label: 'Paid',
      required: true,
      hint: 'in your currency; packages in your store have their own price',
      ...MONEY
    },
    { as: 'words', key: 'note', label: 'Note (optional)', max: 2000, wide: true }
  ],
  blank: () => ({ what: 'fruit', note: '' }),
  from: (e) => ({ what: e.what, amount: e.amount, note: e.note ?? '' }),
  draft(values, context, before) {
    const amount = number(values, 'amount')
    if (amount === undefined) return wanting('amount', 'Enter what you paid.')
    return fact('cost', {
      lotId: before?.lotId ?? lotOf(context),
      what: values.what as EntryOf<'cost'>['what'],
      amount,
      note: orNone(text(values, 'note'))
    })
  }
}
