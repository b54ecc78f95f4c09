import { HOUR_MS, hoursBetween } from '../../core/units'
import { type Entry, type Fact, type History, type LotState, extend, historyOf, inOrder, standingFacts } from '../../core/ledger'
import { DO, type Wine, hour, roomAt, wineFrom } from '../../simulator'
import { type Kept, add, airOver, copyOf, ended, fill, inoculate, mixInto, partly, work } from './acts'
import { type PracticeLot, type PracticeScenario, lotsOf } from './scenarios'

/** The first hour of a season is a morning in September. */
const FIRST_DAY_OF_YEAR = 263
/** Foam finds its way where less than this share of the vessel is free in the wild days of a ferment. */
const FOAM_ROOM = 0.13
const WILD_G_PER_H = 0.9

/** Something that happens and that nobody can overlook. */
export type Mishap =
  | { code: 'ran-over', lotId: string, at: string, litres: number }
  | { code: 'burst', lotId: string, at: string, count: number }

/**
 * A season as it truly is: wines of the simulator, moved by the hour, and what the entries of a ledger do to them. What is logged is what
 * was done: the same entries on the same seed are the same season, whoever plays it, and an entry left out is one that was never done.
 */
export class World {
  readonly kept = new Map<string, Kept>()
  readonly mishaps: Mishap[] = []
  private facts: Fact[] = []
  private history: History = historyOf([])
  private hours = 0
  private readonly lots: readonly PracticeLot[]

  /** @param start instant of the first hour, @param without ids of entries that are not done */
  constructor(
    readonly scenario: PracticeScenario,
    readonly seed: number,
    readonly start: string,
    private readonly without: ReadonlySet<string> = new Set()
  ) {
    this.lots = lotsOf(scenario, seed)
  }

  get now(): string {
    return this.instant(this.hours)
  }

  private instant = (hours: number): string => new Date(Date.parse(this.start) + hours * HOUR_MS).toISOString()

  /**
   * Goes on to an instant, doing what the ledger says on the way.
   * @param entries the whole ledger; where its past was changed, all is lived again from the beginning
   * @returns the world at that instant: this one, or a new one
   */
  to(entries: readonly Entry[], until: string): World {
    const facts = standingFacts(entries).filter((f) => !f.struck).map((f) => f.fact).sort(inOrder)
    const target = Math.floor(hoursBetween(this.start, until))
    const same = this.facts.every((f, i) => JSON.stringify(f) === JSON.stringify(facts[i]))
    const late = facts.slice(this.facts.length).some((f) => Date.parse(f.at) < Date.parse(this.now) - HOUR_MS)
    if (!same || late || target < this.hours) return new World(this.scenario, this.seed, this.start, this.without).to(entries, until)
    for (const fact of facts.slice(this.facts.length)) {
      if (fact.at > until) break
      this.pass(Math.floor(hoursBetween(this.start, fact.at)))
      this.take(fact)
    }
    this.pass(target)
    return this
  }

  /** °C of the room in which the wines of this season are kept, at an hour of it. */
  roomOf(lotId: string, hours = this.hours): number {
    const index = Math.max(0, this.lots.findIndex((l) => l.lotId === lotId))
    const { mean, swing, heated } = { mean: 16, swing: 4, heated: false, ...this.scenario.households[index]!.room }
    const room = roomAt(FIRST_DAY_OF_YEAR + hours / 24, mean, swing, this.seed)
    return heated ? Math.max(18, room) : room
  }

  lot = (lotId: string): LotState | undefined => this.history.cellar.lots.get(lotId)

  private pass(to: number): void {
    if (to <= this.hours) return
    // Vessels and air change with entries, and gas over a wine by the day.
    const kept = [...this.kept].map(([lotId, k]) => ({ lotId, k, lot: this.lot(lotId), airL: 0 }))
    for (let first = true; this.hours < to; this.hours++, first = false) {
      for (const one of kept) {
        const { lotId, k, lot } = one
        if (lot && (first || this.hours % 24 === 0)) one.airL = airOver(lot, this.history, this.now, k.spilledL)
        const room = this.roomOf(lotId)
        if (k.held && this.hours >= k.held.until) delete k.held
        if (lot && k.wine.litres > 0.05) this.hourOf(lotId, k, lot, room, one.airL)
        for (const b of k.bottles) if (!b.burst) this.hourInBottle(lotId, b, room)
      }
    }
  }

  private hourOf(lotId: string, k: Kept, lot: LotState, room: number, airL: number): void {
    const before = k.wine.sugar
    hour(k.wine, room, airL, k.held?.at)
    if (before - k.wine.sugar < WILD_G_PER_H) return
    for (const [id, litres] of lot.contents) {
      const capacity = this.history.cellar.vessels.get(id)?.capacityL ?? litres * 2
      const over = Math.min(0.06 * litres, litres - k.spilledL - capacity * (1 - FOAM_ROOM))
      if (over < 0.05) continue
      k.spilledL += over
      k.wine.litres -= over
      this.mishaps.push({ code: 'ran-over', lotId, at: this.now, litres: over })
    }
  }

  private hourInBottle(lotId: string, b: Kept['bottles'][number], room: number): void {
    const before = b.wine.sugar
    hour(b.wine, room, 0.01)
    b.fermented += before - b.wine.sugar
    if (b.fermented < b.bearsGPerL) return
    b.burst = this.now
    this.mishaps.push({ code: 'burst', lotId, at: this.now, count: b.count })
  }

  private take(fact: Fact): void {
    const before = this.history
    this.history = extend(before, [fact])
    this.facts.push(fact)
    if (fact.type === 'lot-started') this.begin(fact)
    else if (!this.without.has(fact.id)) this.act(fact, before)
    for (const [id, k] of this.kept) {
      const litres = this.lot(id)?.volume.value
      if (litres === undefined) continue
      k.wine.litres = Math.max(0.02, litres - k.spilledL)
      k.mostL = Math.max(k.mostL, k.wine.litres)
    }
  }

  private begin({ lotId, style, volumeL }: Fact & { type: 'lot-started' }): void {
    const known = this.lots.find((l) => l.lotId === lotId)
    const wine = known ? wineFrom(this.seed, known.must) : boughtWine(this.seed, style, volumeL)
    this.kept.set(lotId, { wine, spilledL: 0, mostL: wine.litres, bottles: [] })
  }

  private act(fact: Fact, before: History): void {
    if (fact.type === 'transfer') return this.move(fact, before)
    const k = 'lotId' in fact && fact.lotId ? this.kept.get(fact.lotId) : undefined
    if (!k) return
    if (fact.type === 'addition') add(k.wine, fact, this.history)
    else if (fact.type === 'inoculation') inoculate(k.wine, fact)
    else if (fact.type === 'operation') work(k, fact, this.hours, this.roomOf(fact.lotId))
    else if (fact.type === 'bottling') fill(k, fact)
    else if (fact.type === 'task-ended') {
      const [had, has] = [before, this.history].map((h) => h.cellar.lots.get(fact.lotId))
      if (had && has) ended(k.wine, fact, had, has, this.history)
    }
  }

  private move({ from, to, purpose, outL, inL, air }: Fact & { type: 'transfer' }, before: History): void {
    const source = this.kept.get(from.lotId)
    if (!source) return
    const held = before.cellar.lots.get(from.lotId)?.volume.value ?? outL
    const deed = (w: Wine): void =>
      void (purpose === 'press' ? DO.press(w) : purpose === 'top-up' || purpose === 'fill' ? 0 : DO.rack(w, air === 'splashed'))
    if (to.lotId === from.lotId) return partly(source.wine, outL / Math.max(outL, held), deed)
    const moved = copyOf(source.wine)
    deed(moved)
    const target = this.kept.get(to.lotId)
    const there = before.cellar.lots.get(to.lotId)?.volume.value ?? 0
    if (target && there > 0.05) mixInto(target.wine, moved, inL / (inL + there), { litres: false })
    else this.kept.set(to.lotId, { wine: { ...moved, litres: inL }, spilledL: 0, mostL: inL, bottles: [] })
  }
}

/** A finished wine from a shop or a neighbour, sulphited and dry. */
function boughtWine(seed: number, colour: 'red' | 'rose' | 'white', litres: number): Wine {
  const wine = wineFrom(seed + 7, {
    colour, litres: Math.max(0.1, litres), skins: false, sugar: 1.5, nitrogen: 10, ph: colour === 'red' ? 3.6 : 3.3, tartaric: 2.6,
    malic: 0.05, sulphited: 70, rot: 0, celsius: 16
  })
  return Object.assign(wine, { ethanol: 98, yeast: 0, haze: 1, gas: 0.4, lees: 0, free: 28, total: 80 })
}
