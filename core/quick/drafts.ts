import { addition, fact, inoculation, reading, transfer } from '../drafts'
import type { Draft, Fact, LotView } from '../ledger'
import type { OwnCards } from '../materials'
import { type InstrumentKind, READ_BY } from '../quantities'
import type { QuickLine } from './line'

/** What a move still wants before it can be logged. */
export type MoveWants = 'vessel' | 'litres' | 'from'

/**
 * What a line logs for its lot. Words that were not understood become a note: nothing that was typed is lost.
 * @param line as understood
 * @param lot the one that it is for
 * @param cellar whose vessels and instruments are named
 * @param cards people's own
 */
export function quickDrafts(
  line: QuickLine,
  lot: LotView,
  cellar: { instruments: ReadonlyMap<string, { kind: InstrumentKind }>, vessels: ReadonlyMap<string, { lotId?: string }> },
  cards?: OwnCards
): { drafts: Draft<Fact>[], moveWants?: MoveWants } {
  const { at } = line
  const lotId = lot.id
  const sample = line.readings.find((r) => r.quantity === 'temperature')
  const kind = line.instrumentId ? cellar.instruments.get(line.instrumentId)?.kind : undefined
  const moved = line.move && moveOf(line.move, lot, cellar.vessels, at)
  const drafts: Draft<Fact>[] = [
    ...line.readings.map(({ quantity, value, typed }) =>
      reading({
        lotId,
        quantity,
        value,
        typed,
        at,
        sampleC: kind === 'refractometer' ? undefined : sample?.value,
        instrumentId: kind && READ_BY[quantity]?.includes(kind) ? line.instrumentId : undefined
      })
    ),
    ...line.additions.map(({ material, amount, stock }) => addition({ lotId, material, actual: amount, byStock: stock, at }, cards)),
    ...line.pitched.map((p) => inoculation({ lotId, ...p, at })),
    ...line.operations.map((what) => fact('operation', { lotId, what, note: undefined, plan: undefined, at })),
    ...(moved && typeof moved !== 'string' ? [moved] : []),
    ...line.observations.map((o) => fact('observation', { lotId, ...o, photo: undefined, at })),
    ...(line.unknown.length > 0
      ? [fact('observation', { lotId, what: 'note', text: line.unknown.join(' ').slice(0, 500), photo: undefined, at })]
      : [])
  ]
  return { drafts, ...(typeof moved === 'string' && { moveWants: moved }) }
}

function moveOf(
  move: NonNullable<QuickLine['move']>,
  lot: LotView,
  vessels: ReadonlyMap<string, { lotId?: string }>,
  at: string | undefined
): Draft<Fact> | MoveWants {
  if (!move.toVesselId) return 'vessel'
  if (move.litres === undefined) return 'litres'
  const sources = [...lot.contents.keys()].filter((id) => id !== move.toVesselId)
  if (sources.length !== 1) return 'from'
  const into = vessels.get(move.toVesselId)?.lotId ?? lot.id
  return transfer({
    from: { lotId: lot.id, vesselId: sources[0] },
    to: { lotId: into, vesselId: move.toVesselId },
    outL: move.litres + (move.leesL ?? 0),
    leesL: move.leesL,
    purpose: into === lot.id ? move.purpose : undefined,
    at
  })
}
