import { z } from 'zod'
import { common, id, name, positive } from './fields.schema'

export const instrumentAddedSchema = z.strictObject({
  ...common,
  type: z.literal('instrument-added'),
  instrumentId: id,
  name,
  kind: z.enum(['hydrometer', 'refractometer', 'ph-meter', 'thermometer', 'scale', 'titration-kit']),
  calibrationC: z.number().min(15).max(25).optional(),
  step: positive.optional()
})
