import { z } from 'zod'
import { common, id } from './fields.schema'

export const airReadSchema = z.strictObject({
  ...common,
  type: z.literal('air-read'),
  vesselId: id.describe('the vessel that it was read beside'),
  celsius: z.number().min(-30).max(60),
  instrumentId: id.optional()
})
