import { type AcidChange, type AcidsFinding, type Composition, acidStateOf, applyChanges, fitAcids } from '../acids'
import { sgFromBrix, sucroseDensity, waterDensity } from '../hydrometry'
import { within } from '../units'
import { type Stage, staged } from './sweeten-or-thin'

export interface Range { min: number, max: number }
export type Material = 'tartaric' | 'malic' | 'citric' | 'potassium-bicarbonate' | 'potassium-carbonate' | 'calcium-carbonate' | 'water' | 'sucrose'

/** Most of each that is sensible in one must, g/L (water L/L): common practice, no source. */
export const ADDITION_LIMITS: Record<Material, number> = {
  'tartaric': 4, 'malic': 2, 'citric': 0.5, 'potassium-bicarbonate': 2, 'potassium-carbonate': 1.4, 'calcium-carbonate': 1.5, 'water': 0.15, 'sucrose': 60
}

export interface TargetRequest {
  must: { brix: number, ph: number, taGPerL: number, malicGPerL?: number }
  windows: { brix?: Range, ph?: Range, ta?: Range }
  /** What the person has, with a limit of their own (g/L, water L/L) or the usual one. */
  available: Partial<Record<Material, number | true>>
  volumeL: number
}

type Quantity = 'brix' | 'ph' | 'ta'
export interface Miss { quantity: Quantity, value: number, window: Range, by: number }
export interface TargetAddition {
  material: Material
  /** g per litre of the must as it stands; litres for water. */
  perLitre: number
  /** For the whole volume: g, or L of water. */
  total: number
  unit: 'g' | 'L'
  stages: Stage[]
}
export interface TargetProposal {
  additions: TargetAddition[]
  predicted: { brix: number, sg: number, ph: number, taGPerL: number }
  missed: Miss[]
}
export interface TargetResult extends TargetProposal {
  /** When not all windows can be met: the same search with TA before pH, if it ends elsewhere. */
  trade?: TargetProposal
  findings: AcidsFinding[]
  evaluations: number
}

/** What one unit of distance outside a window means, and how much it weighs: pH first, TA second (craft 3.5). */
const TOLERANCE: Record<Quantity, number> = { brix: 0.3, ph: 0.05, ta: 0.4 }
const PH_FIRST: Record<Quantity, number> = { brix: 1, ph: 2, ta: 1 }
const TA_FIRST: Record<Quantity, number> = { brix: 1, ph: 0.5, ta: 2 }
/** Size and number of additions weigh little, but they decide between ways that reach the same. */
const PER_SHARE_OF_LIMIT = 0.02
const PER_ADDITION = 0.01

const ACIDS: readonly Material[] = ['tartaric', 'malic', 'citric']
const CARBONATES: readonly Material[] = ['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate']

/**
 * The smallest set of additions that brings a must into the wanted windows, by search over the equilibrium model: water or
 * sugar, at most two acids, or one carbonate; each set is optimised by compass search within its limits.
 * Water goes in before acid; amounts are per litre of the must as it stands.
 * @param request must (Brix 5 to 40, pH and TA as in fitAcids), windows, materials, volume
 * @returns the proposal in stages, what it still misses, and the trade between pH and TA when both cannot be had
 * @throws LimitError
 */
export function findTargets(request: TargetRequest): TargetResult {
  const { must, windows, volumeL } = request
  within('brix', must.brix, 5, 40)
  within('volumeL', volumeL, 0.1, 100_000)
  const fit = fitAcids(must)
  const sets = materialSets(request)
  const search = new Search(fit.composition, must.brix, windows, request.available)
  const best = search.best(sets, PH_FIRST)
  const result: TargetResult = { ...proposal(best, search, volumeL), findings: fit.findings, evaluations: 0 }
  if (result.missed.length > 0) {
    const other = proposal(search.best(sets, TA_FIRST), search, volumeL)
    if (differs(result, other)) result.trade = other
  }
  return { ...result, evaluations: search.evaluations }
}

function materialSets({ must, windows, available }: TargetRequest): Material[][] {
  const has = (m: Material) => available[m] !== undefined && available[m] !== 0
  const sugarSide: Material[][] = [[]]
  if (windows.brix && must.brix > windows.brix.max && has('water')) sugarSide.push(['water'])
  if (windows.brix && must.brix < windows.brix.min && has('sucrose')) sugarSide.push(['sucrose'])
  const acids = ACIDS.filter(has)
  const acidSide: Material[][] = [[], ...acids.map(a => [a]), ...CARBONATES.filter(has).map(c => [c])]
  for (let i = 0; i < acids.length; i++) for (let j = i + 1; j < acids.length; j++) acidSide.push([acids[i]!, acids[j]!])
  return sugarSide.flatMap(s => acidSide.map(a => [...s, ...a]))
}

interface Candidate { materials: Material[], amounts: number[], cost: number }

/** Holds the must and counts the work. */
class Search {
  evaluations = 0
  constructor(
    private readonly start: Composition,
    private readonly startBrix: number,
    private readonly windows: TargetRequest['windows'],
    private readonly available: TargetRequest['available']
  ) {}

  limitOf(material: Material): number {
    const own = this.available[material]
    return typeof own === 'number' ? own : ADDITION_LIMITS[material]
  }

  predict(materials: readonly Material[], amounts: readonly number[]): { brix: number, ph: number, taGPerL: number } {
    this.evaluations++
    let brix = this.startBrix
    const changes: AcidChange[] = []
    materials.forEach((material, i) => {
      const amount = amounts[i]!
      if (material === 'water') {
        const mustKg = sucroseDensity(this.startBrix, 20)
        brix = this.startBrix * mustKg / (mustKg + amount * waterDensity(20))
        changes.push({ kind: 'water', litresPerLitre: amount })
      }
      else if (material === 'sucrose') {
        const mustG = sucroseDensity(this.startBrix, 20)
        brix = (this.startBrix / 100 * mustG + amount) / (mustG + amount) * 100
        changes.push({ kind: 'sugar', gPerL: amount })
      }
      else changes.push({ kind: material, gPerL: amount })
    })
    // Acid is added per litre of the must as it stands, so it goes in before the volume changes.
    const ordered = [...changes.filter(c => c.kind !== 'water' && c.kind !== 'sugar'), ...changes.filter(c => c.kind === 'water' || c.kind === 'sugar')]
    const { ph, taGPerL } = acidStateOf(applyChanges(this.start, ordered).composition)
    return { brix, ph, taGPerL }
  }

  misses(state: { brix: number, ph: number, taGPerL: number }): Miss[] {
    const found: Miss[] = []
    for (const [quantity, value] of [['brix', state.brix], ['ph', state.ph], ['ta', state.taGPerL]] as const) {
      const window = this.windows[quantity]
      if (!window) continue
      const by = value < window.min ? value - window.min : value > window.max ? value - window.max : 0
      // What a home instrument cannot tell is not missed.
      if (Math.abs(by) > TOLERANCE[quantity] / 10) found.push({ quantity, value, window, by })
    }
    return found
  }

  cost(materials: readonly Material[], amounts: readonly number[], weights: Record<Quantity, number>): number {
    const state = this.predict(materials, amounts)
    let cost = 0
    for (const [quantity, value] of [['brix', state.brix], ['ph', state.ph], ['ta', state.taGPerL]] as const) {
      const window = this.windows[quantity]
      if (!window) continue
      const outside = Math.max(0, window.min - value, value - window.max) / TOLERANCE[quantity]
      cost += weights[quantity] * outside * outside
    }
    materials.forEach((m, i) => {
      cost += PER_SHARE_OF_LIMIT * amounts[i]! / this.limitOf(m) + (amounts[i]! > 0 ? PER_ADDITION : 0)
    })
    return cost
  }

  best(sets: readonly Material[][], weights: Record<Quantity, number>): Candidate {
    return sets.map(materials => this.compass(materials, weights)).reduce((a, b) => b.cost < a.cost - 1e-9 ? b : a)
  }

  /** Compass search from the middle of the box: step along each axis, halve the step when none helps. */
  private compass(materials: Material[], weights: Record<Quantity, number>): Candidate {
    const limits = materials.map(m => this.limitOf(m))
    let amounts = limits.map(l => l * 0.3)
    let cost = this.cost(materials, amounts, weights)
    for (let step = 0.25; step > 0.0008; step /= 2) {
      for (let improved = true; improved;) {
        improved = false
        for (let axis = 0; axis < materials.length; axis++) {
          for (const sign of [1, -1]) {
            const trial = amounts.map((a, i) => i === axis ? Math.min(limits[i]!, Math.max(0, a + sign * step * limits[i]!)) : a)
            const trialCost = this.cost(materials, trial, weights)
            if (trialCost < cost - 1e-10) {
              [amounts, cost, improved] = [trial, trialCost, true]
            }
          }
        }
      }
    }
    return { materials, amounts, cost }
  }
}

function proposal({ materials, amounts }: Candidate, search: Search, volumeL: number): TargetProposal {
  const predicted = search.predict(materials, amounts)
  const additions = materials.flatMap((material, i): TargetAddition[] => {
    const perLitre = amounts[i]!
    if (perLitre < search.limitOf(material) * 0.002) return []
    const total = perLitre * volumeL
    return [{ material, perLitre, total, unit: material === 'water' ? 'L' : 'g', stages: staged(total) }]
  })
  return { additions, predicted: { ...predicted, sg: sgFromBrix(predicted.brix) }, missed: search.misses(predicted) }
}

const differs = (a: TargetProposal, b: TargetProposal): boolean =>
  Math.abs(a.predicted.ph - b.predicted.ph) > 0.02 || Math.abs(a.predicted.taGPerL - b.predicted.taGPerL) > 0.2
