import { z } from 'zod'
import { common, id, text } from './fields.schema'

export const vesselCaredSchema = z.strictObject({
  ...common,
  type: z.literal('vessel-cared'),
  vesselId: id,
  what: z.enum(['cleaned', 'sanitised']),
  note: text.optional()
})
