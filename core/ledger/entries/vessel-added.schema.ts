import { z } from 'zod'
import { common, id, name } from './fields.schema'

export const vesselAddedSchema = z.strictObject({
  ...common,
  type: z.literal('vessel-added'),
  vesselId: id,
  name,
  kind: z.enum(['bin', 'pail', 'demijohn', 'tank', 'barrel', 'keg']),
  capacityL: z.number().min(0.1).max(100_000).describe('brim-full, L'),
  material: z.enum(['glass', 'plastic', 'steel', 'oak']).optional(),
  fillsBefore: z.number().int().min(0).max(50).optional().describe('of a barrel: wines that stood in it before it came here')
})
