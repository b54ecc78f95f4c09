import { z } from 'zod'
import { common, id } from './fields.schema'

export const instrumentCheckedSchema = z.strictObject({
  ...common,
  type: z.literal('instrument-checked'),
  instrumentId: id,
  offset: z.number().min(-1000).max(1000).describe('what it shows too much, in its own unit; with a slope: shown = slope × true + offset'),
  slope: z.number().min(0.5).max(1.5).optional().describe('what it shows for each unit of the true value; 1 when left out'),
  standards: z
    .array(z.strictObject({ known: z.number().min(-1000).max(1e6), shown: z.number().min(-1000).max(1e6) }))
    .max(3)
    .optional()
    .describe('what it was checked against'),
  adjusted: z.boolean().describe('true when it was set right afterwards')
})
