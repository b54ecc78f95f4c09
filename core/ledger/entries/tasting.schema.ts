import { z } from 'zod'
import { common, id, text } from './fields.schema'

export const tastingSchema = z.strictObject({
  ...common,
  type: z.literal('tasting'),
  lotId: id,
  sight: text.optional(),
  nose: text.optional(),
  palate: text.optional(),
  verdict: text.optional(),
  rating: z.int().min(1).max(10).describe('1 poured away to 10 the best there is')
})
