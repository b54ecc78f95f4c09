import { z } from 'zod'
import { CLOSURES } from './closures'
import { common, id, positive } from './fields.schema'

export const bottlingSchema = z.strictObject({
  ...common,
  type: z.literal('bottling'),
  lotId: id,
  bottles: z
    .array(z.strictObject({ sizeMl: positive, count: z.int().min(1).max(100_000) }))
    .min(1)
    .max(12),
  closure: z.enum(CLOSURES).optional(),
  place: z.string().trim().min(1).max(80).optional().describe('where they lie')
})
