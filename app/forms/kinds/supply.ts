import { fact } from '~~/core/drafts'
import { MATERIAL_KINDS } from '~~/core/materials'
import { newId } from '~/data/ids'
import { MONEY } from './cost'
import { type EntryForm, number, orNone, text, wanting } from '../spec'

/** Water comes from the tap, and a stock solution is made on the day. */
const KEPT = MATERIAL_KINDS.filter((kind) => kind !== 'water')

export const supplyStockedForm: EntryForm<'supply-stocked'> = {
  type: 'supply-stocked',
  title: 'Add to store',
  fields(values, context) {
    const unit = context.card(text(values, 'material'))?.unit ?? 'g'
    return [
      {
        as: 'choice',
        key: 'material',
        label: 'What',
        items: context.materials(...KEPT).filter((m) => m.value !== 'sulphite-stock'),
        wide: true
      },
      {
        as: 'quantity',
        key: 'amount',
        label: 'How much',
        measure: 'plain',
        unit: '',
        required: true,
        unitLabel: unit === 'L' ? 'mL' : unit,
        limits: { min: 0.01, max: 1_000_000, words: 'Enter an amount above zero.' }
      },
      { as: 'day', key: 'opened', label: 'Opened on', hint: 'if opened' },
      { as: 'day', key: 'expires', label: 'Good until', hint: 'if given' },
      { as: 'quantity', key: 'price', label: 'Paid for it', hint: 'to work out the cost of a bottle', ...MONEY }
    ]
  },
  blank: () => ({ material: 'tartaric', opened: '', expires: '' }),
  from: (e) => ({
    material: e.material,
    amount: e.amount,
    opened: e.opened ?? '',
    expires: e.expires ?? '',
    ...(e.price !== undefined && { price: e.price })
  }),
  draft(values, context, before) {
    const amount = number(values, 'amount')
    if (amount === undefined) return wanting('amount', 'Enter how much came in.')
    const material = text(values, 'material')
    const unit = context.card(material)?.unit
    return fact('supply-stocked', {
      supplyId: before?.supplyId ?? newId(),
      material,
      unit: unit === 'mL' || unit === 'pieces' ? unit : 'g',
      amount,
      opened: orNone(text(values, 'opened')),
      expires: orNone(text(values, 'expires')),
      price: number(values, 'price'),
      note: before?.note
    })
  }
}

export const supplyCountedForm: EntryForm<'supply-counted'> = {
  type: 'supply-counted',
  title: 'Count',
  fields: () => [
    {
      as: 'quantity',
      key: 'left',
      label: 'Amount left',
      measure: 'plain',
      unit: '',
      required: true,
      limits: { min: 0, max: 1_000_000, words: 'Between 0 and 1,000,000.' }
    }
  ],
  blank: () => ({ supplyId: '' }),
  from: (e) => ({ left: e.left, supplyId: e.supplyId }),
  draft(values, _context, before) {
    const left = number(values, 'left')
    return left === undefined
      ? wanting('left', 'Enter how much is left.')
      : fact('supply-counted', { supplyId: before?.supplyId ?? text(values, 'supplyId'), left })
  }
}
