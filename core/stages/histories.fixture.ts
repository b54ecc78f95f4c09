import { type Draft, type Entry, type EntryOf, type Fact, type ReadingQuantity, foldCellar, lotAt } from '../ledger'
import { SO2_SHARE } from '../sulphite'
import { GATES, findingsOf, readinessOf, tasksOf } from '.'

/** Histories written by hand, in days from the first entry: what happened, and everything that is said at an instant. */
export type Happened = readonly [day: number, fact: Draft<Fact>]
export const lotId = 'lot-of-history'
const START = Date.UTC(2026, 8, 1, 8)
const DAY = 86_400_000
export const on = (day: number): string => new Date(START + Math.round(day * DAY)).toISOString()

export const entriesOf = (happened: readonly Happened[]): Entry[] =>
  [...happened]
    .sort((a, b) => a[0] - b[0])
    .map(([day, fact], i) => ({ id: `of-history-${String(i).padStart(4, '0')}`, device: 't', at: on(day), written: on(day), ...fact }) as Entry)

export const lot = (more: Partial<Omit<EntryOf<'lot-started'>, 'type'>> = {}): Happened => [
  0,
  { type: 'lot-started', lotId, name: 'W', stream: 'juice', style: 'white', varieties: [], volumeL: 20, volumeIs: 'measured', ...more }
]
export const red = (more: Partial<Omit<EntryOf<'lot-started'>, 'type'>> = {}): Happened =>
  lot({ stream: 'fresh', style: 'red', massKg: 30, volumeL: 20, ...more })
export const read = (day: number, quantity: ReadingQuantity, value: number, more = {}): Happened => [
  day,
  { type: 'reading', lotId, quantity, typed: String(value), value, ...more }
]
export const add = (day: number, material: string, actual: number, more = {}): Happened => [
  day,
  {
    type: 'addition',
    lotId,
    material,
    unit: 'g',
    actual,
    ...(material === 'potassium-metabisulphite' && { so2Share: SO2_SHARE['potassium-metabisulphite'] }),
    ...more
  }
]
export const yeast = (day: number, more = {}): Happened => [
  day,
  { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 5, ...more }
]
export const bacteria = (day: number): Happened => [day, { type: 'inoculation', lotId, organism: 'bacteria', culture: 'B', grams: 1 }]
export const plan = (day: number, more: Partial<Omit<EntryOf<'lot-planned'>, 'type' | 'lotId'>>): Happened => [
  day,
  { type: 'lot-planned', lotId, ...more }
]
export const work = (day: number, what: EntryOf<'operation'>['what'], more = {}): Happened => [day, { type: 'operation', lotId, what, ...more }]
export const saw = (day: number, what: EntryOf<'observation'>['what'], more = {}): Happened => [
  day,
  { type: 'observation', lotId, what, text: 'seen', ...more }
]
export const rack = (day: number, outL: number, inL = outL, more = {}): Happened => [
  day,
  { type: 'transfer', purpose: 'rack', from: { lotId }, to: { lotId }, outL, inL, ...more }
]
export const bottle = (day: number, count: number, more = {}): Happened => [
  day,
  { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count, ...more }], closure: 'cork' }
]
/** An original gravity, yeast, and a course down to an end that two readings prove, by day 14. */
export const ferment = (original: number, end: number): Happened[] => [
  read(0.1, 'sg', original),
  yeast(0.5),
  read(4, 'sg', (original + end) / 2),
  read(11, 'sg', end),
  read(14, 'sg', end)
]

/** Everything that is said of the lot: codes of tasks and findings, `act:`, `problem:`, `limit:`, and what a gate still wants. */
export function saidOf(happened: readonly Happened[], day: number): Set<string> {
  const cellar = foldCellar(entriesOf(happened))
  const now = on(day)
  const state = lotAt(cellar.lots.get(lotId)!, now)
  const said = new Set<string>()
  for (const one of [...tasksOf(state, cellar, now), ...findingsOf(state, cellar, now)]) {
    if (one.code === 'act') said.add(`act:${one.act.code}`)
    else if (one.code === 'ledger') said.add(`problem:${one.problem.code}`)
    else if (one.code === 'limit') said.add(`limit:${one.limit.code}${one.limit.over ? ':over' : ''}`)
    else said.add(one.code)
  }
  for (const gate of GATES) {
    const { conditions } = readinessOf(state, gate, now)
    for (const c of conditions) if (c.state !== 'met') said.add(`${gate}:${c.code}`)
  }
  return said
}
