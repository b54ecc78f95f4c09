import { DAY_MS, HOUR_MS } from '~~/core/units'
import { fact, inoculation } from '~~/core/drafts'
import { type RestartStep, stuckRestart } from '~~/core/fermentation'
import { type LotView, abvOf } from '~~/core/ledger'
import { believedTemperatures, wantingNitrogen, yeastOfLot } from '~~/core/stages'

/** A run that was begun so long ago is over, days. */
const LASTS_DAYS = 7
export interface RestartRunStep extends RestartStep { at: number }

/** The restart of a stuck lot: its causes from the ledger, the starter, and the run of it once it was begun. */
export function useRestart(lot: () => LotView) {
  const cellar = useCellarStore()
  const clock = useNow()
  const plan = computed(() => {
    const l = lot()
    const yeast = yeastOfLot(l, cellar.state.cards)
    const warm = believedTemperatures(l)
    return withinLimits(() =>
      stuckRestart({
        volumeL: Math.max(1, l.volume.value),
        sg: l.sg?.value ?? 1.02,
        abv: Math.min(20, l.abv?.value ?? (l.balance ? abvOf(l.balance) : 0)),
        ...(warm.length > 0 && { celsius: warm.at(-1)!.value, hottestC: Math.max(...warm.map((p) => p.value)) }),
        ...(l.freeSo2 && { freeSo2MgPerL: l.freeSo2.value }),
        nitrogenShortMgPerL: Math.max(0, wantingNitrogen(l, cellar.state.cards) - (l.nitrogenGiven?.value ?? 0)),
        ...(yeast && { toleranceAbv: yeast.toleranceAbv, temperatureRange: yeast.temperatureC })
      })
    )
  })
  /** Begun by an entry of the ledger, so that it is the same after a reload and on another device. */
  const begun = computed(() => {
    const at = lot().worked.get('restart')?.at
    const over = lot().repitchedAt
    const lasts = at && Date.parse(clock.value) - Date.parse(at) < LASTS_DAYS * DAY_MS && !(over && over > at)
    return lasts ? Date.parse(at) : undefined
  })
  const steps = computed<RestartRunStep[]>(() =>
    (plan.value?.steps ?? []).map((s) => ({ ...s, at: (begun.value ?? Date.parse(clock.value)) + s.atHours * HOUR_MS }))
  )
  const run = computed(() => steps.value.filter((s) => s.atHours >= 0))
  const on = computed(() => Math.max(0, run.value.findLastIndex((s) => s.at <= Date.parse(clock.value))))

  const begin = () =>
    cellar.log([
      fact(
        'operation',
        { lotId: lot().id, what: 'restart', note: undefined, plan: { yeastG: plan.value!.yeastG, mustC: plan.value!.holdC } }
      )
    ])
  const allIn = () => {
    const culture = 'Restart with an acclimatised starter'
    return cellar.log([inoculation({ lotId: lot().id, organism: 'yeast', culture, grams: plan.value!.yeastG })])
  }
  return { plan, begun, steps, run, on, begin, allIn }
}
