import { assertNever, within } from '../units'
import { settleBitartrate } from './bitartrate'
import type { Composition } from './charge'
import { ACIDS, ACID_NAMES, type AcidName, type DeacidifyingSalt, SALTS } from './constants'
import type { AcidsFinding } from './fit'

/** One step done to a must or a wine. Masses are per litre of what stands in the vessel before the step. */
export type AcidChange =
  | { kind: 'tartaric' | 'malic' | 'citric' | 'lactic', gPerL: number }
  /** A mixed acid of the trade: shares by mass, together 1. */
  | { kind: 'acid-blend', gPerL: number, tartaricShare: number, malicShare: number, citricShare: number }
  | { kind: DeacidifyingSalt, gPerL: number }
  | { kind: 'water', litresPerLitre: number }
  | { kind: 'sugar', gPerL: number }
  | { kind: 'blend', with: Composition, litresPerLitre: number }
  | { kind: 'malolactic', toMalicGPerL: number }
  | { kind: 'cold', celsius: number, holdingFactor?: number }

/** Volume that a gram of dissolved sucrose takes up, L (partial specific volume, craft 4.4). */
const LITRES_PER_GRAM_SUGAR = 0.00062

/**
 * A composition after one change.
 * @param before mol/L
 * @param change the step; masses 0 to 20 g/L (sugar 300), water 0 to 1 L/L
 * @returns the composition after it and what happened on the way
 * @throws LimitError
 */
export function applyChange(before: Composition, change: AcidChange): { composition: Composition, findings: AcidsFinding[] } {
  switch (change.kind) {
    case 'tartaric': case 'malic': case 'citric': case 'lactic':
      return { composition: withAcid(before, change.kind, within('gPerL', change.gPerL, 0, 20)), findings: [] }
    case 'acid-blend': {
      const g = within('gPerL', change.gPerL, 0, 20)
      within('shares', change.tartaricShare + change.malicShare + change.citricShare, 0.999, 1.001)
      const parts = [['tartaric', change.tartaricShare], ['malic', change.malicShare], ['citric', change.citricShare]] as const
      return { composition: parts.reduce((c, [name, share]) => withAcid(c, name, g * share), before), findings: [] }
    }
    case 'potassium-bicarbonate': case 'potassium-carbonate': case 'calcium-carbonate': {
      const salt = SALTS[change.kind]
      const moles = within('gPerL', change.gPerL, 0, 10) / salt.molarMass * salt.base
      // The carbonic acid leaves as gas; its base stays.
      return {
        composition: { ...before, strongIon: before.strongIon + moles },
        findings: change.kind === 'calcium-carbonate' ? [{ code: 'calcium-slow', gPerL: change.gPerL }] : []
      }
    }
    case 'water': return { composition: diluted(before, 1 / (1 + within('litresPerLitre', change.litresPerLitre, 0, 1))), findings: [] }
    case 'sugar': return { composition: diluted(before, 1 / (1 + within('gPerL', change.gPerL, 0, 300) * LITRES_PER_GRAM_SUGAR)), findings: [] }
    case 'blend': return { composition: mixed(before, change.with, within('litresPerLitre', change.litresPerLitre, 0, 1000)), findings: [] }
    case 'malolactic': {
      const left = Math.min(before.acids.malic, within('toMalicGPerL', change.toMalicGPerL, 0, 15) / ACIDS.malic.molarMass)
      const turned = before.acids.malic - left
      return { composition: { ...before, acids: { ...before.acids, malic: left, lactic: before.acids.lactic + turned } }, findings: [] }
    }
    case 'cold': {
      const settled = settleBitartrate(before, change.celsius, change.holdingFactor)
      return { composition: settled.composition, findings: settled.fallenGPerL > 0 ? [{ code: 'bitartrate-falls', gPerL: settled.fallenGPerL }] : [] }
    }
    default: return assertNever(change)
  }
}

function withAcid(c: Composition, name: AcidName, gPerL: number): Composition {
  return { ...c, acids: { ...c.acids, [name]: c.acids[name] + gPerL / ACIDS[name].molarMass } }
}

function diluted(c: Composition, share: number): Composition {
  return mapped(c, v => v * share)
}

function mixed(a: Composition, b: Composition, litresOfBPerLitreOfA: number): Composition {
  const share = 1 / (1 + litresOfBPerLitreOfA)
  return {
    abv: a.abv * share + b.abv * (1 - share),
    strongIon: a.strongIon * share + b.strongIon * (1 - share),
    acids: Object.fromEntries(ACID_NAMES.map(n => [n, a.acids[n] * share + b.acids[n] * (1 - share)])) as Record<AcidName, number>
  }
}

const mapped = (c: Composition, f: (v: number) => number): Composition => ({
  abv: f(c.abv), strongIon: f(c.strongIon), acids: Object.fromEntries(ACID_NAMES.map(n => [n, f(c.acids[n])])) as Record<AcidName, number>
})
