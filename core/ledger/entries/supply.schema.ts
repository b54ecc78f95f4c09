import { z } from 'zod'
import { amountOrNone, common, day, id, materialKey, positive, text } from './fields.schema'

export const supplyStockedSchema = z.strictObject({
  ...common,
  type: z.literal('supply-stocked'),
  supplyId: id,
  material: materialKey,
  unit: z.enum(['g', 'mL', 'pieces']),
  amount: positive,
  opened: day.optional(),
  expires: day.optional(),
  price: z.number().min(0).max(1_000_000).optional().describe('paid for all of it, in the household’s money'),
  note: text.optional()
})

export const supplyCountedSchema = z.strictObject({ ...common, type: z.literal('supply-counted'), supplyId: id, left: amountOrNone })
