import { z } from 'zod'
import { common, id, name, streamSchema, styleSchema } from './fields.schema'
import { planShape } from './plan-shape.schema'

/** A plan under a name, for the next lot of its kind. What it does not say is as usual. */
export const planKeptSchema = z.strictObject({
  ...common,
  type: z.literal('plan-kept'),
  planId: id,
  name,
  stream: streamSchema,
  style: styleSchema,
  plan: z.strictObject(planShape),
  fromLotId: id.optional().describe('the lot that it was taken from')
})
