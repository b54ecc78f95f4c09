import { z } from 'zod'
import { common, id, litres, name, packetSchema, positive, streamSchema, styleSchema, sulphitedSchema } from './fields.schema'

const kit = z.strictObject({
  targetSg: z.number().min(1.03).max(1.15).describe('the gravity to water to'),
  lineL: positive.optional().describe('the mark on the pail or in the leaflet: only a hint'),
  packets: z.array(packetSchema).max(20)
})

export const lotStartedSchema = z.strictObject({
  ...common,
  type: z.literal('lot-started'),
  lotId: id,
  name,
  stream: streamSchema,
  style: styleSchema,
  varieties: z.array(z.strictObject({ name, share: z.number().gt(0).max(1) })).max(12),
  vintage: z.int().min(1900).max(2200).optional(),
  origin: z.string().max(120).optional(),
  massKg: positive.optional().describe('fruit, kg'),
  volumeL: litres.describe('must or juice, L; 0 for a blend that is still to be filled'),
  volumeIs: z.enum(['measured', 'expected']),
  onSkins: z.boolean().optional().describe('of frozen must: whether the skins are in it; of a red when left out'),
  vesselId: id.optional(),
  kit: kit.optional(),
  sulphited: sulphitedSchema.optional().describe('whether it came with sulphite in it'),
  sulphitedMgPerL: z.number().min(0).max(300).optional().describe('total SO₂ that it came with, mg/L, where it is said'),
  arrivalId: id.optional().describe('the expected arrival that this lot is')
})
