import { z } from 'zod'
import { CARES } from './cares'
import { common, id, text } from './fields.schema'

export const vesselCaredSchema = z.strictObject({
  ...common,
  type: z.literal('vessel-cared'),
  vesselId: id,
  what: z.enum(CARES),
  note: text.optional()
})
