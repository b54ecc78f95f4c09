import { z } from 'zod'
import { EQUIPMENT } from './equipment'
import { common } from './fields.schema'

export const equipmentSaidSchema = z.strictObject({
  ...common,
  type: z.literal('equipment-said'),
  has: z.partialRecord(z.enum(EQUIPMENT), z.boolean()).describe('what the household measures with, or does not')
})
