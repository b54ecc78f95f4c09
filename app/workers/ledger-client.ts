import type { LedgerEngine } from '~/data/ledger-engine'
import { ledger } from './start'

/** The engine's calls, wherever it runs: each answers later. */
type Engine = {
  [K in keyof LedgerEngine]: LedgerEngine[K] extends (...args: infer A) => infer R ? (...args: A) => Promise<Awaited<R>> : never
}

type Calls = Record<string, (...args: unknown[]) => Promise<unknown>>

/** In a worker of its own where there are workers; beside the page where there are none. */
export async function startEngine(): Promise<Engine> {
  if (typeof Worker === 'undefined') return new (await import('~/data/ledger-engine')).LedgerEngine() as unknown as Engine
  return new Proxy({} as Engine, {
    get: (_, call: string) =>
      // A promise of the engine is none of its calls.
      call === 'then' ? undefined : (...args: unknown[]) => ledger.call((remote) => (remote as never as Calls)[call]!(...args))
  })
}
