import { z } from 'zod'
import { common, id, text } from './fields.schema'

export const vesselAmendedSchema = z.strictObject({
  ...common,
  type: z.literal('vessel-amended'),
  vesselId: id,
  retired: z.boolean().describe('true: out of use; false: in use again'),
  note: text.optional()
})
