import { TYPICAL_BOUND_SHARE } from '../sulphite'
import { assertNever } from '../units'
import { inOrder, standingFacts } from './corrections'
import type { Entry, EntryOf, Fact } from './entry'
import { freeSo2Consumed } from './free-so2'
import { foldAddition } from './fold-addition'
import { foldReading } from './fold-reading'
import { consume, count, putInStore } from './fold-stock'
import { fill, foldTransfer } from './fold-transfer'
import type { CellarState, LotState, Source } from './state'

/**
 * The whole cellar as its ledger tells it. Pure: the same entries in any order give the same state.
 * Instruments and vessels are gathered first, because a check entered later speaks for readings made earlier.
 * @param entries all entries, without duplicates
 * @param until only what happened up to this instant (ISO, UTC); everything when left out
 * @returns lots, vessels, instruments, and what in the ledger cannot be
 */
export function foldCellar(entries: readonly Entry[], until?: string): CellarState {
  const cellar: CellarState = { lots: new Map(), vessels: new Map(), instruments: new Map(), blocks: new Map(), arrivals: new Map(), stock: new Map(), problems: [] }
  const facts = standingFacts(entries).filter(f => !f.struck).map(f => f.fact)
  const checks: EntryOf<'instrument-checked'>[] = []
  for (const fact of facts) {
    if (fact.type === 'instrument-added') {
      cellar.instruments.set(fact.instrumentId, {
        id: fact.instrumentId, name: fact.name, kind: fact.kind, checks: [],
        ...(fact.calibrationC !== undefined && { calibrationC: fact.calibrationC }), ...(fact.step !== undefined && { step: fact.step })
      })
    }
    else if (fact.type === 'instrument-checked') checks.push(fact)
    else if (fact.type === 'vessel-added') {
      cellar.vessels.set(fact.vesselId, {
        id: fact.vesselId, name: fact.name, kind: fact.kind, capacityL: fact.capacityL, litres: 0,
        ...(fact.material !== undefined && { material: fact.material })
      })
    }
  }
  for (const check of checks) cellar.instruments.get(check.instrumentId)?.checks.push(check)
  for (const fact of facts) {
    if (until === undefined || fact.at <= until) foldFact(cellar, fact)
  }
  fillVessels(cellar)
  return cellar
}

/** Facts that concern one or two lots and nothing that was folded before. */
const APPENDABLE = new Set<Entry['type']>(['reading', 'addition', 'inoculation', 'operation', 'observation', 'bottling', 'task-ended', 'lot-started', 'transfer', 'vessel-cared', 'arrival-expected', 'block-added', 'block-sampled', 'block-noted', 'supply-stocked', 'supply-counted'])

/**
 * The state after entries that came later than everything in it, without folding it all again. The old state is not
 * touched: the lots concerned are copied.
 * @param cellar a state as folded from all earlier entries
 * @param lastAt the latest instant in it
 * @param entries in ledger order
 * @returns the new state, or undefined when all must be folded again (a correction, a check, something backdated)
 */
export function appendToCellar(cellar: CellarState, lastAt: string, entries: readonly Entry[]): CellarState | undefined {
  if (entries.some(e => !APPENDABLE.has(e.type) || e.at <= lastAt)) return undefined
  // A remark on an overfull vessel belongs to the end of a fold; with one standing, all is folded again.
  if (cellar.problems.some(p => p.code === 'overfull')) return undefined
  const next: CellarState = { lots: new Map(cellar.lots), vessels: new Map([...cellar.vessels].map(([id, v]) => [id, { ...v }])), instruments: cellar.instruments, problems: [...cellar.problems],
    arrivals: new Map(cellar.arrivals),
    blocks: new Map([...cellar.blocks].map(([id, b]) => [id, { ...b, samples: [...b.samples], notes: [...b.notes] }])),
    stock: new Map([...cellar.stock].map(([key, s]) => [key, { ...s, packages: s.packages.map(p => ({ ...p })) }]))
  }
  for (const entry of [...entries].sort(inOrder) as Fact[]) {
    for (const id of lotsOf(entry)) {
      const lot = next.lots.get(id)
      if (lot && lot === cellar.lots.get(id)) next.lots.set(id, copyOf(lot))
    }
    foldFact(next, entry)
  }
  fillVessels(next)
  return next
}

const lotsOf = (fact: Fact): string[] => fact.type === 'transfer' ? [fact.from.lotId, fact.to.lotId] : 'lotId' in fact ? [fact.lotId] : []

function copyOf(lot: LotState): LotState {
  return {
    ...lot, contents: new Map(lot.contents), added: new Map(lot.added), others: { ...lot.others },
    series: Object.fromEntries(Object.entries(lot.series).map(([quantity, points]) => [quantity, [...points]]))
  }
}

/** What each vessel holds at the end, and whether it can. */
function fillVessels(cellar: CellarState): void {
  for (const vessel of cellar.vessels.values()) vessel.litres = 0
  for (const lot of cellar.lots.values()) {
    for (const [vesselId, litres] of lot.contents) {
      const vessel = cellar.vessels.get(vesselId)
      if (!vessel) continue
      vessel.litres = litres
      if (litres > vessel.capacityL * 1.001) {
        cellar.problems.push({ code: 'overfull', entryId: lot.volume.from.at(-1)!, vesselId, litres, capacityL: vessel.capacityL })
      }
    }
  }
}

function foldFact(cellar: CellarState, fact: Fact): void {
  switch (fact.type) {
    case 'vessel-added': case 'instrument-added': case 'instrument-checked': return
    case 'vessel-cared': {
      const vessel = cellar.vessels.get(fact.vesselId)
      if (vessel) vessel[fact.what === 'cleaned' ? 'cleanedAt' : 'sanitisedAt'] = fact.at
      return
    }
    case 'lot-started':
      if (fact.arrivalId) cellar.arrivals.delete(fact.arrivalId)
      return startLot(cellar, fact)
    case 'arrival-expected': cellar.arrivals.set(fact.arrivalId, fact); return
    case 'block-added':
      cellar.blocks.set(fact.blockId, {
        id: fact.blockId, name: fact.name, style: fact.style, samples: [], notes: [], ...(fact.variety !== undefined && { variety: fact.variety }), ...(fact.expectKg !== undefined && { expectKg: fact.expectKg })
      })
      return
    case 'block-sampled': cellar.blocks.get(fact.blockId)?.samples.push(fact); return
    case 'block-noted': cellar.blocks.get(fact.blockId)?.notes.push(fact); return
    case 'supply-stocked': return putInStore(cellar.stock, fact)
    case 'supply-counted': return count(cellar.stock, fact)
    case 'transfer': return foldTransfer(cellar, fact)
    case 'reading': case 'addition': case 'inoculation': case 'operation': case 'observation': case 'bottling': case 'task-ended': {
      const lot = cellar.lots.get(fact.lotId)
      if (!lot) {
        cellar.problems.push({ code: 'unknown-lot', entryId: fact.id, lotId: fact.lotId })
        return
      }
      lot.lastAt = fact.at
      return foldIntoLot(cellar, lot, fact)
    }
    default: return assertNever(fact)
  }
}

function foldIntoLot(cellar: CellarState, lot: LotState, fact: Extract<Fact, { lotId: string }>): void {
  switch (fact.type) {
    case 'reading': return foldReading(cellar, lot, fact)
    case 'addition':
      consume(cellar.stock, fact)
      return foldAddition(lot, fact)
    case 'inoculation':
      consume(cellar.stock, fact)
      if (fact.organism === 'yeast') {
        lot.staged = new Map()
        lot.inoculatedAt ??= fact.at
        if (lot.stage === 'must') {
          lot.stage = 'fermenting'
          freeSo2Consumed(lot, fact.at, fact.id)
        }
      }
      else lot.bacteriaAt ??= fact.at
      return
    case 'bottling':
      lot.bottles += fact.bottles.reduce((sum, b) => sum + b.count, 0)
      lot.stage = 'bottled'
      return
    case 'task-ended':
      lot.endedTasks = new Map(lot.endedTasks).set(fact.task, fact.at)
      return
    case 'operation':
      lot.worked = new Map(lot.worked).set(fact.what, { at: fact.at, ...(fact.plan && { plan: fact.plan }) })
      return
    case 'observation': case 'lot-started': return
    default: return assertNever(fact)
  }
}

/** A volume reckoned from the fruit is known to about a sixth, one read from a scale on the vessel to two hundredths. */
const VOLUME_SPREAD = { expected: 0.15, measured: 0.02 } as const

function startLot(cellar: CellarState, start: EntryOf<'lot-started'>): void {
  const lot: LotState = {
    id: start.lotId,
    name: start.name,
    stream: start.stream,
    style: start.style,
    varieties: start.varieties,
    startedAt: start.at,
    lastAt: start.at,
    stage: 'must',
    volume: {
      value: start.volumeL, origin: start.volumeIs === 'measured' ? 'measured' : 'estimated', at: start.at,
      uncertainty: start.volumeL * VOLUME_SPREAD[start.volumeIs], from: [start.id]
    },
    contents: new Map(),
    others: {},
    sources: sourcesOf(start),
    series: {},
    doses: [],
    pendingDose: undefined,
    endedTasks: new Map(),
    boundShare: TYPICAL_BOUND_SHARE,
    added: new Map(),
    staged: new Map(),
    worked: new Map(),
    bottles: 0,
    ...(start.vintage !== undefined && { vintage: start.vintage }),
    ...(start.origin !== undefined && { origin: start.origin }),
    ...(start.massKg !== undefined && { massKg: start.massKg }),
    ...(start.kit !== undefined && { kit: start.kit })
  }
  cellar.lots.set(start.lotId, lot)
  const vessel = start.vesselId ? cellar.vessels.get(start.vesselId) : undefined
  if (start.vesselId && !vessel) cellar.problems.push({ code: 'unknown-vessel', entryId: start.id, vesselId: start.vesselId })
  if (vessel?.lotId) cellar.problems.push({ code: 'vessel-taken', entryId: start.id, vesselId: vessel.id, byLotId: vessel.lotId })
  else if (vessel) fill(vessel, lot.id)
  lot.contents.set(vessel && vessel.lotId === lot.id ? vessel.id : '', start.volumeL)
}

/** The varieties as named, or the lot's own name where none is; their shares are brought to one. */
function sourcesOf(start: EntryOf<'lot-started'>): Source[] {
  const named = start.varieties.length > 0 ? start.varieties : [{ name: start.name, share: 1 }]
  const total = named.reduce((sum, v) => sum + v.share, 0)
  return named.map(v => ({
    key: `${v.name}|${start.vintage ?? ''}|${start.origin ?? ''}`, variety: v.name, share: v.share / total, ...(start.vintage !== undefined && { vintage: start.vintage }), ...(start.origin !== undefined && { origin: start.origin })
  }))
}
