import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import Tinypool from 'tinypool'
import type { Refusal, runCalculation } from './calculation'

/** The longest that any calculation may take before it is given up, ms; what people ask for takes a tenth of it. */
export const DEADLINE_MS = 10_000
/** So many wait at the most; more are sent away at once. */
const MOST_WAITING = 32
const THREADS = Math.min(4, Math.max(1, availableParallelism() - 1))
const WORKER = 'calc-worker.mjs'

export type PoolAnswer =
  | { is: 'answer', answer: unknown }
  | { is: 'refused', refusal: Refusal }
  | { is: 'too-long', seconds: number }
  | { is: 'busy' }

let pool: Tinypool | undefined
/** The workers, as the build laid them beside the server; none while developing, where a calculation runs in the server itself. */
function poolOf(): Tinypool | undefined {
  const filename = join(dirname(fileURLToPath(import.meta.url)), WORKER)
  if (!pool && existsSync(filename))
    pool = new Tinypool({
      filename,
      runtime: 'worker_threads',
      minThreads: 1,
      maxThreads: THREADS,
      maxQueue: MOST_WAITING,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: 512 }
    })
  return pool
}

/**
 * Runs a calculation beside the server, so that everything else goes on being answered.
 * @param name of a calculation that there is
 * @param body as it came
 */
export async function runBeside(name: string, body: unknown): Promise<PoolAnswer> {
  const workers = poolOf()
  const said = (result: ReturnType<typeof runCalculation>): PoolAnswer =>
    result.ok ? { is: 'answer', answer: result.answer } : { is: 'refused', refusal: result.refusal }
  // Only while developing: there the server itself works it out.
  if (!workers) return said((await import('./run')).runByName(name, body))
  if (workers.queueSize >= MOST_WAITING) return { is: 'busy' }
  const deadline = new AbortController()
  const timer = setTimeout(() => deadline.abort(), DEADLINE_MS)
  try {
    return said(await workers.run({ name, body }, { signal: deadline.signal }))
  }
  catch (error) {
    // A worker that was stopped, or that ran out of memory: another takes its place.
    if (deadline.signal.aborted) return { is: 'too-long', seconds: DEADLINE_MS / 1000 }
    if (error instanceof Error && /queue/i.test(error.message)) return { is: 'busy' }
    throw error
  }
  finally {
    clearTimeout(timer)
  }
}
