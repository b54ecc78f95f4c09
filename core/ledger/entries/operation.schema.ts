import { z } from 'zod'
import { common, id, positive, text } from './fields.schema'

export const operationSchema = z.strictObject({
  ...common,
  type: z.literal('operation'),
  lotId: id,
  what: z.enum([
    'punch-down',
    'pump-over',
    'stir',
    'degas',
    'chill',
    'heat',
    'heat-fruit',
    'oak-in',
    'oak-out',
    'filter',
    'settle',
    'cold-soak',
    'sanitise',
    'thaw',
    'rehydrate',
    'restart',
    'malolactic-over',
    'pasteurise',
    'riddle',
    'disgorge'
  ]),
  note: text.optional(),
  plan: z
    .strictObject({ yeastG: positive, mustC: z.number().min(2).max(40) })
    .optional()
    .describe('of a rehydration or a restart: its times follow from these')
})
