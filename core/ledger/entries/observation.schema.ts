import { z } from 'zod'
import { common, id, text } from './fields.schema'
import { SMELLS } from './smells'

export const observationSchema = z.strictObject({
  ...common,
  type: z.literal('observation'),
  lotId: id,
  what: z.enum(['smell', 'clarity', 'bubbles', 'taste', 'cap', 'note']),
  text: text.min(1),
  smells: z.array(z.enum(SMELLS)).max(SMELLS.length).optional().describe('of a smell: what was tapped'),
  photo: z
    .string()
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]+$/, 'must be a JPEG picture')
    .max(400_000)
    .optional()
    .describe('a small picture, JPEG')
})
