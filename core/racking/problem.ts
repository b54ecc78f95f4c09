import { BRIM_BY_EYE } from '../cellar'
import { LimitError, within } from '../units'

/** A wine that is to have a place: litres are what there will be, net of lees. */
export interface WineToPlace {
  id: string
  litres: number
  /** It is to come off its lees: it cannot stay where it lies, and may come back there only when the vessel was washed. */
  offLees?: boolean
}

export interface VesselOnFloor {
  id: string
  capacityL: number
  /** What stands in it now; free without. */
  wineId?: string
  /** L of it; its share of the wine where it is not said. */
  litres?: number
  /** Not clean, of the wrong stuff, leaking: nothing may stand in it. */
  usable?: boolean
}

export interface RackingAsked {
  wines: readonly WineToPlace[]
  vessels: readonly VesselOnFloor[]
  /** Pairs that may stand in one vessel. */
  mayMix?: readonly (readonly [string, string])[]
  maxSeconds?: number
}

/** Wine of one lot where it stands before; without a vessel it comes from outside, from the press or a pail. */
export interface Source {
  index: number
  wine: number
  vessel: number | undefined
  litres: number
}

/** The same in numbers, checked. */
export interface Problem {
  wines: readonly WineToPlace[]
  vessels: readonly (VesselOnFloor & { usable: boolean })[]
  sources: readonly Source[]
  /** Whether two wines may stand in one vessel, by their places. */
  mixes: (a: number, b: number) => boolean
}

/** Most that is asked in one go: a home cellar on a long day. */
const MOST = { wines: 40, vessels: 80 } as const

/**
 * A racking day in numbers. What stands in the vessels is brought to what the wine will be net of its lees; litres that nobody said are
 * shared by capacity.
 * @throws LimitError for litres and capacities that cannot be, and for a wine that is named and not there
 */
export function problemOf({ wines, vessels, mayMix = [] }: RackingAsked): Problem {
  within('wines', wines.length, 1, MOST.wines)
  within('vessels', vessels.length, 1, MOST.vessels)
  const place = new Map(wines.map((w, i) => [w.id, i]))
  if (place.size < wines.length) throw new LimitError('wines', wines.length, 1, place.size)
  const ids = new Set(vessels.map((v) => v.id))
  if (ids.size < vessels.length) throw new LimitError('vessels', vessels.length, 1, ids.size)
  for (const w of wines) within('litres', w.litres, 0, 100_000)
  for (const v of vessels) {
    within('capacityL', v.capacityL, 0.1, 100_000)
    if (v.litres !== undefined) within('litres', v.litres, 0, v.capacityL * BRIM_BY_EYE)
    if (v.wineId !== undefined && !place.has(v.wineId)) throw new LimitError('wineId', vessels.indexOf(v), 0, 0)
  }
  const sources = wines.flatMap((wine, i) => sourcesOf(wine, i, vessels))
  const pairs = new Set(mayMix.flatMap(([a, b]) => [`${place.get(a)}|${place.get(b)}`, `${place.get(b)}|${place.get(a)}`]))
  return {
    wines,
    vessels: vessels.map((v) => ({ ...v, usable: v.usable !== false })),
    sources: sources.map((s, index) => ({ ...s, index })),
    mixes: (a, b) => a === b || pairs.has(`${a}|${b}`)
  }
}

/** Less than this is nothing, L. */
export const NOTHING = 1e-6

function sourcesOf(wine: WineToPlace, w: number, vessels: readonly VesselOnFloor[]): Omit<Source, 'index'>[] {
  if (wine.litres <= NOTHING) return []
  const held = vessels.flatMap((v, i) => (v.wineId === wine.id ? [{ v, i }] : []))
  if (held.length === 0) return [{ wine: w, vessel: undefined, litres: wine.litres }]
  const said = held.reduce((sum, { v }) => sum + (v.litres ?? 0), 0)
  const open = held.filter(({ v }) => v.litres === undefined)
  const room = open.reduce((sum, { v }) => sum + v.capacityL, 0)
  const rest = Math.max(0, wine.litres - said)
  const litres = held.map(({ v, i }) => ({ i, litres: v.litres ?? (rest * v.capacityL) / room }))
  const all = litres.reduce((sum, l) => sum + l.litres, 0)
  if (all <= NOTHING) throw new LimitError('litres', wine.litres, 0, 0)
  return litres
    .map(({ i, litres: l }) => ({ wine: w, vessel: i, litres: (l * wine.litres) / all }))
    .filter((s) => s.litres > NOTHING)
}
