import {
  type AcidReadings,
  type AcidsFinding,
  type Band,
  type Composition,
  type Possibility,
  applyChange,
  bandOf,
  fitAcids,
  possibilities,
  solveEquilibrium
} from '../acids'
import { brixFromSg, sgFromBrix } from '../hydrometry'
import { LimitError, within } from '../units'

export interface BlendPart {
  volumeL: number
  /** One of the two, or none. */
  sg?: number
  brix?: number
  abv?: number
  ph?: number
  taGPerL?: number
  malicGPerL?: number
  freeSo2MgPerL?: number
  totalSo2MgPerL?: number
}

/** The same figures of the whole; one is absent when a part does not say it. */
export interface Blend extends BlendPart {
  /** 80 % bands, where pH and TA are known of all parts. */
  bands?: { ph: Band, taGPerL: Band }
  findings: AcidsFinding[]
}

/** Measures that mix by volume, with what they can be: % vol, g/L, mg/L. */
const MEASURES = { abv: 25, malicGPerL: 15, freeSo2MgPerL: 500, totalSo2MgPerL: 1000 } as const

/**
 * What a blend of lots should measure: gravity by mass, alcohol and sulphite by volume, pH and TA by the acid equilibrium
 * (pH values do not average). Volumes are taken to add up; contraction of wines of like strength is below 0.1 %.
 * @param parts two or more, each 0.001 to 100 000 L
 * @param banded false leaves the bands of pH and TA out, which are nearly all of the work
 * @returns the blend; a figure is absent when one of the parts does not give it
 * @throws LimitError
 * @example blendOf([{ volumeL: 10, abv: 12 }, { volumeL: 30, abv: 14 }]).abv // 13.5
 */
export function blendOf(parts: readonly BlendPart[], banded = true): Blend {
  if (parts.length < 2) throw new LimitError('parts', parts.length, 2, 50)
  for (const part of parts) within('volumeL', part.volumeL, 0.001, 100_000)
  const volumeL = parts.reduce((sum, p) => sum + p.volumeL, 0)
  const mean = (of: (p: BlendPart) => number | undefined): number | undefined => {
    let sum = 0
    for (const p of parts) {
      const value = of(p)
      if (value === undefined) return undefined
      sum += value * p.volumeL
    }
    return sum / volumeL
  }
  const blend: Blend = { volumeL, findings: [] }
  const sg = mean((p) => (p.sg === undefined ? (p.brix === undefined ? undefined : sgFromBrix(p.brix)) : within('sg', p.sg, 0.97, 1.22)))
  if (sg !== undefined) Object.assign(blend, { sg, brix: brixFromSg(sg) })
  for (const measure of Object.keys(MEASURES) as (keyof typeof MEASURES)[]) {
    const value = mean((p) => (p[measure] === undefined ? undefined : within(measure, p[measure], 0, MEASURES[measure])))
    if (value !== undefined) blend[measure] = value
  }
  return { ...blend, ...blendedAcids(parts, banded) }
}

interface Part {
  volumeL: number
  composition: Composition
  possible: Possibility[]
}

function blendedAcids(parts: readonly BlendPart[], banded: boolean): Pick<Blend, 'ph' | 'taGPerL' | 'bands' | 'findings'> {
  const known: Part[] = []
  const findings: AcidsFinding[] = []
  for (const { volumeL, ph, taGPerL, malicGPerL, abv } of parts) {
    if (ph === undefined || taGPerL === undefined) return { findings: [] }
    const readings: AcidReadings = {
      ph,
      taGPerL,
      ...(malicGPerL !== undefined && { malicGPerL }),
      ...(abv !== undefined && { abv: Math.min(18, abv) })
    }
    const fit = fitAcids(readings)
    findings.push(...fit.findings.filter((f) => f.code !== 'malic-assumed'))
    known.push({ volumeL, composition: fit.composition, possible: banded ? possibilities(readings, fit) : [] })
  }
  const { ph, taGPerL } = solveEquilibrium(mixture(known.map((p) => ({ volumeL: p.volumeL, composition: p.composition }))))
  if (ph < 2.5 || ph > 4.5) findings.push({ code: 'ph-outside-model', ph })
  if (!banded) return { ph, taGPerL, findings }
  const drawn = drawsOf(known)
  const ends = drawn.map((d) => solveEquilibrium(d.composition))
  return {
    ph,
    taGPerL,
    findings,
    bands: {
      ph: bandOf(
        ph,
        ends.map((e) => e.ph),
        drawn
      ),
      taGPerL: bandOf(
        taGPerL,
        ends.map((e) => e.taGPerL),
        drawn
      )
    }
  }
}

/** One possibility of each part, each part by a different step through its own, so that their errors are not the same. */
function drawsOf(parts: readonly Part[]): Possibility[] {
  return parts[0]!.possible.map((first, i) => {
    const picked = parts.map(({ volumeL, possible }, k) => ({
      volumeL,
      possibility: possible[(i * (1 + 2 * k) + 7 * k) % possible.length]!
    }))
    const composition = mixture(picked.map((p) => ({ volumeL: p.volumeL, composition: p.possibility.composition })))
    return { composition, luck: first.luck, weight: picked.reduce((w, p) => w * p.possibility.weight, 1) }
  })
}

function mixture(parts: readonly { volumeL: number, composition: Composition }[]): Composition {
  return parts.slice(1).reduce(
    (mixed, part) => ({
      volumeL: mixed.volumeL + part.volumeL,
      composition: applyChange(mixed.composition, { kind: 'blend', with: part.composition, litresPerLitre: part.volumeL / mixed.volumeL })
        .composition
    }),
    parts[0]!
  ).composition
}
