import { acidStateOf, applyChange, fitAcids } from '../acids'
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
export type Blend = BlendPart

/** Measures that mix by volume, with what they can be: % vol, g/L, mg/L. */
const MEASURES = { abv: 25, malicGPerL: 15, freeSo2MgPerL: 500, totalSo2MgPerL: 1000 } as const

/**
 * What a blend of lots should measure: gravity by mass, alcohol and sulphite by volume, pH and TA by the acid equilibrium
 * (pH values do not average). Volumes are taken to add up; contraction of wines of like strength is below 0.1 %.
 * @param parts two or more, each 0.001 to 100 000 L
 * @returns the blend; a figure is absent when one of the parts does not give it
 * @throws LimitError
 * @example blendOf([{ volumeL: 10, abv: 12 }, { volumeL: 30, abv: 14 }]).abv // 13.5
 */
export function blendOf(parts: readonly BlendPart[]): Blend {
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
  const blend: Blend = { volumeL }
  const sg = mean(p => p.sg === undefined ? p.brix === undefined ? undefined : sgFromBrix(p.brix) : within('sg', p.sg, 0.97, 1.22))
  if (sg !== undefined) Object.assign(blend, { sg, brix: brixFromSg(sg) })
  for (const measure of Object.keys(MEASURES) as (keyof typeof MEASURES)[]) {
    const value = mean(p => p[measure] === undefined ? undefined : within(measure, p[measure], 0, MEASURES[measure]))
    if (value !== undefined) blend[measure] = value
  }
  return { ...blend, ...blendedAcids(parts) }
}

function blendedAcids(parts: readonly BlendPart[]): { ph?: number, taGPerL?: number } {
  let mixed: { composition: ReturnType<typeof fitAcids>['composition'], volumeL: number } | undefined
  for (const { volumeL, ph, taGPerL, malicGPerL, abv } of parts) {
    if (ph === undefined || taGPerL === undefined) return {}
    const { composition } = fitAcids({ ph, taGPerL, ...(malicGPerL !== undefined && { malicGPerL }), ...(abv !== undefined && { abv }) })
    mixed = mixed === undefined
      ? { composition, volumeL }
      : { composition: applyChange(mixed.composition, { kind: 'blend', with: composition, litresPerLitre: volumeL / mixed.volumeL }).composition, volumeL: mixed.volumeL + volumeL }
  }
  const { ph, taGPerL } = acidStateOf(mixed!.composition)
  return { ph, taGPerL }
}
