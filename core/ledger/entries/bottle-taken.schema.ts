import { z } from 'zod'
import { common, id, positive, text } from './fields.schema'

export const bottleTakenSchema = z.strictObject({
  ...common,
  type: z.literal('bottle-taken'),
  lotId: id,
  sizeMl: positive,
  count: z.int().min(1).max(100_000),
  what: z.enum(['drunk', 'given', 'lost']),
  note: text.optional()
})
