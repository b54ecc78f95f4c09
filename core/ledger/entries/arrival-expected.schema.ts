import { z } from 'zod'
import { common, day, id, name, positive, streamSchema, styleSchema } from './fields.schema'

export const arrivalExpectedSchema = z.strictObject({
  ...common,
  type: z.literal('arrival-expected'),
  arrivalId: id,
  name,
  stream: streamSchema,
  style: styleSchema,
  massKg: positive.optional(),
  volumeL: positive.optional(),
  on: day.describe('the day it is expected')
})
