import { z } from 'zod'
import { common, id, instant, text } from './fields.schema'

export const taskEndedSchema = z.strictObject({
  ...common,
  type: z.literal('task-ended'),
  lotId: id,
  task: z.string().min(1).max(80),
  outcome: z
    .enum(['done', 'skipped', 'moved', 'seen'])
    .describe('skipped: not today, or left out; moved: to another time; seen: it may stay as it is'),
  until: instant.optional().describe('of what was moved: when it is asked for again'),
  note: text.optional()
})
