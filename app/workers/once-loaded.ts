import type { LedgerEngine } from '~/data/ledger-engine'

/** What is answered, or waits by itself, while the ledger is still being read behind the page's first look. */
const AT_ONCE: readonly (string | symbol)[] = ['open', 'setClock', 'hold', 'factsFrom', 'whenLoaded'] satisfies (keyof LedgerEngine)[]

/** The engine as pages call it: what needs the whole ledger waits until it is read. */
export function onceLoaded(engine: LedgerEngine): LedgerEngine {
  return new Proxy(engine, {
    get(target, name) {
      const call = Reflect.get(target, name) as unknown
      if (typeof call !== 'function') return call
      const bound = call.bind(target) as (...args: unknown[]) => unknown
      return AT_ONCE.includes(name) ? bound : (...args: unknown[]) => target.whenLoaded().then(() => bound(...args))
    }
  })
}
