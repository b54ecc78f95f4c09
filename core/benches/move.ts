import { BRIM_BY_EYE } from '../cellar'
import { addition, partOfLot, transfer } from '../drafts'
import type { CellarState, Draft, Fact, LotView } from '../ledger'
import { leesShareOf } from '../stages'
import type { SulphiteSalt } from '../sulphite'

/** A volume that was only expected may turn out this much larger: common practice, no source. */
const EXPECTED_SLACK = 1.3
/** So many times the usual lees may still be lees: a loose cap of pulp. Common practice, no source. */
const LEES_AT_MOST = 2.5
/** What is read off a scale may exceed what is thought to be there by so much, L. Our own. */
const SLACK_L = 0.1

export type MoveAs = 'rack' | 'split' | 'top-up' | 'combine'
/** A lot's wine in one of its vessels; no vessel where it is in none that has a name. */
export interface Place { lotId: string, vesselId?: string | undefined }
/** So much of it into this vessel, L. */
export interface MovePart { vesselId: string, litres?: number | undefined }

/** One move of wine, as far as somebody has said it. */
export interface Move {
  as: MoveAs
  /** What is emptied; of a top-up what is filled up. */
  ours: Place
  /** Into which vessels, of a racking or a split. */
  parts: readonly MovePart[]
  /** What a split goes on as, where it becomes a lot of its own. */
  own?: { lotId: string, name: string } | undefined
  /** The wine that tops up, or the lot that takes this one in, and how much goes over, L. */
  other?: Place | undefined
  otherL?: number | undefined
  /** Whether what is left behind is poured away. */
  leavesLees: boolean
  air: 'quiet' | 'splashed'
  /** What went onto what arrived, g of the salt (mL of its stock), beside what was planned. */
  sulphite?: { salt: SulphiteSalt, plannedG: number, actual: number, byStock: boolean } | undefined
}

/** Why it cannot be, at the field that says so. */
export type MoveProblem = { field: string } & (
  | { code: 'no-lot' | 'no-vessel' | 'no-topper' | 'no-partner' | 'no-name' }
  | { code: 'no-room' | 'too-small' | 'not-there', vesselId: string | undefined, litres: number }
)

/** Room above the wine in its vessel, L; none where nobody knows its size. */
export const airOver = (cellar: CellarState, vesselId: string | undefined, litres: number): number =>
  Math.max(0, (cellar.vessels.get(vesselId ?? '')?.capacityL ?? litres) - litres)

const sumOf = (parts: readonly MovePart[]): number => parts.reduce((sum, part) => sum + (part.litres ?? 0), 0)
/** Of the lot in that vessel, L. */
export const heldAt = (lot: LotView | undefined, place: Place): number => lot?.contents.get(place.vesselId ?? '') ?? 0
/** What is left where it came from, L. */
export const leftOf = (heldL: number, { parts }: Pick<Move, 'parts'>): number => Math.max(0, heldL - sumOf(parts))

/** Whether what a racking leaves may be lees: nobody pours good wine away by a default. */
export const mayBeLees = (lot: LotView, heldL: number, leftL: number): boolean => leftL <= heldL * leesShareOf(lot) * LEES_AT_MOST

function tooMuch(of: LotView | undefined, from: Place, litres: number, field: string): MoveProblem | undefined {
  const there = heldAt(of, from)
  const most = there * (of?.volume.origin === 'measured' ? BRIM_BY_EYE : EXPECTED_SLACK) + SLACK_L
  return litres > most ? { code: 'not-there', field, vesselId: from.vesselId, litres: there } : undefined
}

/**
 * The first thing that speaks against a move, if anything does. What is merely not typed yet is said at its field.
 * @param lotOf the lots as they are now
 */
export function problemOfMove(move: Move, cellar: CellarState, lotOf: (id: string) => LotView | undefined): MoveProblem | undefined {
  const { as, ours, parts, other, otherL = 0 } = move
  const lot = lotOf(ours.lotId)
  const capacityOf = (id: string | undefined) => cellar.vessels.get(id ?? '')?.capacityL ?? Number.POSITIVE_INFINITY
  if (!lot) return { code: 'no-lot', field: 'from' }
  if (as === 'top-up') {
    if (!other) return { code: 'no-topper', field: 'topper' }
    const room = capacityOf(ours.vesselId) * BRIM_BY_EYE - heldAt(lot, ours)
    if (otherL > room) return { code: 'no-room', field: 'topL', vesselId: ours.vesselId, litres: Math.max(0, room) }
    return tooMuch(lotOf(other.lotId), other, otherL, 'topL')
  }
  if (as === 'combine') {
    if (!other) return { code: 'no-partner', field: 'partner' }
    return tooMuch(lot, ours, otherL, 'combineL')
  }
  const bare = parts.findIndex((part) => !part.vesselId)
  if (bare >= 0) return { code: 'no-vessel', field: `vessel${bare}` }
  const over = parts.findIndex((part) => (part.litres ?? 0) > capacityOf(part.vesselId) * BRIM_BY_EYE)
  if (over >= 0) {
    const { vesselId } = parts[over]!
    return { code: 'too-small', field: `litres${over}`, vesselId, litres: capacityOf(vesselId) }
  }
  if (as === 'split' && move.own && !move.own.name.trim()) return { code: 'no-name', field: 'ownName' }
  return tooMuch(lot, ours, sumOf(parts), `litres${parts.length - 1}`)
}

/** What is written of a move; nothing while something is wanting. The last part takes the lees along, where what is left is lees. */
export function draftsOfMove(move: Move, cellar: CellarState, lotOf: (id: string) => LotView | undefined): Draft<Fact>[] {
  const { as, ours, parts, other, otherL, air, own, leavesLees, sulphite } = move
  const lot = lotOf(ours.lotId)
  if (!lot || problemOfMove(move, cellar, lotOf)) return []
  if (as === 'top-up') return otherL && other ? [transfer({ purpose: 'top-up', from: other, to: ours, outL: otherL, air })] : []
  const held = heldAt(lot, ours)
  if (as === 'combine') {
    if (!otherL || !other) return []
    const lees = leavesLees ? Math.max(0, held - otherL) : 0
    return [transfer({ purpose: 'blend', from: ours, to: other, outL: otherL + lees, leesL: lees, air })]
  }
  if (parts.some((part) => !part.litres)) return []
  const moves = parts.map(({ vesselId, litres }, i) => {
    const lees = i === parts.length - 1 && leavesLees ? leftOf(held, move) : 0
    return transfer({
      purpose: as,
      from: ours,
      to: { lotId: own?.lotId ?? lot.id, vesselId },
      outL: litres! + lees,
      leesL: lees,
      air
    })
  })
  return [
    ...(own ? [partOfLot(lot, { ...own, name: own.name.trim().slice(0, 80), stream: lot.stream === 'kit' ? 'kit' : 'blend' })] : []),
    ...moves,
    ...(sulphite
      ? [
          addition(
            {
              lotId: lot.id, material: sulphite.salt, planned: sulphite.plannedG, actual: sulphite.actual, byStock: sulphite.byStock,
              purpose: 'at racking'
            },
            cellar.cards
          )
        ]
      : [])
  ]
}
