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
  grams: amountOrNone.optional()
})
