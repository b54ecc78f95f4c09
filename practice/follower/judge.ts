import { TOTAL_LIMIT } from '../../core/sulphite'
import { abvOf, gravityOf, molecularOf, wineAcids } from '../../simulator'
import type { Season } from './hand'

/** What a season is judged by, on the wine as it truly is. */
export interface Verdict {
  sound: boolean
  bottled: boolean
  faults: string[]
  taskCount: number
  topUps: number
}

/** Bacteria of no packet work on in more alcohol than this, % vol: there the must does not allow it. Common practice, no source. */
const BACTERIA_ABV = 15

/** Twice as much as most people want. Ours. */
const OVER_OAKED = 2

/** Each fault by what is true of the wine in the bottle, or in its vessel where it never got there. */
export function judge({ scenario, wine, filled, bottledDay, tasks, unprotectedDays, keptDays, lot }: Season): Verdict {
  const w = filled ?? wine
  const faults: string[] = []
  // 100 to 200 mg/L of sorbic acid hold a wine, the less the more alcohol it has (craft 3.12).
  const sorbated = w.sorbate >= 95 && molecularOf(w) > 0.3
  const held = sorbated || wine.pasteurised || scenario.plan?.sparkling === true
  if (w.sugar > 4 && !held) faults.push(`sugar ${w.sugar.toFixed(0)} g/L`)
  if (scenario.plan?.sparkling && filled && w.sugar > 34) faults.push(`pressure: ${w.sugar.toFixed(0)} g/L of sugar`)
  const locked = molecularOf(w) >= 0.45 || wine.pasteurised || wineAcids(w).ph < 3.05
  if (filled && w.acids.malic > 0.35 && !locked) faults.push(`malic ${w.acids.malic.toFixed(1)} g/L, unlocked`)
  // What was planned at first counts: giving it up on the way is no success.
  const wanted = ['with-yeast', 'on-skins', 'after-pressing'].includes(scenario.plan?.malolactic ?? '')
  if (wanted && w.acids.malic > 0.5 && abvOf(w) <= BACTERIA_ABV) faults.push(`malolactic wanted, malic ${w.acids.malic.toFixed(1)}`)
  if (w.acids.acetic > 0.8) faults.push(`vinegar ${w.acids.acetic.toFixed(2)} g/L`)
  if (w.oxidised > 14) faults.push(`oxidised ${w.oxidised.toFixed(0)} mg/L`)
  if (w.sulphide > 3.2) faults.push(`sulphide ${w.sulphide.toFixed(1)}`)
  if (filled && w.haze > 12 && lot.plan.clarity !== 'accept') faults.push(`haze ${w.haze.toFixed(0)} NTU`)
  if (w.total > TOTAL_LIMIT[scenario.colour] * 1.05) faults.push(`total SO₂ ${w.total.toFixed(0)}`)
  if (w.free > 60) faults.push(`free SO₂ ${w.free.toFixed(0)}`)
  if (w.oak > OVER_OAKED) faults.push(`oak ${w.oak.toFixed(1)}`)
  const { ph, ta } = wineAcids(w)
  // Who measures neither cannot correct it.
  const blind = scenario.lacks?.includes('ph-meter') && scenario.lacks.includes('acid-kit')
  if (!blind && (ph > 3.95 || ta < 3.4 || ta > 11)) faults.push(`pH ${ph.toFixed(2)}, TA ${ta.toFixed(1)}`)
  // A base wine is kept low, for its second yeast.
  if (!scenario.plan?.sparkling && keptDays > 20 && unprotectedDays / keptDays > 0.35)
    faults.push(`unprotected ${unprotectedDays.toFixed(0)} of ${keptDays.toFixed(0)} days`)
  const taskCount = [...tasks].filter(([code]) => !code.includes(':')).reduce((sum, [, n]) => sum + n, 0)
  return {
    sound: faults.length === 0,
    bottled: bottledDay !== undefined,
    faults,
    taskCount,
    topUps: (tasks.get('top-up') ?? 0) + (tasks.get('top-barrel') ?? 0)
  }
}
export const endOf = ({ filled, wine }: Season): string => {
  const w = filled ?? wine
  return `SG ${gravityOf(w).toFixed(3)}, sugar ${w.sugar.toFixed(0)}, malic ${w.acids.malic.toFixed(2)}, free ${w.free.toFixed(0)}`
}
