import { z } from 'zod'
import { common, id } from './fields.schema'

export const lotPlannedSchema = z.strictObject({
  ...common,
  type: z.literal('lot-planned'),
  lotId: id,
  malolactic: z.enum(['with-yeast', 'on-skins', 'after-pressing', 'none', 'blocked']).optional(),
  cold: z.boolean().optional().describe('a cold winter or weeks in the cold'),
  finish: z.enum(['dry', 'sweet']).optional(),
  sparkling: z.boolean().optional(),
  oak: z.boolean().optional(),
  sulphite: z.enum(['by-ph', 'tablets', 'double', 'minimal', 'none']).optional(),
  yeast: z.enum(['rehydrate', 'sprinkle', 'starter', 'wild']).optional(),
  nutrient: z.enum(['by-nitrogen', 'at-pitch', 'none']).optional(),
  heated: z.boolean().optional().describe('fruit heated for its colour'),
  press: z.enum(['at-dryness', 'early', 'extended']).optional()
})
