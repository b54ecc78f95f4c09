import { type AcidChange, type AcidsFinding, type Composition, type Course, applyChanges, runCourse, solveEquilibrium } from '../acids'
import { sucroseDensity, waterDensity } from '../hydrometry'

export const ACID_MATERIALS = ['tartaric', 'malic', 'citric'] as const
export const CARBONATE_MATERIALS = ['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate'] as const
export type Material = (typeof ACID_MATERIALS)[number] | (typeof CARBONATE_MATERIALS)[number] | 'water' | 'sucrose'
/** Per litre of the must as it stands: g, of water L. */
export type Amounts = Partial<Record<Material, number>>

/** A must with some additions in it: as it would be measured, and where it ends. */
export interface Prospect {
  now: { brix: number | undefined, ph: number, ta: number }
  end: { ph: number, ta: number }
  composition: Composition
  findings: AcidsFinding[]
}

/** Looks at a must with additions tried on it. */
export type Look = (amounts: Amounts) => Prospect

/**
 * @param start the must's acids
 * @param brix of the must, absent for a wine
 * @param course what is planned; where nothing is, the end is now
 */
export function lookAhead(start: Composition, brix: number | undefined, course: Course): Look {
  const seen = new Map<string, Prospect>()
  const tried: Look = (amounts) => {
    const { composition, findings } = applyChanges(start, changesOf(amounts))
    const state = acidsOf(composition)
    const end = course.malolactic || course.cold ? acidsOf(runCourse(composition, course)) : state
    return { now: { brix: brix === undefined ? undefined : brixWith(brix, amounts), ...state }, end, composition, findings }
  }
  // The searches ask for the ends of their brackets again and again.
  return (amounts) => {
    const key = JSON.stringify(amounts)
    const known = seen.get(key) ?? tried(amounts)
    seen.set(key, known)
    return known
  }
}

/** Acid and carbonate are weighed per litre of the must as it stands, so they go in before the volume changes. */
export function changesOf(amounts: Amounts): AcidChange[] {
  const changes: AcidChange[] = []
  for (const material of [...ACID_MATERIALS, ...CARBONATE_MATERIALS]) {
    const gPerL = amounts[material]
    if (gPerL) changes.push({ kind: material, gPerL })
  }
  if (amounts.water) changes.push({ kind: 'water', litresPerLitre: amounts.water })
  if (amounts.sucrose) changes.push({ kind: 'sugar', gPerL: amounts.sucrose })
  return changes
}

function brixWith(brix: number, { water = 0, sucrose = 0 }: Amounts): number {
  const mustG = sucroseDensity(brix, 20)
  return (((brix / 100) * mustG + sucrose) / (mustG + sucrose + water * waterDensity(20))) * 100
}

/** pH and TA of a composition. */
export function acidsOf(composition: Composition): { ph: number, ta: number } {
  const { ph, taGPerL } = solveEquilibrium(composition)
  return { ph, ta: taGPerL }
}
