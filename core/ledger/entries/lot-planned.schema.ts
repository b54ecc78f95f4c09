import { z } from 'zod'
import { WAY_STEPS } from '../way-steps'
import { common, day, id, materialKey, positive } from './fields.schema'
import { planShape } from './plan-shape.schema'

export const lotPlannedSchema = z.strictObject({
  ...common,
  type: z.literal('lot-planned'),
  lotId: id,
  ...planShape,
  sugarSteps: z
    .strictObject({ material: materialKey, totalG: positive, parts: z.int().min(1).max(20) })
    .optional()
    .describe('sugar, honey or concentrate fed to the ferment in parts'),
  step: z
    .strictObject({ code: z.enum(WAY_STEPS), day: day.nullable() })
    .optional()
    .describe('a step of its way that the person puts on a day; null: back to when it comes by itself')
})
