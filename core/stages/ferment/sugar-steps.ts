import type { LotView } from '../../ledger'
import { FEED_AT_SG } from '../../must'
import { type LotForecast, later } from '../stage'
import { believedSg } from './doubted'

/** A part of the sugar that a ferment is fed with. */
export interface SugarStep {
  material: string
  grams: number
  part: number
  of: number
  /** Fed when its gravity has come down to this. */
  atSg: number
  ready: boolean
  /** When it is expected to have, ISO UTC. */
  due?: string
}

/** What is left when a part is in but for so much of it, as a share of a part. */
const CRUMBS = 0.05

/** The next part of what is fed in steps; none once all is in, or while the ferment stands: sugar does not wake a stuck yeast. */
export function nextSugarStep(lot: LotView, known: LotForecast | undefined, now: string): SugarStep | undefined {
  const plan = lot.sugarSteps
  if (!plan || lot.alcoholic !== 'active' || known?.forecast.findings.some((f) => f.code === 'stuck')) return undefined
  const given = Math.max(0, (lot.added.get(plan.material)?.actual ?? 0) - plan.givenBefore)
  const each = plan.totalG / plan.parts
  if (given >= plan.totalG - CRUMBS * each) return undefined
  const sg = believedSg(lot, known)
  const ready = sg !== undefined && sg <= FEED_AT_SG
  const expected = known?.forecast.expected.find((e) => e.sg.mid <= FEED_AT_SG)
  const due = ready ? now : known && expected && later(known.startAt, expected.hours)
  return {
    material: plan.material,
    grams: Math.min(each, plan.totalG - given),
    part: Math.min(plan.parts, Math.floor(given / each + CRUMBS) + 1),
    of: plan.parts,
    atSg: FEED_AT_SG,
    ready,
    ...(due && { due })
  }
}
