import { fact } from '~~/core/drafts'
import { type EntryForm, lotOf, number, wanting } from '../spec'

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
    { as: 'choice', key: 'sizeMl', label: 'Of', items: SIZES.map((value) => ({ value, label: `${value} mL` })) }
  ],
  blank: () => ({ sizeMl: 750 }),
  from: (e) => ({ count: e.bottles[0]!.count, sizeMl: e.bottles[0]!.sizeMl }),
  draft(values, context, before) {
    const count = number(values, 'count')
    if (count === undefined || !Number.isInteger(count)) return wanting('count', 'Say how many bottles, as a whole number.')
    const [, ...others] = before?.bottles ?? []
    return fact('bottling', { lotId: before?.lotId ?? lotOf(context), bottles: [{ sizeMl: Number(values.sizeMl), count }, ...others] })
  }
}
