import { Solver } from 'odex'
import { ethanolWaterDensity, sgFromBrix, sugarScales } from '../../hydrometry'
import { findRoot, normalFrom, seeded } from '../../units'
import { type Feed, type Form, type Strain, ethanolInhibited, nitrogenLimited } from './forms.fixture'
import { delayedDeath, gompertz, pieces, richards } from './more-forms.fixture'

/** A ferment of one of the reference forms, whole. */
export interface TrueFerment {
  form: FormName
  originalSg: number
  yanMgPerL: number
  givenMgPerL: number
  toleranceAbv: number
  style: 'red' | 'white'
  celsiusAt: (hours: number) => number
  /** What somebody would have said beforehand. */
  expectedCelsius: number
  sgAt: (hours: number) => number
  sugarAt: (hours: number) => number
  oneThird: number | null
  twoThirds: number | null
  /** Sugar at 2 g/L or less. */
  dry: number | null
  endSg: number
  endSugar: number
  /** From when it does not go on though sugar is left: under 0.0006 in a day, more than 18 g/L. */
  stoppedAt: number | null
  cause: 'cold' | 'heat' | 'alcohol' | null
}

const STEP_H = 3
const LONGEST_H = 1500
const FORMS = {
  'nitrogen-limited': nitrogenLimited,
  'ethanol-inhibited': ethanolInhibited,
  'delayed-death': delayedDeath,
  'richards': richards,
  'gompertz': gompertz,
  'pieces': pieces
} satisfies Record<string, Form>
export type FormName = keyof typeof FORMS
export const FORM_NAMES = Object.keys(FORMS) as FormName[]

/**
 * One ferment: 16 to 28 °Brix, 12 to 30 °C, YAN 60 to 350 mg/L, some fed, some brought to a stop by cold, heat or their alcohol.
 * @param i decides form and fate together with the seed
 * @param of one form for all
 */
export function trueFerment(i: number, seed: number, of?: FormName): TrueFerment {
  const random = seeded(seed * 7919 + i * 104729)
  const normal = normalFrom(random)
  const between = (low: number, high: number) => low + (high - low) * random()
  const about = (spread: number) => Math.exp(spread * normal())
  const any = FORM_NAMES[Math.floor(random() * FORM_NAMES.length)]!
  const form = of ?? any
  const brix = between(16, 28)
  const style = random() < 0.55 ? 'red' : 'white'
  const middle = style === 'red' ? between(20, 30) : between(12, 20)
  const fate = random()
  const cause = fate < 0.08 ? 'cold' : fate < 0.14 ? 'heat' : null
  const turn = between(50, style === 'red' ? 130 : 320)
  const lasts = between(8, 30)
  const wave = { size: between(0, 1.6), phase: random() * 6.28, warm: between(0, style === 'red' ? 4 : 1.5), peak: between(50, 140) }
  const coldTo = between(5, 7)
  const heatTo = between(39.5, 41)
  const celsiusAt = (h: number): number => {
    const usual =
      middle + wave.size * Math.sin((h / 24) * 6.283 + wave.phase) + wave.warm * Math.exp(-(((h - wave.peak) / 45) ** 2)) - wave.warm / 2
    if (cause === 'cold' && h > turn) return Math.max(coldTo, usual - (usual - coldTo) * Math.min(1, (h - turn) / 10))
    if (cause === 'heat' && h > turn - 12 && h < turn + lasts) return usual + (heatTo - usual) * Math.min(1, (h - turn + 12) / 12)
    return usual
  }
  const strain: Strain = {
    growth: about(0.2),
    uptake: about(0.2),
    death: about(0.35),
    cells: about(0.12),
    affinity: about(0.25),
    inoculum: about(0.35),
    toleranceAbv: between(14, 18)
  }
  // Extract without sugar: reds 20 to 31 g/L, whites 15 to 25 (handbook ranges, from memory).
  const sugarFree = style === 'red' ? between(20, 31) : between(15, 25)
  const scales = sugarScales(brix, 'brix')
  const sugarGPerL = scales.sugarGPerL - sugarFree
  const yan = between(60, 350)
  const given = random() < 0.5 ? between(20, 120) : 0
  const feeds: Feed[] =
    given > 0
      ? [
          { hours: between(16, 30), gPerL: given / 2000 },
          { hours: between(48, 90), gPerL: given / 2000 }
        ]
      : []
  const grid = integrate(FORMS[form], { sugarGPerL, nitrogenGPerL: yan / 1000 }, strain, celsiusAt, feeds)
  const at = (which: 'sugar' | 'ethanol', h: number): number => {
    const x = Math.min(grid[which].length - 1.0001, Math.max(0, h / STEP_H))
    const k = Math.floor(x)
    return grid[which][k]! + (grid[which][k + 1]! - grid[which][k]!) * (x - k)
  }
  const sgAt = (h: number) => sgOfWine(at('sugar', h) + sugarFree, at('ethanol', h))
  const crossed = (sugar: number): number | null => {
    const k = grid.sugar.findIndex((s) => s <= sugar)
    return k < 1 ? null : STEP_H * (k - 1 + (grid.sugar[k - 1]! - sugar) / (grid.sugar[k - 1]! - grid.sugar[k]!))
  }
  const days = Math.round(24 / STEP_H)
  const begun = grid.sugar.findIndex((s) => s < sugarGPerL * 0.93)
  const stop =
    begun < 0
      ? -1
      : grid.sugar.findIndex(
          (s, k) =>
            k > begun &&
            s > 18 &&
            k + days < grid.sugar.length &&
            sgAt(k * STEP_H) - sgAt((k + days) * STEP_H) < 0.0006 &&
            s - grid.sugar.at(-1)! < 4
        )
  return {
    form,
    originalSg: sgOfWine(sugarGPerL + sugarFree, 0),
    yanMgPerL: yan,
    givenMgPerL: given,
    toleranceAbv: strain.toleranceAbv,
    style,
    celsiusAt,
    expectedCelsius: middle + normal() * 1,
    sgAt,
    sugarAt: (h) => at('sugar', h),
    oneThird: crossed((sugarGPerL * 2) / 3),
    twoThirds: crossed(sugarGPerL / 3),
    dry: crossed(2),
    endSg: sgAt(LONGEST_H),
    endSugar: at('sugar', LONGEST_H),
    stoppedAt: stop < 0 ? null : stop * STEP_H,
    cause: cause ?? (stop < 0 ? null : 'alcohol')
  }
}

/** Sugar and ethanol on a grid of hours, by an extrapolation method (Hairer and Wanner's ODEX). */
function integrate(
  form: Form,
  must: { sugarGPerL: number, nitrogenGPerL: number },
  strain: Strain,
  celsiusAt: (h: number) => number,
  feeds: Feed[]
) {
  const sugar: number[] = []
  const ethanol: number[] = []
  let state = form.start(must, strain)
  const note = () => {
    sugar.push(Math.max(0, state.at(-1)!))
    ethanol.push(Math.max(0, state.at(-2)!))
  }
  note()
  for (let h = 0; h < LONGEST_H; h += STEP_H) {
    for (const feed of feeds) if (feed.hours >= h && feed.hours < h + STEP_H) state[form.nitrogenAt]! += feed.gPerL
    if (state.at(-1)! > 0.05) {
      const solver = new Solver(state.length)
      solver.absoluteTolerance = solver.relativeTolerance = 1e-5
      state = solver.solve((x, y) => form.rates(y, celsiusAt(x), must, strain), h, state, h + STEP_H).y
    }
    note()
  }
  return { sugar, ethanol }
}

const WATER = ethanolWaterDensity(0)
/** Tabarié: what is dissolved and alcohol each move the gravity as if alone. */
function sgOfWine(dissolvedGPerL: number, ethanolGPerL: number): number {
  const brix = findRoot((b) => sugarScales(b, 'brix').sugarGPerL - dissolvedGPerL, 0, 45, 1e-6).x
  return sgFromBrix(brix) + ethanolWaterDensity(Math.min(20, ethanolGPerL / 7.894)) / WATER - 1
}

/** What somebody read: once or twice a day, give or take, with the hydrometer's error, gaps and a missed weekend. */
export function sampled(ferment: TrueFerment, i: number, seed: number): { hours: number, sg: number, celsius: number }[] {
  const random = seeded(seed * 31337 + i * 7907 + 5)
  const normal = normalFrom(random)
  const twice = random() < 0.4
  const weekend = random() < 0.4 ? 24 * (2 + Math.floor(random() * 8)) : -1
  const offset = 6 + random() * 18
  const looks: { hours: number, sg: number, celsius: number }[] = []
  for (let h = offset; h < LONGEST_H - 30; h += twice ? 12 : 24) {
    const hours = Math.max(1, h + normal() * 1.2)
    if (random() < 0.07 || (weekend >= 0 && hours > weekend && hours < weekend + 54)) continue
    const sg = Math.round((ferment.sgAt(hours) + 0.001 * normal() * 0.78) * 2000) / 2000
    looks.push({ hours, sg, celsius: Math.round((ferment.celsiusAt(hours) + 0.5 * normal()) * 2) / 2 })
  }
  return looks
}
