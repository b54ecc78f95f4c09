import { z } from 'zod'
import { common, id, name, positive, styleSchema, text } from './fields.schema'

export const blockAddedSchema = z.strictObject({
  ...common,
  type: z.literal('block-added'),
  blockId: id,
  name,
  style: styleSchema,
  variety: name.optional(),
  expectKg: positive.optional().describe('fruit to expect, kg')
})

export const blockSampledSchema = z.strictObject({
  ...common,
  type: z.literal('block-sampled'),
  blockId: id,
  berries: z.int().min(1).max(5000).optional(),
  brix: z.number().min(0).max(45).optional(),
  ph: z.number().min(2).max(5).optional(),
  ta: z.number().min(0).max(40).optional().describe('g/L as tartaric'),
  taste: text.optional()
})

export const blockNotedSchema = z.strictObject({
  ...common,
  type: z.literal('block-noted'),
  blockId: id,
  about: z.enum(['weather', 'pests', 'hands', 'other']),
  leans: z.enum(['wait', 'pick', 'neither']).describe('what it argues for'),
  text: text.min(1)
})
