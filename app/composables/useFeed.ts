import { clockNow } from '~/data/clock'
import { type FollowFinding, type KeptReading, followReadings } from '~~/core/fermentation'

const EVERY_MS = 60_000

/** Where an instrument is asked, from when on its readings are new, and what else it is told. */
export interface FeedAsked { path: string, since: string, query: Record<string, string | number> }

/**
 * An instrument that is followed: asked every minute while somebody looks, what it sends cleaned and thinned, and what is to be kept
 * handed on.
 * @param asked undefined while nothing is followed
 * @param keep writes what is kept into the ledger
 */
export function useFeed(asked: () => FeedAsked | undefined, keep: (kept: readonly KeptReading[]) => Promise<unknown>) {
  const latest = shallowRef<KeptReading>()
  const findings = shallowRef<FollowFinding[]>([])
  const unreachable = ref(false)
  let busy = false

  async function fetchNew(): Promise<void> {
    const ask = asked()
    if (!ask || busy) return
    busy = true
    try {
      const now = clockNow()
      const query = new URLSearchParams({ from: ask.since, to: now })
      for (const [key, value] of Object.entries(ask.query)) query.set(key, String(value))
      const answer = await fetch(`${ask.path}?${query}`)
      if (!answer.ok) throw new Error(String(answer.status))
      const { readings } = (await answer.json()) as { readings: unknown[] }
      const told = followReadings(Array.isArray(readings) ? (readings as never[]) : [], ask.since, now)
      unreachable.value = false
      if (told.latest) latest.value = told.latest
      findings.value = told.findings
      if (told.kept.length > 0) await keep(told.kept)
    }
    catch {
      // No network, or no server: stored readings remain, and the next minute asks again.
      unreachable.value = true
    }
    busy = false
  }

  let timer: ReturnType<typeof setInterval> | undefined
  onMounted(() => {
    void fetchNew()
    timer = setInterval(() => void fetchNew(), EVERY_MS)
  })
  onBeforeUnmount(() => clearInterval(timer))
  return { latest, findings, unreachable, fetchNew }
}

/** A simulated instrument is the same one when it is paired with the same thing again. */
export const seedOf = (id: string): number => [...id].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 2_147_483_647, 23)
