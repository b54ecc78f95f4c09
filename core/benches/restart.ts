import { fact, inoculation } from '../drafts'
import { type Restart, type RestartStep, stuckRestart } from '../fermentation'
import { type LotView, abvOf } from '../ledger'
import { believedTemperatures, wantingNitrogen, yeastOfLot } from '../stages'
import { DAY_MS, HOUR_MS, withinLimits } from '../units'
import type { Bench, BenchContext } from './bench'

/** A run that was begun so long ago is over, days. */
const LASTS_DAYS = 7

/** A step with the instant at which it comes, ms: from now on where the run has not begun. */
export type TimedRestartStep = RestartStep & { at: number }
export interface RestartAnswer {
  plan?: Restart | undefined
  /** Begun by an entry of the ledger, so that it is the same after a reload and on another device; ms. */
  begun?: number | undefined
  steps: TimedRestartStep[]
  /** The step of the run that is on now. */
  on?: TimedRestartStep | undefined
}

function planOf(lot: LotView, { cellar }: BenchContext): Restart | undefined {
  const yeast = yeastOfLot(lot, cellar.cards)
  const warm = believedTemperatures(lot)
  return withinLimits(() =>
    stuckRestart({
      volumeL: Math.max(1, lot.volume.value),
      sg: lot.sg?.value ?? 1.02,
      abv: Math.min(20, lot.abv?.value ?? (lot.balance ? abvOf(lot.balance) : 0)),
      ...(warm.length > 0 && { celsius: warm.at(-1)!.value, hottestC: Math.max(...warm.map((p) => p.value)) }),
      ...(lot.freeSo2 && { freeSo2MgPerL: lot.freeSo2.value }),
      nitrogenShortMgPerL: Math.max(0, wantingNitrogen(lot, cellar.cards) - (lot.nitrogenGiven?.value ?? 0)),
      ...(yeast && { toleranceAbv: yeast.toleranceAbv, temperatureRange: yeast.temperatureC })
    })
  )
}

/** The restart of a stuck lot: its causes from the ledger, the starter, and the run of it once it was begun. */
export const restart: Bench<never, object, RestartAnswer> = {
  choices: () => ({}),
  fill: () => ({}),
  answer(_, context) {
    const { lot, now } = context
    if (!lot) return { steps: [] }
    const plan = planOf(lot, context)
    const [at, over] = [lot.worked.get('restart')?.at, lot.repitchedAt]
    const present = Date.parse(now)
    const lasts = at !== undefined && present - Date.parse(at) < LASTS_DAYS * DAY_MS && !(over && over > at)
    const begun = lasts ? Date.parse(at) : undefined
    const steps = (plan?.steps ?? []).map((s) => ({ ...s, at: (begun ?? present) + s.atHours * HOUR_MS }))
    const run = steps.filter((s) => s.atHours >= 0)
    return { plan, begun, steps, on: begun === undefined ? undefined : (run.findLast((s) => s.at <= present) ?? run[0]) }
  },
  drafts(_, { plan }, { lot, note }, act) {
    if (!plan) return []
    return act === 'begin'
      ? [fact('operation', { lotId: lot.id, what: 'restart', note: undefined, plan: { yeastG: plan.yeastG, mustC: plan.holdC } })]
      : [inoculation({ lotId: lot.id, organism: 'yeast', culture: note, grams: plan.yeastG })]
  }
}
