import type { FermentAsked } from '~~/core/fermentation'
import { type LotForecast, askForecast } from '~~/core/stages'
import { useKept } from '~/composables/useKept'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** So long after the start what nobody looks at yet is worked out, ms. */
const AFTER_MS = 2000

/**
 * Where the ferments are going, worked out in a worker whenever a reading has come or changed. The last answer
 * holds until the next is there; a lot that no longer ferments loses its own.
 */
export const useForecastsStore = defineStore('forecasts', () => {
  const cellar = useCellarStore()
  const now = useNow()
  // A reload finds what was worked out before it; each is kept with what it was asked, so nothing stale is believed.
  const kept = useKept<[string, LotForecast][]>('presk.forecasts')
  const known = shallowRef<ReadonlyMap<string, LotForecast>>(new Map(kept.read() ?? []))
  const asks = computed(() =>
    cellar.lots.flatMap((lot) => {
      const ask = askForecast(lot, cellar.state.cards, now.value)
      return ask ? [{ lotId: lot.id, ...ask, key: ask.startAt + JSON.stringify(ask.asked) }] : []
    })
  )
  let turn = 0
  /** Something is being worked out. */
  const busy = ref(false)

  async function workOut(): Promise<void> {
    const mine = ++turn
    const wanted = asks.value
    busy.value = true
    keepOnly(new Set(wanted.map((a) => a.lotId)))
    for (const { lotId, startAt, asked, key } of wanted) {
      if (known.value.get(lotId)?.key === key) continue
      const answer = await forecastApart(asked)
      // A later question has come meanwhile, and asks for what is still wanted.
      if (mine !== turn) return
      const next = new Map(known.value)
      if (answer) next.set(lotId, { startAt, key, ...answer })
      else next.delete(lotId)
      known.value = next
      kept.write([...next])
    }
    busy.value = false
  }
  const keepOnly = (lots: ReadonlySet<string>) => {
    // Before the ledger is there nothing is known of what is wanted.
    if (!cellar.ready || [...known.value.keys()].every((id) => lots.has(id))) return
    known.value = new Map([...known.value].filter(([id]) => lots.has(id)))
  }
  const keys = computed(() => asks.value.map((a) => a.lotId + a.key).join())
  // The first picture comes before any forecast; a page that shows a forecast does not wait.
  const started = ref(false)
  setTimeout(() => hurry(), AFTER_MS)
  const hurry = () => {
    started.value = true
  }
  watch([keys, started], () => void (started.value && workOut()))
  return { known, busy, hurry }
})

/** In a worker; where there are none there is no forecast, and all else goes on. */
async function forecastApart(asked: FermentAsked): Promise<Pick<LotForecast, 'forecast' | 'usual'> | undefined> {
  if (typeof Worker === 'undefined') return undefined
  try {
    const { forecaster } = await import('~/workers/start')
    return await forecaster.call((f) => f.forecast(JSON.parse(JSON.stringify(asked)) as FermentAsked))
  }
  catch {
    return undefined
  }
}
