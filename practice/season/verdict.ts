import { type Entry, type LotPlan, lotAt } from '../../core/ledger'
import { TOTAL_LIMIT } from '../../core/sulphite'
import { type Wine, hour, molecularOf, wineAcids } from '../../simulator'
import { type Kept, copyOf } from './acts'
import type { World } from './world'

/** Of our own: what a bottle, a loss beyond skins and lees, and a wine that was never bottled are worth; four minutes for an entry. */
const BOTTLE_L = 0.75
const USUAL_LOSS = 0.25
const LOSS_POINTS = 60
const NOT_BOTTLED_POINTS = 25
const ENTRY_H = 4 / 60

/** What is wrong with a wine as it truly is, with the figure that says so; each takes points. */
export interface Fault {
  code: 'sweet-unheld' | 'vinegar' | 'oxidised' | 'rotten-egg' | 'hazy' | 'too-much-so2' | 'unprotected' | 'malic-left' | 'flat' | 'sharp'
    | 'burst' | 'not-bottled' | 'thin'
  value: number
  points: number
}
export interface Verdict {
  lotId: string
  /** Of 100: soundness, style, loss. */
  score: number
  faults: Fault[]
  /** Bottles of 0.75 L and what of the wine was lost on the way, share. */
  bottles: number
  lossShare: number
  hours: number
}

/** Half a year of the cellar, then a summer in the cupboard: what was left in a bottle comes out. */
const SUMMER_H = 24 * 200
const SUMMER_C = 23

/** A bottle after its first summer. */
export function afterSummer(bottle: Kept['bottles'][number]): Kept['bottles'][number] {
  const after = { ...bottle, wine: copyOf(bottle.wine) }
  for (let h = 0; h < SUMMER_H && !after.burst; h++) {
    const before = after.wine.sugar
    hour(after.wine, SUMMER_C, 0.01)
    after.fermented += before - after.wine.sugar
    if (after.fermented >= after.bearsGPerL) after.burst = 'summer'
  }
  return after
}

/**
 * Thresholds from which somebody notices, and points for what lies beyond them: of our own, near those of the closed loop's judge. A fault
 * costs 60 at the most.
 */
function faultsOf(w: Wine, { sparkling, malolactic }: { sparkling: boolean, malolactic: boolean }): Fault[] {
  const faults: Fault[] = []
  const found = (code: Fault['code'], value: number, points: number) => {
    if (points > 0) faults.push({ code, value, points: Math.round(Math.min(60, points)) })
  }
  const { ph, ta } = wineAcids(w)
  found('vinegar', w.acids.acetic, (w.acids.acetic - 0.75) * 80)
  found('oxidised', w.oxidised, (w.oxidised - 11) * 4)
  found('rotten-egg', w.sulphide, (w.sulphide - 2.6) * 8)
  found('hazy', w.haze, w.haze > 7 ? Math.log(w.haze / 7) * 9 : 0)
  found('too-much-so2', w.total, (w.total - TOTAL_LIMIT[w.must.colour]) * 0.5)
  const held = w.sorbate >= 95 || w.pasteurised || sparkling
  found('sweet-unheld', w.sugar, held ? 0 : (w.sugar - 4) * 2)
  found('malic-left', w.acids.malic, malolactic ? (w.acids.malic - 0.5) * 12 : 0)
  found('unprotected', molecularOf(w), sparkling || w.pasteurised ? 0 : (0.3 - molecularOf(w)) * 40)
  found('flat', ph, (ph - 3.85) * 80)
  found('sharp', ta, (ta - 9.2) * 9)
  found('thin', w.ethanol / 7.893, (9.5 - w.ethanol / 7.893) * 5)
  return faults
}

/** A lot is judged by what is in its bottles after a summer, or in its vessel where it never got there. */
export interface Judged {
  lotId: string
  kept: Kept
  plan: LotPlan
  entries: readonly Entry[]
}

export function judge({ lotId, kept, plan, entries }: Judged): Verdict {
  const bottles = kept.bottles.map(afterSummer)
  const filled = bottles.toSorted((a, b) => b.litres - a.litres)[0]
  const malolactic = plan.malolactic !== 'none' && plan.malolactic !== 'blocked'
  const faults = faultsOf(filled?.wine ?? kept.wine, { sparkling: plan.sparkling, malolactic })
  const burst = bottles.find((b) => b.burst)
  if (burst) faults.push({ code: 'burst', value: burst.count, points: 60 })
  if (!filled) faults.push({ code: 'not-bottled', value: kept.wine.litres, points: NOT_BOTTLED_POINTS })
  const litres = bottles.reduce((sum, b) => sum + (b.burst ? 0 : b.litres), 0)
  const lossShare = Math.max(0, 1 - (litres + (filled ? 0 : kept.wine.litres)) / kept.mostL)
  const lost = Math.max(0, lossShare - USUAL_LOSS) * LOSS_POINTS
  const points = faults.reduce((sum, f) => sum + f.points, 0) + lost
  const hours = entries.filter((e) => 'lotId' in e && e.lotId === lotId).length * ENTRY_H
  return { lotId, score: Math.max(0, Math.round(100 - points)), faults, bottles: Math.round(litres / BOTTLE_L), lossShare, hours }
}

/** The verdict on a lot of a season as it is now; undefined for a lot that nobody has. */
export function verdictOf(world: World, lotId: string, entries: readonly Entry[]): Verdict | undefined {
  const kept = world.kept.get(lotId)
  const lot = world.lot(lotId)
  return kept && lot && judge({ lotId, kept, plan: lotAt(lot, world.now).plan, entries })
}
