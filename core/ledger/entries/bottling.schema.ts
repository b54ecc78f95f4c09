import { z } from 'zod'
import { CLOSURES } from './closures'
import { common, id, materialKey, positive } from './fields.schema'

export const bottlingSchema = z.strictObject({
  ...common,
  type: z.literal('bottling'),
  lotId: id,
  bottles: z
    .array(
      z.strictObject({
        sizeMl: positive,
        count: z.int().min(1).max(100_000),
        material: materialKey.optional().describe('the card of the bottle; it is taken from the store')
      })
    )
    .min(1)
    .max(12),
  closure: z.enum(CLOSURES).optional(),
  closureMaterial: materialKey.optional().describe('a card of one’s own that it is closed with'),
  keeps: z.boolean().optional().describe('what is left is kept, however little: it is no lees'),
  place: z.string().trim().min(1).max(80).optional().describe('where they lie')
})
