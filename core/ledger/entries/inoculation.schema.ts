import { z } from 'zod'
import { amountOrNone, common, id, materialKey, name } from './fields.schema'

export const inoculationSchema = z.strictObject({
  ...common,
  type: z.literal('inoculation'),
  lotId: id,
  organism: z.enum(['yeast', 'bacteria']),
  culture: name,
  cardKey: materialKey.optional().describe('the card of the culture, where there is one'),
  leesOf: id.optional().describe('the lot whose lees it was'),
  grams: amountOrNone.optional(),
  starterC: z.number().min(0).max(60).optional().describe('how warm the yeast was when it went in, °C'),
  mustC: z.number().min(0).max(60).optional().describe('how warm the must was, °C')
})
