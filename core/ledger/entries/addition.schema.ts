import { z } from 'zod'
import { amountOrNone, common, id, materialKey } from './fields.schema'

export const additionSchema = z.strictObject({
  ...common,
  type: z.literal('addition'),
  lotId: id,
  material: materialKey.describe('key of a card, built in or of one’s own'),
  unit: z.enum(['g', 'mL', 'L']),
  planned: amountOrNone.optional(),
  actual: amountOrNone,
  so2Share: z.number().min(0).max(1).optional().describe('g SO₂ per g (or per mL of stock) added'),
  purpose: z.string().max(120).optional(),
  stage: z.strictObject({ number: z.int().min(1).max(9), of: z.int().min(1).max(9) }).optional()
})
