import { z } from 'zod'
import { common, id, name, packetSchema, sulphitedSchema, text } from './fields.schema'

export const lotAmendedSchema = z.strictObject({
  ...common,
  type: z.literal('lot-amended'),
  lotId: id,
  name: name.optional().describe('its new name'),
  alcoholic: z.enum(['none', 'active', 'dry', 'stopped']).optional().describe('where its ferment stands, when the person knows better'),
  ended: z.boolean().optional().describe('poured away, drunk or given: nothing is held any more'),
  sulphited: sulphitedSchema.optional().describe('whether it came with sulphite in it'),
  sulphitedMgPerL: z.number().min(0).max(300).optional().describe('total SO₂ that it came with, mg/L, where it is said'),
  packets: z.array(packetSchema).max(20).optional().describe('of a kit: its packets with what they hold, in place of those before'),
  note: text.optional()
})
