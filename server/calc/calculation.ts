import type { z } from 'zod'
import { LimitError } from '../../core/units'

/** One calculation of the core as it is offered over HTTP. */
export interface Calculation {
  name: string
  /** One sentence: what it computes. */
  summary: string
  schema: z.ZodType
  run: (body: never) => unknown
}

/** Ties a calculation's body to its schema, so that `run` gets what was checked. */
export const calculation = <S extends z.ZodType>(name: string, summary: string, schema: S, run: (body: z.output<S>) => unknown): Calculation =>
  ({ name, summary, schema, run: run as (body: never) => unknown })

export interface Refusal { field: string, reason: string }

/**
 * Runs a calculation on an unknown body.
 * @returns the answer, or the first field that is wrong and why
 */
export function runCalculation(calc: Calculation, body: unknown): { ok: true, answer: unknown } | { ok: false, refusal: Refusal } {
  const parsed = calc.schema.safeParse(body)
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!
    const unknown = issue.code === 'unrecognized_keys' ? issue.keys[0] : undefined
    return { ok: false, refusal: { field: [...issue.path, ...(unknown ? [unknown] : [])].join('.') || 'body', reason: unknown ? 'there is no such field' : issue.message } }
  }
  try {
    return { ok: true, answer: calc.run(parsed.data as never) }
  }
  catch (error) {
    if (error instanceof LimitError) return { ok: false, refusal: { field: error.argument, reason: `is ${error.value}; it must lie between ${error.min} and ${error.max}` } }
    throw error
  }
}
