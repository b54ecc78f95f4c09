import { z } from 'zod'
import { common, id, name, text } from './fields.schema'

export const lotAmendedSchema = z.strictObject({
  ...common,
  type: z.literal('lot-amended'),
  lotId: id,
  name: name.optional().describe('its new name'),
  alcoholic: z.enum(['none', 'active', 'dry', 'stopped']).optional().describe('where its ferment stands, when the person knows better'),
  ended: z.boolean().optional().describe('poured away, drunk or given: nothing is held any more'),
  note: text.optional()
})
