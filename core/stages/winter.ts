import { type LotView, isHeld, isWine, keptAt } from '../ledger'
import { malolacticEndedAt } from './malolactic'
import type { CellarView } from './stage'
import { isKept } from './sulphite-dose'
import { airOver } from './topping'

/** What can spoil a wine while it lies, the worst first. */
export type WinterRisk =
  /** Malolactic is over, and nothing has protected it since. */
  | { code: 'unprotected' }
  | { code: 'low-sulphite', freeMgPerL: number, targetMgPerL: number }
  | { code: 'air', airL: number, high: boolean }
  /** Nobody knows how it stands. */
  | { code: 'not-measured' }

export interface WinterRow {
  lotId: string
  risks: WinterRisk[]
  /** Where it is sulphited, or is to be. */
  sulphite?: { freeMgPerL: number, measured: boolean, targetMgPerL: number, belowAt?: { low: string, mid: string, high: string } }
  airL: number
}

const WEIGHT: Record<WinterRisk['code'], number> = { 'unprotected': 8, 'low-sulphite': 4, 'air': 2, 'not-measured': 1 }

/** All wines that lie over the winter in one view, the one most at risk first. */
export function winterOf(lots: readonly LotView[], cellar: Pick<CellarView, 'vessels'>, now: string): WinterRow[] {
  const rows = lots.filter((lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test').map((lot) => rowOf(lot, cellar, now))
  const weight = (r: WinterRow) => r.risks.reduce((sum, risk) => sum + WEIGHT[risk.code] + (risk.code === 'air' && risk.high ? 3 : 0), 0)
  return rows.sort((a, b) => weight(b) - weight(a))
}

function rowOf(lot: LotView, cellar: Pick<CellarView, 'vessels'>, now: string): WinterRow {
  const air = airOver(lot, cellar, now)
  const airL = air.reduce((sum, a) => sum + a.airL, 0)
  const kept = isKept(lot)
  const upkeep = kept ? lot.upkeep : undefined
  const sulphite = kept && lot.ph && lot.freeSo2 ? { freeMgPerL: lot.freeSo2.value, targetMgPerL: keptAt(lot) } : undefined
  const ended = malolacticEndedAt(lot)
  const bare = kept && ended !== undefined && !(lot.lastSulphiteAt !== undefined && lot.lastSulphiteAt > ended)
  const airy = air.some((a) => a.risk !== 'none')
  return {
    lotId: lot.id,
    airL,
    ...(sulphite
      && { sulphite: { ...sulphite, measured: lot.freeSo2!.origin === 'measured', ...(upkeep?.belowAt && { belowAt: upkeep.belowAt }) } }),
    risks: [
      ...(bare ? [{ code: 'unprotected' as const }] : []),
      ...(!bare && sulphite && sulphite.freeMgPerL < sulphite.targetMgPerL - 2 ? [{ code: 'low-sulphite' as const, ...sulphite }] : []),
      ...(airy ? [{ code: 'air' as const, airL, high: air.some((a) => a.risk === 'high') }] : []),
      ...(kept && !bare && !sulphite ? [{ code: 'not-measured' as const }] : [])
    ]
  }
}
