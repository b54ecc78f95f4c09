import { z } from 'zod'
import { amountOrNone, common, id, positive } from './fields.schema'

const end = z.strictObject({ lotId: id, vesselId: id.optional() })

export const transferSchema = z
  .strictObject({
    ...common,
    type: z.literal('transfer'),
    purpose: z.enum(['fill', 'rack', 'press', 'split', 'top-up', 'blend']),
    from: end,
    to: end,
    outL: positive.describe('litres out'),
    inL: amountOrNone.describe('litres that arrived; the rest went to lees'),
    air: z.enum(['quiet', 'splashed']).optional().describe('whether it took up air on the way')
  })
  .superRefine(({ outL, inL }, context) => {
    if (inL > outL + 1e-9) context.addIssue({ code: 'custom', path: ['inL'], message: 'must not be more than what left' })
  })
