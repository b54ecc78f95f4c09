import { z } from 'zod'
import { EQUIPMENT, READ_BY_EYE, type ReadByEye, WORST_ERROR } from './equipment'
import { common, positive } from './fields.schema'

export const equipmentSaidSchema = z.strictObject({
  ...common,
  type: z.literal('equipment-said'),
  has: z.partialRecord(z.enum(EQUIPMENT), z.boolean()).describe('what the household measures with, or does not'),
  reads: z
    .strictObject(Object.fromEntries(READ_BY_EYE.map((key) => [key, positive.max(WORST_ERROR[key]).optional()])) as Record<ReadByEye,
      z.ZodOptional<z.ZodNumber>>)
    .optional()
    .describe('how far off its own readings usually are, half-width in the unit of each (SG, pH, g/L, mg/L)')
})
