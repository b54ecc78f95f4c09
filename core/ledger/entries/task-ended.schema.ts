import { z } from 'zod'
import { OUTCOMES } from './outcomes'
import { common, id, instant, text } from './fields.schema'

export const taskEndedSchema = z.strictObject({
  ...common,
  type: z.literal('task-ended'),
  lotId: id,
  task: z.string().min(1).max(80),
  outcome: z
    .enum(OUTCOMES)
    .describe(
      'otherwise: done in another way; was-so: it was so already; skipped: not today, or left out; moved: to another time; could-not: '
        + 'tried, '
        + 'or nothing at hand; not-wanted: never again for this lot; seen: it may stay as it is'
    ),
  answer: z.string().min(1).max(40).optional().describe('which of the ways out that were offered'),
  until: instant.optional().describe('of what was moved: when it is asked for again'),
  note: text.optional()
})
