import { z } from 'zod'
import { common, id, text } from './fields.schema'

export const costSchema = z.strictObject({
  ...common,
  type: z.literal('cost'),
  lotId: id,
  what: z.enum(['fruit', 'bottles', 'hire', 'other']),
  amount: z.number().min(0).max(1_000_000).describe('in the household’s money'),
  note: text.optional()
})
