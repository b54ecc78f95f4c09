import { z } from 'zod'
import '../refusals'

/** Fields that several kinds of entry share. Only schemas may import this file: what folds carries no Zod along. */
export const id = z
  .string()
  .regex(/^[a-z0-9-]{8,64}$/, 'must be 8 to 64 small letters, digits or hyphens')
  .describe('sorts by the time it was made')
export const instant = z.iso.datetime({ error: 'must be an instant in UTC, like 2026-10-03T14:20:00Z' }).describe('UTC')
export const name = z.string().trim().min(1).max(80)
export const text = z.string().max(2000)
export const day = z.iso.date({ error: 'must be a day, like 2026-10-03' })
export const positive = z.number().positive().max(1e6)
export const amountOrNone = z.number().min(0).max(1e6)
export const litres = z.number().min(0).max(100_000)
export const materialKey = z.string().min(1).max(64)

/** What every entry carries. */
export const common = {
  id,
  device: z.string().min(1).max(64).describe('the device that wrote it'),
  at: instant.describe('when it happened'),
  written: instant.describe('when it was written down')
}

export const styleSchema = z.enum(['red', 'rose', 'white'])
export const streamSchema = z.enum(['fresh', 'frozen', 'juice', 'kit', 'test', 'blend'])
/** How must or juice came: with sulphite in it or not, as far as anybody knows. */
export const sulphitedSchema = z.enum(['yes', 'no', 'unknown'])
/** A packet of a kit: what it holds is asked once, with the usual of its kind offered. */
export const packetSchema = z.strictObject({
  name,
  step: z.lazy(() => packetStepSchema),
  day: z.int().min(0).max(120).optional().describe('days after the yeast'),
  holds: z
    .array(z.strictObject({ material: materialKey, amount: positive.optional().describe('g, or mL of a liquid; the usual when left out') }))
    .max(6)
    .optional()
    .describe('nobody has said when left out')
})
export const packetStepSchema = z.enum(['before-yeast', 'yeast', 'ferment', 'stabilise', 'clear'])
