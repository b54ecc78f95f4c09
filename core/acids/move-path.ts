import { type AcidChange, applyChange } from './changes'
import type { Composition } from './charge'
import { ACIDS } from './constants'
import { MALIC_LEFT } from './course'
import { fitAcids } from './fit'
import type { AcidReadings } from './pair'
import { acidStateOf } from './predict'
import { solveEquilibrium } from './solve'
import { type Band, READING_UNCERTAINTY, bandOf, possibilities } from './spread'
import type { WineStyle } from './usual'
import { assertNever } from '../units'

/** A move on the map of acids: one thing that can be done, or that happens, to a must or a wine. */
export type AcidMove = 'tartaric' | 'potassium-bicarbonate' | 'water' | 'malolactic' | 'cold'
export const ACID_MOVES: readonly AcidMove[] = ['tartaric', 'potassium-bicarbonate', 'water', 'malolactic', 'cold']

export interface MovePoint {
  /** g/L of acid or carbonate, mL/L of water, per cent of the malic acid gone, °C below 20 for cold. */
  size: number
  ph: number
  taGPerL: number
}

/** Largest size of each move that is drawn, and where the marks stand. */
export const MOVE_SIZES: Record<AcidMove, { max: number, marks: readonly number[] }> = {
  tartaric: { max: 3, marks: [1, 2, 3] },
  'potassium-bicarbonate': { max: 2, marks: [0.5, 1, 1.5, 2] },
  water: { max: 150, marks: [50, 100, 150] },
  malolactic: { max: 100, marks: [50, 100] },
  cold: { max: 22, marks: [22] }
}

/** What a must will be, where the map starts from one: the cold acts on the wine. */
export interface WillBe {
  finalAbv: number
  style: WineStyle
}

/**
 * The way that a move takes over the map, from no move to its largest.
 * @param start mol/L
 * @param move what is done
 * @param steps pieces the way is drawn in, 1 to 60
 * @param willBe the wine a must will be
 * @returns steps + 1 points; where the model has no answer the way ends early
 * @example movePath(fitAcids({ ph: 3.7, taGPerL: 5.5 }).composition, 'tartaric', 3).map(p => p.ph) // falls by about 0.13 a step
 */
export function movePath(start: Composition, move: AcidMove, steps = 12, willBe?: WillBe): MovePoint[] {
  const points: MovePoint[] = []
  for (let i = 0; i <= steps; i++) {
    const size = (MOVE_SIZES[move].max * i) / steps
    const state = acidStateOf(size === 0 ? start : applyChange(start, changeOf(move, size, start, willBe)).composition)
    if (!state.solved) break
    points.push({ size, ph: state.ph, taGPerL: state.taGPerL })
  }
  return points
}

/** The same ways from a pair of readings, each point with its 80 % bands. */
export function bandedWays(
  readings: AcidReadings,
  steps: number,
  willBe?: WillBe,
  uncertainty = READING_UNCERTAINTY
): Record<AcidMove, BandedPoint[]> {
  const fit = fitAcids(readings)
  const possible = possibilities(readings, fit, uncertainty)
  const banded = (move: AcidMove) =>
    movePath(fit.composition, move, steps, willBe).map((point): BandedPoint => {
      const ends = possible.map((p) =>
        solveEquilibrium(
          point.size === 0
            ? p.composition
            : applyChange(p.composition, changeOf(move, point.size, p.composition, willBe), p.luck).composition
        )
      )
      const bands = {
        ph: bandOf(
          point.ph,
          ends.map((e) => e.ph),
          possible
        ),
        taGPerL: bandOf(
          point.taGPerL,
          ends.map((e) => e.taGPerL),
          possible
        )
      }
      return { ...point, bands }
    })
  return Object.fromEntries(ACID_MOVES.map((move) => [move, banded(move)])) as Record<AcidMove, BandedPoint[]>
}
export interface BandedPoint extends MovePoint {
  bands: { ph: Band, taGPerL: Band }
}

/** A move of a size as a change of the model. */
export function changeOf(move: AcidMove, size: number, start: Composition, willBe?: WillBe): AcidChange {
  switch (move) {
    case 'tartaric':
    case 'potassium-bicarbonate':
      return { kind: move, gPerL: size }
    case 'water':
      return { kind: 'water', litresPerLitre: size / 1000 }
    case 'malolactic': {
      const malic = start.acids.malic * ACIDS.malic.molarMass
      return { kind: 'malolactic', toMalicGPerL: Math.max(0, malic - ((malic - Math.min(malic, MALIC_LEFT)) * size) / 100) }
    }
    case 'cold':
      return { kind: 'cold', celsius: 20 - size, ...willBe }
    default:
      return assertNever(move)
  }
}
