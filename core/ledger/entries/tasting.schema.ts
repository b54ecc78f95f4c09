import { z } from 'zod'
import { FAULTS } from './faults'
import { common, id, text } from './fields.schema'

export const tastingSchema = z.strictObject({
  ...common,
  type: z.literal('tasting'),
  lotId: id,
  sight: text.optional(),
  nose: text.optional(),
  palate: text.optional(),
  verdict: text.optional(),
  faults: z.array(z.enum(FAULTS)).max(FAULTS.length).optional(),
  rating: z.int().min(1).max(10).describe('1 poured away to 10 the best there is')
})
