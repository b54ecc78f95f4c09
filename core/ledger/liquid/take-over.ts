import type { LotState } from '../state'

/**
 * What a lot is and what becomes of it in its own vessels: it is the lot's and not the wine's. Everything else is true of the wine, and
 * so of each of its parts; what is new in the state goes with the wine unless it is named here.
 */
const OWN = [
  'id',
  'name',
  'stream',
  'style',
  'varieties',
  'vintage',
  'origin',
  'startedAt',
  'lastAt',
  'lastEntryId',
  'massKg',
  'volume',
  'contents',
  'inWood',
  'overWine',
  // Moved by the wine's own share, see `moveGiven` and `movePaid`.
  'added',
  'paid',
  'bottles',
  'bottledL',
  'bottled',
  'tastings'
] as const satisfies readonly (keyof LotState)[]
type Own = (typeof OWN)[number]
const IS_OWN: ReadonlySet<string> = new Set(OWN)

/** An empty lot that is filled from another is the same wine: readings, proofs, packets, what was done to it and what is planned for it. */
export function takeOver(into: LotState, from: LotState): void {
  const { planned } = into
  const wine = Object.fromEntries(Object.entries(from).filter(([key]) => !IS_OWN.has(key))) as Omit<LotState, Own>
  Object.assign(into, wine, {
    others: { ...from.others },
    series: Object.fromEntries(Object.entries(from.series).map(([quantity, points]) => [quantity, [...points]])),
    // What was said of the part itself comes before what was said of the whole.
    planned: { ...from.planned, ...planned }
  })
}
