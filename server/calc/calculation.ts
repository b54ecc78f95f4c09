import type { z } from 'zod'
import { refusalOf } from '../../core/ledger/refusals'
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
export const calculation = <S extends z.ZodType>(
  name: string,
  summary: string,
  schema: S,
  run: (body: z.output<S>) => unknown
): Calculation => ({ name, summary, schema, run: run as (body: never) => unknown })

/** Leaves out what was not given, so that optional fields keep their defaults. */
export const defined = <T extends object>(o: T): { [K in keyof T]: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as { [K in keyof T]: Exclude<T[K], undefined> }

export interface Refusal {
  field: string
  reason: string
}

/**
 * Runs a calculation on an unknown body.
 * @returns the answer, or the first field that is wrong and why
 */
export function runCalculation(calc: Calculation, body: unknown): { ok: true, answer: unknown } | { ok: false, refusal: Refusal } {
  // Said here as well: the server's build drops a module that is only imported for what it sets.
  const parsed = calc.schema.safeParse(body, { error: refusalOf })
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!
    const unknown = issue.code === 'unrecognized_keys' ? issue.keys[0] : undefined
    return {
      ok: false,
      refusal: {
        field: [...issue.path, ...(unknown ? [unknown] : [])].join('.') || 'body',
        reason: unknown ? 'there is no such field' : issue.message
      }
    }
  }
  try {
    const answer = calc.run(parsed.data as never)
    // JSON would turn what is not finite into null without a word.
    return finite(answer)
      ? { ok: true, answer }
      : { ok: false, refusal: { field: 'body', reason: 'these figures lead to no finite answer' } }
  }
  catch (error) {
    if (error instanceof LimitError)
      return {
        ok: false,
        refusal: { field: sentAs(body, error), reason: `is ${error.value}; it must lie between ${error.min} and ${error.max}` }
      }
    throw error
  }
}

/** The place in the body as it was sent, with its index: of the same name first, else the only one of that value. */
function sentAs(body: unknown, { argument, value }: LimitError): string {
  const found: string[][] = []
  const look = (at: unknown, path: string[]): void => {
    if (at === value) found.push(path)
    else if (typeof at === 'object' && at !== null) for (const [key, inside] of Object.entries(at)) look(inside, [...path, key])
  }
  look(body, [])
  const named = found.find((path) => path.at(-1) === argument)
  return (named ?? (found.length === 1 ? found[0]! : [argument])).join('.') || argument
}

function finite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value)
  if (value === null || typeof value !== 'object') return true
  return Object.values(value).every(finite)
}
