import { z } from 'zod'
import { QUANTITIES, QUANTITY_NAMES } from '../../quantities'
import { amountOrNone, common, id, positive } from './fields.schema'

export const readingQuantitySchema = z.enum(QUANTITY_NAMES)

export const readingSchema = z
  .strictObject({
    ...common,
    type: z.literal('reading'),
    lotId: id,
    quantity: readingQuantitySchema,
    typed: z.string().max(40).describe('exactly as it was typed'),
    value: z.number().min(-50).max(1e6).describe('sg; °Brix; pH; ta, malic, sugar g/L; °C; SO₂ and YAN mg/L; L; % vol'),
    instrumentId: id.optional(),
    by: z
      .enum(['hydrometer', 'refractometer', 'iodine', 'aeration', 'strip'])
      .optional()
      .describe('of a gravity without a named instrument, or of free SO₂: what it was read with'),
    sampleC: z.number().min(-10).max(90).optional().describe('temperature of the sample, °C'),
    calibrationC: z.number().min(15).max(25).optional().describe('calibration temperature of the hydrometer, °C'),
    degassed: z.boolean().optional(),
    titration: z
      .strictObject({
        sampleMl: positive,
        titrantMl: amountOrNone,
        normality: positive,
        stepMl: amountOrNone.optional()
      })
      .optional()
  })
  .superRefine(({ quantity, value }, context) => {
    const { min, max, unit } = QUANTITIES[quantity]
    if (value < min || value > max) {
      context.addIssue({ code: 'custom', path: ['value'], message: `must lie between ${min} and ${max} ${unit}`.trim() })
    }
  })
