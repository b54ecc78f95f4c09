import { DAY_MS } from '~~/core/units'
import { clockMs } from '~/data/clock'
import { fact } from '~~/core/drafts'
import { windowAfter } from '~~/core/fermentation'
import type { InstrumentState } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { seedOf } from './useFeed'
import { useFeed } from '~/composables/useFeed'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** A thermometer that is new on the wall tells of its last days, ms. */
const TELLS_MS = 3 * DAY_MS

/** A thermometer on the cellar's wall, beside a vessel: followed while the page is open, kept thinned. */
export function useAir(instrument: () => InstrumentState) {
  const cellar = useCellarStore()
  const now = useNow()
  const vessel = computed(() => cellar.state.vessels.get(instrument().follows?.vesselId ?? ''))
  const kept = computed(() => vessel.value?.air ?? [])
  const feed = useFeed(
    () => {
      const { follows } = instrument()
      if (!follows?.vesselId || !vessel.value) return undefined
      const last = kept.value.at(-1)
      const since = last ? windowAfter(last.at) : new Date(clockMs() - TELLS_MS).toISOString()
      return { path: '/api/instruments/cellar-thermometer', since, query: { seed: follows.seed } }
    },
    (readings) =>
      cellar.log(
        readings.flatMap(({ at, celsius }) =>
          celsius === undefined ? [] : [fact('air-read', { vesselId: vessel.value!.id, celsius, at, instrumentId: instrument().id })]
        )
      )
  )
  /** The last that was sent, or kept. */
  const latest = computed(() => {
    const [sent, last] = [feed.latest.value, kept.value.at(-1)]
    return sent?.celsius !== undefined ? { at: sent.at, celsius: sent.celsius } : last && { at: last.at, celsius: last.value }
  })
  /** Of a day. */
  const range = computed(() => {
    const day = kept.value.filter((p) => Date.parse(now.value) - Date.parse(p.at) <= DAY_MS).map((p) => p.value)
    return day.length > 1 ? { low: Math.min(...day), high: Math.max(...day) } : undefined
  })
  return { vessel, latest, range, findings: feed.findings, unreachable: feed.unreachable }
}

/** Hangs a simulated thermometer beside a vessel. */
export function useHangThermometer() {
  const cellar = useCellarStore()
  return (vesselId: string) => {
    const name = `Thermometer by ${cellar.state.vessels.get(vesselId)?.name ?? 'a vessel'}`.slice(0, 80)
    const follows = { lotId: undefined, vesselId, seed: seedOf(vesselId) }
    return cellar.log([
      fact('instrument-added', { instrumentId: newId(), name, kind: 'thermometer', calibrationC: undefined, step: undefined, follows })
    ])
  }
}
