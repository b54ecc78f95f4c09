import { HOUR_MS } from '../../units'
import { standsOf } from '../dryness'
import { isFermenting, standingOf, type Standing } from '../facets'
import { type LotPlan, type Malolactic, malolacticOf, planOf } from '../plan'
import type { LotState } from '../state'
import { afterWood } from '../wood'
import { type LotUpkeep, freeAt, upkeepOf } from './upkeep'

/** A lot as it is now: what decays has decayed, and what time alone tells is told. The only form that stages and pages see. */
export interface LotView extends LotState {
  /** The instant it is seen at, ISO UTC. */
  asOf: string
  /** One word for labels. */
  standing: Standing
  plan: LotPlan
  malolactic: Malolactic
  /** How a wine keeps its sulphite, by its own readings. */
  upkeep?: LotUpkeep
}

/** A ferment that nobody has looked at for so long is over, one way or another; it is asked about as a wine. Common practice. */
const LEFT_ALONE_DAYS = 45

const seen = new WeakMap<LotState, LotView>()

/**
 * A lot at an instant.
 * @param lot as folded
 * @param now ISO UTC, at or after the lot's last entry
 */
export function lotAt(lot: LotState, now: string): LotView {
  const known = seen.get(lot)
  if (known?.asOf === now) return known
  const upkeep = whatCan(() => upkeepOf(lot, now))
  const free = freeAt(lot, now, upkeep)
  const current: LotState = {
    ...lot,
    ...afterWood(lot, now),
    alcoholic: alcoholicAt(lot, now),
    ...(free && { freeSo2: free }),
    ...(upkeep && { boundShare: upkeep.boundShare.mid })
  }
  const view: LotView = {
    ...current,
    asOf: now,
    standing: standingOf(current),
    plan: planOf(current),
    malolactic: malolacticOf(current),
    ...(upkeep && { upkeep })
  }
  seen.set(lot, view)
  return view
}

/** What cannot be worked out of a lot is not known of it, and stops nothing else. */
function whatCan<T>(work: () => T): T | undefined {
  try {
    return work()
  }
  catch {
    return undefined
  }
}

/** Stuck, or left so long that it is over: what no entry says and time tells. */
function alcoholicAt(lot: LotState, now: string): LotState['alcoholic'] {
  if (!isFermenting(lot)) return lot.alcoholic
  const last = lot.series.sg?.at(-1)
  const quietSince = last?.at ?? lot.inoculatedAt ?? lot.lastAt
  if (Date.parse(now) - Date.parse(quietSince) > LEFT_ALONE_DAYS * 24 * HOUR_MS) return 'stopped'
  const standing = standsOf(lot)
  const since = lot.repitchedAt ?? lot.inoculatedAt
  const begun = since === undefined || (standing !== undefined && standing.since > since)
  return standing?.proven && begun && standing.fits === 'sweet' ? 'stuck' : lot.alcoholic
}
