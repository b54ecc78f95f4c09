/**
 * The clock that the cellar goes by: the real one, or in Practice one that the person moves. There it does not run by itself, and
 * what is logged takes its minutes. Each thread has its own: the page sets the ledger's worker by `LedgerEngine.setClock`.
 */
let held: number | undefined

/** Milliseconds since 1970, by the cellar's clock. */
export const clockMs = (): number => held ?? Date.now()
/** The present instant by the cellar's clock, ISO UTC. */
export const clockNow = (): string => new Date(clockMs()).toISOString()
/** Holds the clock at an instant, ms; the real one goes on without it. */
export const holdClock = (at?: number): void => {
  held = at
}
