import { z } from 'zod'
import { refusalOf } from '../../core/ledger/refusals'

const instant = z.iso.datetime()
const number = (min: number, max: number) => z.coerce.number().min(min).max(max)
const span = { seed: number(0, 2_147_483_647).pipe(z.int()), from: instant, to: instant }
const cellar = z.strictObject({ ...span, celsius: number(-5, 35).default(15) })
const float = z.strictObject({
  ...span,
  startAt: instant,
  originalSg: number(1.03, 1.17),
  celsius: number(5, 35).default(22),
  /** Of a simulated wine that it floats in; a plain curve when left out. */
  wine: number(0, 2_147_483_647).pipe(z.int()).optional()
})

const phMeter = z.strictObject({
  ...span,
  startAt: instant,
  originalSg: number(1.03, 1.17).default(1.09),
  celsius: number(5, 35).default(20),
  wine: number(0, 2_147_483_647).pipe(z.int())
})

/** What the simulated instruments are asked with, in the address. */
export const ASKED = { float, cellar, phMeter } as const

/** The query as asked, or the field that is wrong and why. */
type Checked<T> = { ok: true, asked: T } | { ok: false, field: string, reason: string }
export function checkAsked<S extends z.ZodType>(schema: S, query: unknown): Checked<z.output<S>> {
  const parsed = schema.safeParse(query, { error: refusalOf })
  if (parsed.success) return { ok: true, asked: parsed.data }
  const issue = parsed.error.issues[0]!
  return { ok: false, field: issue.path.join('.') || 'query', reason: issue.message }
}
