import { z } from 'zod'
import { common, id, name, positive } from './fields.schema'

export const instrumentAddedSchema = z.strictObject({
  ...common,
  type: z.literal('instrument-added'),
  instrumentId: id,
  name,
  kind: z.enum(['hydrometer', 'refractometer', 'ph-meter', 'thermometer', 'scale', 'titration-kit', 'float']),
  calibrationC: z.number().min(15).max(25).optional(),
  step: positive.optional(),
  follows: z
    .strictObject({ lotId: id.optional(), vesselId: id.optional(), seed: z.int().min(0).max(2_147_483_647) })
    .optional()
    .describe('of a floating hydrometer the lot it floats in, of a thermometer the vessel it hangs beside; and which simulated one it is')
})
