import { z } from 'zod'

/** What a wine is to become, and by which methods (craft 5): of a lot, and of a plan that is kept under a name. */
export const planShape = {
  malolactic: z.enum(['with-yeast', 'on-skins', 'after-pressing', 'none', 'blocked']).optional(),
  cold: z.boolean().optional().describe('a cold winter or weeks in the cold'),
  finish: z.enum(['dry', 'sweet']).optional(),
  hold: z.enum(['sorbate', 'heat', 'none']).optional().describe('how sweetness is kept from fermenting again'),
  clarity: z.enum(['fine', 'wait', 'accept']).optional().describe('haze that racking does not take'),
  proof: z.enum(['test', 'wait']).optional().describe('how the end of malolactic is told'),
  sparkling: z.boolean().optional(),
  oak: z.boolean().optional(),
  oakReady: z.enum(['straight', 'boiled', 'baked', 'steeped']).optional().describe('how loose oak is made ready'),
  sulphite: z.enum(['by-ph', 'tablets', 'double', 'minimal', 'none']).optional(),
  yeast: z.enum(['rehydrate', 'sprinkle', 'starter', 'wild', 'lees']).optional(),
  nutrient: z.enum(['by-nitrogen', 'at-pitch', 'none']).optional(),
  lees: z.enum(['rack', 'fine']).optional().describe('off all lees, or kept on the fine ones and stirred'),
  heated: z.boolean().optional().describe('fruit heated for its colour'),
  press: z.enum(['at-dryness', 'early', 'extended']).optional()
}
