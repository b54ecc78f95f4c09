import { type Unit, toLitres } from '../units'
import { ROOM, type RoomFor } from './fit'
import type { VesselKind } from './vessel-profile'

type Sizes = Record<VesselKind, readonly number[]>

/** Sizes that vessels are usually sold in where people measure so: common practice, no source. */
const SOLD: Record<'L' | 'US gal' | 'imp gal', Sizes> = {
  'L': {
    bin: [50, 75, 100, 150, 200],
    pail: [10, 15, 20, 25, 30],
    demijohn: [3.8, 4.5, 5, 10, 15, 20, 23, 25, 34, 54],
    tank: [25, 50, 75, 100, 150, 200],
    barrel: [5, 10, 20, 28, 50, 112, 225],
    keg: [9.5, 19, 30, 50]
  },
  'US gal': {
    bin: [10, 20, 32, 44],
    pail: [2, 5, 6, 6.5, 7.9],
    demijohn: [1, 3, 5, 6, 6.5, 14],
    tank: [7, 14, 26, 50],
    barrel: [3, 5, 10, 15, 30, 59],
    keg: [2.5, 5, 7.75]
  },
  'imp gal': {
    bin: [10, 15, 25, 40],
    pail: [2, 3, 5, 6],
    demijohn: [0.5, 1, 2, 3, 5, 10],
    tank: [5, 10, 20, 40],
    barrel: [2, 4.5, 9, 18, 36],
    keg: [2, 4, 9]
  }
}

/** @returns litres, from a list that is round in the unit of the person's volumes; litres where the unit is none of the large ones */
export function usualSizes(kind: VesselKind, unit: Unit): readonly number[] {
  const of = unit === 'US gal' || unit === 'imp gal' ? unit : 'L'
  return SOLD[of][kind].map((size) => toLitres(size, of))
}

/**
 * The usual sizes around what a wine needs: the smallest that holds it with its room, and the one on either side.
 * @param litres what has to go in
 * @param room what has to stay free over it
 * @returns one to three, litres, smallest first
 * @example sizesFor('demijohn', 'L', 18, 'none') // [15, 20, 23]
 */
export function sizesFor(kind: VesselKind, unit: Unit, litres: number, room: RoomFor): readonly number[] {
  const sizes = usualSizes(kind, unit)
  const holds = sizes.findIndex((size) => size * (1 - ROOM[room]) >= litres)
  return holds === -1 ? sizes.slice(-1) : sizes.slice(Math.max(0, holds - 1), holds + 2)
}
