import { type Composition, mediumOf, moveMedium } from './charge'
import { type Conditioned, condition } from './condition'
import { ACIDS } from './constants'
import { potassiumGPerL as potassiumOf } from './potassium'
import { type AcidReadings, type Kind, type Pair, compositionOf, conditionsOf, emptyConditions, pairOf, strengthsOf } from './pair'

export type AcidsFinding =
  | { code: 'tartaric-implausible', tartaricGPerL: number, minGPerL: number, maxGPerL: number }
  | { code: 'potassium-implausible', potassiumGPerL: number, minGPerL: number, maxGPerL: number }
  | { code: 'malic-assumed', malicGPerL: number }
  | { code: 'ph-outside-model', ph: number }
  | { code: 'bitartrate-falls', gPerL: number }
  | { code: 'calcium-slow', gPerL: number }

/** Tartaric acid and potassium found in musts and wines, g/L: wide limits, from memory (Ribéreau-Gayon et al.: 2 to 8 and 0.5 to 2.5). */
export const PLAUSIBLE = { tartaric: { min: 0.5, max: 12 }, potassium: { min: 0.2, max: 4 } } as const
/**
 * Squared distance from the usual at which a pair of readings is doubted: chance 1 in 22 000 for two degrees of freedom, so that
 * no ordinary wine is. Ours.
 */
const DOUBTED_FROM = 20

/** The ionic strength stands when it moves by less than this, mol/L: a ten-millionth in pH. */
const SETTLED = 1e-7

export interface AcidFit {
  composition: Composition
  findings: AcidsFinding[]
  iterations: number
  /** How far the pair lies from what is usual, squared standard deviations. */
  surprise: number
  /** The kinds of composition that it may belong to, with their weights, together 1. */
  kinds: { kind: Kind, weight: number }[]
  /** Ionic strengths at the pH and at the end point. */
  strengths: [wine: number, end: number]
}

/**
 * The most probable composition behind a pH and a titratable acidity. All acids are looked for together, each with its usual
 * content and spread for this must or wine; charge balance at the pH and at the end point are two conditions that are met
 * exactly. What is measured besides (malic, lactic acid) stands in place of what is usual. For a given ionic strength all is
 * linear; the strength is followed by iteration.
 * @param readings pH 2.5 to 4.5, TA 2 to 20 g/L as tartaric, alcohol 0 to 18 % vol, malic and lactic 0 to 15 g/L
 * @returns the composition, and findings when the pair can hardly be a wine
 * @throws LimitError
 * @example fitAcids({ ph: 3.75, taGPerL: 5.2, abv: 13, malicGPerL: 0.1 }) // tartaric 2.8, lactic 2.3 g/L
 */
export function fitAcids(readings: AcidReadings): AcidFit {
  const pair = pairOf(readings)
  let strengths: [number, number] = [0.05, 0.11]
  const [wine, end] = [mediumOf(pair.abv, strengths[0]), mediumOf(pair.abv, strengths[1])]
  const [conditions, moles] = [emptyConditions(), pair.laid.moles.slice()]
  let iterations = 0
  let mixed: Mixture
  do {
    conditionsOf(pair, moveMedium(wine, pair.abv, strengths[0]), moveMedium(end, pair.abv, strengths[1]), conditions)
    mixed = mixture(
      pair,
      pair.kinds.map((k) => condition(k.prior, conditions))
    )
    const next = strengthsOf(pair, mixed.contents, wine, end, moles)
    const moved = Math.max(Math.abs(next[0] - strengths[0]), Math.abs(next[1] - strengths[1]))
    strengths = next
    if (moved < SETTLED) break
  } while (++iterations < 60)
  const composition = compositionOf(pair, mixed.contents)
  return {
    composition,
    iterations,
    strengths,
    surprise: mixed.surprise,
    findings: judge(composition, pair, mixed.surprise),
    kinds: pair.kinds.map((kind, i) => ({ kind, weight: mixed.weights[i]! }))
  }
}

interface Mixture {
  contents: Float64Array
  weights: number[]
  surprise: number
}

/** Every kind meets the conditions, which are linear; so does their mean. */
function mixture(pair: Pair, kinds: Conditioned[]): Mixture {
  if (kinds.length === 1) return { contents: kinds[0]!.contents, weights: [1], surprise: kinds[0]!.surprise }
  const logs = kinds.map((k, i) => k.evidence + pair.kinds[i]!.logWeight)
  const best = Math.max(...logs)
  const raw = logs.map((l) => Math.exp(l - best))
  const total = raw.reduce((a, b) => a + b, 0)
  const weights = raw.map((w) => w / total)
  const contents = new Float64Array(kinds[0]!.contents.length)
  kinds.forEach((k, i) =>
    k.contents.forEach((x, j) => {
      contents[j]! += weights[i]! * x
    })
  )
  return { contents, weights, surprise: Math.min(...kinds.map((k) => k.surprise)) }
}

function judge(composition: Composition, pair: Pair, surprise: number): AcidsFinding[] {
  const found: AcidsFinding[] = []
  const tartaricGPerL = composition.acids.tartaric * ACIDS.tartaric.molarMass
  const potassiumGPerL = potassiumOf(composition)
  const { tartaric, potassium } = PLAUSIBLE
  const outside = (value: number, limits: { min: number, max: number }) => value < limits.min || value > limits.max
  // A pair far from all wines is named by what it would need most of.
  const doubted = surprise > DOUBTED_FROM
  const potassiumFar = Math.abs(Math.log(Math.max(0.05, potassiumGPerL) / 1.2)) > Math.abs(Math.log(Math.max(0.05, tartaricGPerL) / 4))
  if (outside(tartaricGPerL, tartaric) || (doubted && !potassiumFar)) {
    found.push({ code: 'tartaric-implausible', tartaricGPerL, minGPerL: tartaric.min, maxGPerL: tartaric.max })
  }
  if (outside(potassiumGPerL, potassium) || (doubted && potassiumFar)) {
    found.push({ code: 'potassium-implausible', potassiumGPerL, minGPerL: potassium.min, maxGPerL: potassium.max })
  }
  if (!pair.malicKnown) found.push({ code: 'malic-assumed', malicGPerL: composition.acids.malic * ACIDS.malic.molarMass })
  return found
}
