import { assertNever, within } from '../units'
import { WEEKS_OF_COLD, bitartrateExcess, coldShare, withoutBitartrate } from './bitartrate'
import { settleCalcium } from './calcium'
import type { Composition } from './charge'
import { ACIDS, ACID_NAMES, type AcidName, BITARTRATE_MOLAR_MASS, type DeacidifyingSalt, SALTS } from './constants'
import { type Luck, USUAL_LUCK, bacteriaAcids, fermentAcids } from './ferment'
import type { AcidsFinding } from './fit'
import type { WineStyle } from './usual'

/** One step done to a must or a wine. Masses are per litre of what stands in the vessel before the step. */
export type AcidChange =
  | { kind: 'tartaric' | 'malic' | 'citric' | 'lactic', gPerL: number }
  /** A mixed acid of the trade: shares by mass, together 1. */
  | { kind: 'acid-blend', gPerL: number, tartaricShare: number, malicShare: number, citricShare: number }
  | { kind: DeacidifyingSalt, gPerL: number }
  | { kind: 'water', litresPerLitre: number }
  | { kind: 'sugar', gPerL: number }
  | { kind: 'blend', with: Composition, litresPerLitre: number }
  /** What the ferment itself does to the acids, up to an alcohol, % vol. */
  | { kind: 'ferment', toAbv: number, style?: WineStyle }
  | { kind: 'malolactic', toMalicGPerL: number }
  /**
   * Weeks of cold; with a holding factor given, all that is above it falls. For a must, `finalAbv` and `style` say which wine it
   * will be when it stands cold: what falls is computed for that wine.
   */
  | { kind: 'cold', celsius: number, weeks?: number, holdingFactor?: number, finalAbv?: number, style?: WineStyle }

/** Volume that a gram of dissolved sucrose takes up, L (partial specific volume, craft 4.4). */
const LITRES_PER_GRAM_SUGAR = 0.00062

export interface Changed {
  composition: Composition
  findings: AcidsFinding[]
}

/**
 * A composition after one change.
 * @param before mol/L
 * @param change the step; masses 0 to 20 g/L (sugar 300), water 0 to 1 L/L
 * @param luck how what nobody can know of it falls out; the usual when left out
 * @returns the composition after it and what happened on the way
 * @throws LimitError
 */
export function applyChange(before: Composition, change: AcidChange, luck: Luck = USUAL_LUCK): Changed {
  switch (change.kind) {
    case 'tartaric':
    case 'malic':
    case 'citric':
    case 'lactic':
      return { composition: withAcid(before, change.kind, within('gPerL', change.gPerL, 0, 20)), findings: [] }
    case 'acid-blend': {
      const g = within('gPerL', change.gPerL, 0, 20)
      within('shares', change.tartaricShare + change.malicShare + change.citricShare, 0.999, 1.001)
      const parts = [
        ['tartaric', change.tartaricShare],
        ['malic', change.malicShare],
        ['citric', change.citricShare]
      ] as const
      return { composition: parts.reduce((c, [name, share]) => withAcid(c, name, g * share), before), findings: [] }
    }
    case 'potassium-bicarbonate':
    case 'potassium-carbonate':
    case 'calcium-carbonate': {
      const salt = SALTS[change.kind]
      const moles = within('gPerL', change.gPerL, 0, 10) / salt.molarMass
      // The carbonic acid leaves as gas; its base stays.
      if (change.kind !== 'calcium-carbonate')
        return { composition: { ...before, strongIon: before.strongIon + moles * salt.base }, findings: [] }
      return {
        composition: { ...before, calcium: before.calcium + moles },
        findings: change.gPerL > 0 ? [{ code: 'calcium-slow', gPerL: change.gPerL }] : []
      }
    }
    case 'water':
      return { composition: diluted(before, 1 / (1 + within('litresPerLitre', change.litresPerLitre, 0, 1))), findings: [] }
    case 'sugar':
      return { composition: diluted(before, 1 / (1 + within('gPerL', change.gPerL, 0, 300) * LITRES_PER_GRAM_SUGAR)), findings: [] }
    case 'blend':
      return { composition: mixed(before, change.with, within('litresPerLitre', change.litresPerLitre, 0, 1000)), findings: [] }
    case 'malolactic': {
      const left = Math.min(before.acids.malic, within('toMalicGPerL', change.toMalicGPerL, 0, 15) / ACIDS.malic.molarMass)
      return { composition: bacteriaAcids(before, before.acids.malic - left, luck), findings: [] }
    }
    case 'ferment': {
      const { composition, fallenGPerL } = fermentAcids(before, within('toAbv', change.toAbv, 0, 18), change.style, luck)
      return { composition, findings: fell(fallenGPerL) }
    }
    case 'cold':
      return stoodCold(before, change, luck)
    default:
      return assertNever(change)
  }
}

const fell = (gPerL: number): AcidsFinding[] => (gPerL > 0.005 ? [{ code: 'bitartrate-falls', gPerL }] : [])

function stoodCold(before: Composition, change: Extract<AcidChange, { kind: 'cold' }>, luck: Luck): Changed {
  const { celsius, weeks = WEEKS_OF_COLD, holdingFactor, finalAbv = 0, style } = change
  const wine = finalAbv > before.abv ? fermentAcids(before, within('finalAbv', finalAbv, 0, 18), style, luck).composition : before
  const share = holdingFactor === undefined ? Math.min(1, coldShare(within('weeks', weeks, 0, 520), luck.cold)) : 1
  const most = 0.9 * Math.max(0, Math.min(before.acids.tartaric, before.strongIon))
  const fallen = Math.min(bitartrateExcess(wine, celsius, holdingFactor) * share, most)
  return { composition: settleCalcium(withoutBitartrate(before, fallen)), findings: fell(fallen * BITARTRATE_MOLAR_MASS) }
}

function withAcid(c: Composition, name: AcidName, gPerL: number): Composition {
  return { ...c, acids: { ...c.acids, [name]: c.acids[name] + gPerL / ACIDS[name].molarMass } }
}

function diluted(c: Composition, share: number): Composition {
  const acids = { ...c.acids }
  for (const name of ACID_NAMES) acids[name] *= share
  return { abv: c.abv * share, strongIon: c.strongIon * share, calcium: c.calcium * share, acids }
}

function mixed(a: Composition, b: Composition, litresOfBPerLitreOfA: number): Composition {
  const share = 1 / (1 + litresOfBPerLitreOfA)
  const mix = (x: number, y: number) => x * share + y * (1 - share)
  const acids = { ...a.acids }
  for (const name of ACID_NAMES) acids[name] = mix(acids[name], b.acids[name])
  return { abv: mix(a.abv, b.abv), strongIon: mix(a.strongIon, b.strongIon), calcium: mix(a.calcium, b.calcium), acids }
}
