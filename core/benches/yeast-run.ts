import type { LotState } from '../ledger'
import { withinLimits, HOUR_MS } from '../units'
import { type PitchPlan, type PitchStep, pitchPlan } from '../yeast'

/** A run that was begun so long ago was given up, h: our own, the yeast has starved by then. */
const GIVEN_UP_H = 6

export interface RunStep extends PitchStep {
  /** ms since 1970. */
  at: number
}
export interface YeastRun {
  begunAt: number
  yeastG: number
  mustC: number
  plan?: PitchPlan | undefined
  steps: RunStep[]
}

/**
 * The rehydration of a lot's yeast as it runs: begun by an entry of the ledger, so that it is the same after a reload, in another tab
 * and on another device; its times follow from what was weighed and how cool the must is.
 * @param nowMs ms since 1970
 * @returns undefined where none is under way
 */
export function yeastRunOf(lot: LotState | undefined, nowMs: number): YeastRun | undefined {
  const done = lot?.worked.get('rehydrate')
  if (!lot || !done?.plan || nowMs - Date.parse(done.at) >= GIVEN_UP_H * HOUR_MS) return undefined
  // Yeast that went in since ended it; a second run, into a must that did not start, comes after the first yeast.
  if ((lot.repitchedAt ?? lot.inoculatedAt ?? '') >= done.at) return undefined
  const { yeastG, mustC } = done.plan
  const begunAt = Date.parse(done.at)
  const plan = withinLimits(() => pitchPlan(lot.volume.value, mustC, yeastG / lot.volume.value))
  return { begunAt, yeastG, mustC, plan, steps: (plan?.steps ?? []).map((s) => ({ ...s, at: begunAt + s.atMin * 60_000 })) }
}
