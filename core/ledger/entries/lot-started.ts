import type { EntryOf } from '../entry'
import { TYPICAL_BOUND_SHARE } from '../../sulphite'
import type { Folding } from '../fold/folding'
import { NOTHING_PAID } from '../paid'
import type { Figure, LotState, Source } from '../state'
import { type EntryKind, NOTHING_TOUCHED } from './kind'
import { fill } from './transfer'

/** A volume reckoned from the fruit is known to about a sixth, one read from a scale on the vessel to two hundredths. */
const VOLUME_SPREAD = { expected: 0.15, measured: 0.02 } as const

export const lotStarted: EntryKind<'lot-started'> = {
  type: 'lot-started',
  touches: (e) => ({ ...NOTHING_TOUCHED, lots: [e.lotId], vessels: e.vesselId ? [e.vesselId] : [] }),
  apply(folding, start) {
    if (folding.cellar.lots.has(start.lotId)) {
      folding.problem({ code: 'started-twice', entryId: start.id, lotId: start.lotId })
      return
    }
    if (start.arrivalId) folding.cellar.arrivals.delete(start.arrivalId)
    const lot = folding.put(folding.cellar.lots, start.lotId, newLot(start))
    if (start.sulphited) cameSulphited(lot, start.sulphited, start.sulphitedMgPerL, { id: start.id, at: start.at })
    const vessel = start.vesselId ? folding.vessel(start.vesselId) : undefined
    if (start.vesselId && !vessel) folding.problem({ code: 'unknown-vessel', entryId: start.id, vesselId: start.vesselId })
    if (vessel?.lotId) folding.problem({ code: 'vessel-taken', entryId: start.id, vesselId: vessel.id, byLotId: vessel.lotId })
    else if (vessel) fill(vessel, lot, start.at)
    if (vessel?.lotId === lot.id) lot.contents.set(vessel.id, start.volumeL)
    // A part of another lot starts with nothing: it stands nowhere until that is moved into it.
    else if (start.volumeL > 0) lot.contents.set('', start.volumeL)
  }
}

/** What came with sulphite and nobody knows how much, mg/L total: 30 to 60 is usual. Common practice, no source. */
const USUAL_ON_ARRIVAL = { value: 45, uncertainty: 25, freeShare: 1 / 3 } as const

/** Must or juice that came with sulphite in it; where nobody knows, as if it had. */
export function cameSulphited(
  lot: LotState,
  is: NonNullable<LotState['sulphitedOnArrival']>,
  mgPerL: number | undefined,
  by: { id: string, at: string }
): void {
  lot.sulphitedOnArrival = is
  if (is === 'no') return
  const { value, uncertainty, freeShare } = USUAL_ON_ARRIVAL
  const total = mgPerL ?? value
  const spread = mgPerL === undefined ? uncertainty : mgPerL * 0.2
  const about = { origin: 'estimated', at: by.at, from: [by.id] } as const
  const figure = (share: number): Figure => ({ value: total * share, uncertainty: spread * share, ...about, from: [...about.from] })
  lot.totalSo2 ??= figure(1)
  lot.freeSo2 ??= figure(freeShare)
}

function newLot(start: EntryOf<'lot-started'>): LotState {
  return {
    id: start.lotId,
    name: start.name,
    stream: start.stream,
    style: start.style,
    varieties: start.varieties,
    startedAt: start.at,
    lastAt: start.at,
    lastEntryId: start.id,
    alcoholic: 'none',
    volume: {
      value: start.volumeL,
      origin: start.volumeIs === 'measured' ? 'measured' : 'estimated',
      at: start.at,
      uncertainty: start.volumeL * VOLUME_SPREAD[start.volumeIs],
      from: [start.id]
    },
    contents: new Map(),
    others: {},
    sources: sourcesOf(start),
    series: {},
    doses: [],
    pendingDose: undefined,
    endedTasks: new Map(),
    packetsIn: new Set(),
    acts: [],
    rackings: [],
    overWine: new Map(),
    boundShare: TYPICAL_BOUND_SHARE,
    planned: {},
    added: new Map(),
    putIn: new Map(),
    paid: NOTHING_PAID,
    staged: new Map(),
    fed: [],
    sulphited: [],
    cameIn: [],
    worked: new Map(),
    bottles: 0,
    bottledL: 0,
    bottled: [],
    tastings: [],
    ...(start.vintage !== undefined && { vintage: start.vintage }),
    ...(start.origin !== undefined && { origin: start.origin }),
    ...(start.massKg !== undefined && { massKg: start.massKg }),
    ...(start.onSkins !== undefined && { onSkins: start.onSkins }),
    ...(start.kit !== undefined && { kit: start.kit })
  }
}

/** The varieties as named, or the lot's own name where none is; their shares are brought to one. */
function sourcesOf(start: EntryOf<'lot-started'>): Source[] {
  const named = start.varieties.length > 0 ? start.varieties : [{ name: start.name, share: 1 }]
  const total = named.reduce((sum, v) => sum + v.share, 0)
  return named.map((v) => ({
    key: `${v.name}|${start.vintage ?? ''}|${start.origin ?? ''}`,
    variety: v.name,
    share: v.share / total,
    ...(start.vintage !== undefined && { vintage: start.vintage }),
    ...(start.origin !== undefined && { origin: start.origin })
  }))
}

/** The lot an entry speaks of, to write to; a problem when it is not there, or not yet. */
export function lotOf(folding: Folding, entry: { id: string, at: string, lotId: string }): LotState | undefined {
  const lot = folding.lot(entry.lotId)
  if (!lot) {
    const startedAt = folding.cellar.starts.get(entry.lotId)
    folding.problem(
      startedAt === undefined
        ? { code: 'unknown-lot', entryId: entry.id, lotId: entry.lotId }
        : { code: 'before-start', entryId: entry.id, lotId: entry.lotId, startedAt }
    )
    return undefined
  }
  lot.lastAt = entry.at
  lot.lastEntryId = entry.id
  return lot
}
