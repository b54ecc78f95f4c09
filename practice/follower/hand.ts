import { seeded } from '../../core/units'
import { addition, fact, reading } from '../../core/drafts'
import type { Finding, WayOut } from '../../core/findings'
import { answerDrafts } from '../../core/findings'
import { type Draft, type Fact, type History, type LotView, type ReadingQuantity, lotAt, propose } from '../../core/ledger'
import { cardOf } from '../../core/materials'
import { type StageFinding, doseFor } from '../../core/stages'
import { SO2_SHARE } from '../../core/sulphite'
import type { WayStep } from '../../core/way'
import { DO, type Instruments, SEE, type Wine, addSulphite, instrumentsOf, wineFrom } from '../../simulator'
import { AdviceWatch, type AdviceFaults } from './advice'
import { knownAs } from './advice-rules'
import { Household } from './household'
import { REFRACTOMETER, openingOf } from './opening'
import { type Scenario, lotIdOf, mustOf, toppingOf } from './scenarios'
import { asTyped } from './slips'

/** What came of a season. */
export interface Season {
  scenario: Scenario
  seed: number
  wine: Wine
  history: History
  lot: LotView
  /** Day on which it was bottled. */
  bottledDay?: number
  bottles: number
  /** As it was when the bottles were closed. */
  filled?: Wine
  /** Free SO₂ below what protects, days; of those that a kept wine had. */
  unprotectedDays: number
  keptDays: number
  tasks: Map<string, number>
  /** What all of them took by Presk's own reckoning, and vessels that were washed. */
  minutes: number
  washings: number
  /** Asked visit after visit, more than three times, with nothing else to be answered and no rhythm of its own. */
  nagged: Set<string>
  /** What the advice itself did wrong. */
  advice: AdviceFaults
  refused: string[]
  /** What the way foretold at the start and in the first winter, by step; instants. */
  foretold: { day: number, steps: readonly WayStep[] }[]
  /** Asked for, and nothing that the follower knows answers it. */
  unknown: Set<string>
}

/** Visits are three days apart at most; asked at so many in a row a thing is asked for ever. */
const [LAST_VISIT_DAYS, MOST_ASKED] = [3.5, 3] as const

/** Of a level spoon, as a share: common practice, no source. */
const SPOON_ERROR = 0.1

/** Whoever follows Presk with one lot: its wine, what they see of it, and what they write. Writes entries as the forms do. */
export class Hand {
  readonly wine: Wine
  readonly see: Instruments
  /** Of their own, so that a season with slips reads the rest as one without. */
  private readonly slips: () => number
  heldAt: number | undefined
  /** Kept warm by hand until a day, because Presk asked for it. */
  warmUntil = 0
  /** Told that bacteria are too cold: kept warm for as long as they work. */
  warmForBacteria = false
  asked = new Set<string>()
  readonly watch = new AdviceWatch()
  marblesL = 0
  private oaked = false
  private readonly asks = new Map<string, { times: number, day: number, on: string }>()
  season: Season

  /** @param n which lot of the household it is, @param part a wine that was another lot's, already in the ledger */
  constructor(
    readonly scenario: Scenario, seed: number, readonly house = new Household(toppingOf(scenario)), readonly n = 0, part?: Wine
  ) {
    this.wine = part ?? wineFrom(seed, mustOf(scenario, seed))
    this.see = { ...instrumentsOf(seed), refractometerOff: scenario.refractometerOff ?? 0 }
    this.slips = seeded(seed * 7001 + 3)
    house.hands.push(this)
    if (!part) {
      house.begin(openingOf(scenario, n, house.glass))
      this.honey()
    }
    this.season = {
      scenario, seed, wine: this.wine, history: this.history, lot: this.lot(), bottles: 0, unprotectedDays: 0, keptDays: 0,
      tasks: new Map(), minutes: 0, washings: 0, nagged: new Set(), advice: this.watch.faults, foretold: [], refused: [], unknown: new Set()
    }
  }

  get lotId(): string {
    return lotIdOf(this.n)
  }

  get history(): History {
    return this.house.history
  }

  set history(history: History) {
    this.house.history = history
  }

  get day(): number {
    return this.house.day
  }

  set day(day: number) {
    this.house.day = day
  }

  get start(): number {
    return this.house.start
  }

  lacks = (what: NonNullable<Scenario['lacks']>[number]): boolean => this.scenario.lacks?.includes(what) ?? false
  now = (): string => this.house.now()
  lot = (): LotView => lotAt(this.history.cellar.lots.get(this.lotId)!, this.now())

  /** Written as the forms do: checked, and refused where the ledger refuses. */
  log(...drafts: Draft<Fact>[]): boolean {
    const { history, refused } = propose(this.history, drafts.map((draft) => this.house.entry(draft)))
    if (refused.length > 0) {
      this.season.refused.push(...refused.map((r) => r.code))
      return false
    }
    this.history = history
    return true
  }

  tally(code: string): void {
    this.season.tasks.set(code, (this.season.tasks.get(code) ?? 0) + 1)
  }

  /** Litres of air in all of its vessels. */
  airL(): number {
    const capacity = [...this.lot().contents.keys()].reduce((sum, id) => sum + (this.history.cellar.vessels.get(id)?.capacityL ?? 0), 0)
    return Math.max(0, capacity - this.wine.litres - this.marblesL)
  }

  /** As this person types it. */
  typed = (quantity: ReadingQuantity, value: number): number =>
    asTyped(quantity, value, this.slips, this.scenario.slipsIn, this.lot().sg?.value)

  read(quantity: ReadingQuantity, value: number, more = {}): boolean {
    const typed = this.typed(quantity, value)
    return this.log(reading({ lotId: this.lotId, quantity, typed: String(typed), value: typed, ...more }))
  }

  look(what: 'clarity' | 'gas' | 'smell' | 'heat-test' | 'cold-test' | 'warm-glass' | 'bubbles' | 'taste', more: object): boolean {
    return this.log(fact('observation', { lotId: this.lotId, what, text: 'seen', ...more }))
  }

  work(what: Extract<Fact, { type: 'operation' }>['what'], more = {}): boolean {
    return this.log(fact('operation', { lotId: this.lotId, what, ...more }))
  }

  /** Whether it was asked for at each of the last visits on the same evidence, and can only be done again. */
  isNagged({ key, evidence, waysOut, waysRound, againH }: Finding): boolean {
    const before = this.asks.get(key)
    const on = evidence.join()
    const times = before?.on === on && this.day - before.day < LAST_VISIT_DAYS ? before.times + 1 : 1
    this.asks.set(key, { times, day: this.day, on })
    return times > MOST_ASKED && !waysOut?.length && !waysRound?.length && againH === undefined
  }

  done(task: Finding, outcome: 'done' | 'skipped' = 'done'): void {
    this.log(fact('task-ended', { lotId: this.lotId, task: task.key, outcome }))
  }

  /** What goes into the juice with the honey, once, before anything is measured. */
  private honey(): void {
    const { honeyG } = this.scenario
    if (honeyG === undefined) return
    this.log(addition({ lotId: this.lotId, material: 'honey', actual: honeyG }))
    DO.honey(this.wine, honeyG)
  }

  /** The refractometer is found off: held into water it shows this much. What was read with it is restated by that. */
  checkRefractometer(): void {
    const { refractometerOff = 0 } = this.scenario
    this.log(fact('instrument-checked', {
      instrumentId: REFRACTOMETER, offset: refractometerOff, standards: [{ known: 0, shown: refractometerOff }], adjusted: true
    }))
    this.see.refractometerOff = 0
  }

  gravity(): void {
    const must = this.lot().standing === 'must'
    // Whoever has a refractometer takes it for the must, and a hydrometer from the ferment on.
    if (must && this.scenario.refractometerOff !== undefined) {
      this.read('brix', SEE.brix(this.wine, this.see), { instrumentId: REFRACTOMETER })
      return
    }
    const celsius = SEE.celsius(this.wine, this.see)
    this.log(
      reading({ lotId: this.lotId, quantity: 'sg', typed: 'sg', value: this.typed('sg', SEE.sg(this.wine, this.see)) }),
      reading({ lotId: this.lotId, quantity: 'temperature', typed: 'c', value: celsius })
    )
    const smells = SEE.smells(this.wine, this.see)
    if (smells[0] !== 'clean') this.look('smell', { smells })
  }

  /** What is taken for so many grams: on a scale with steps of a tenth, or by level eighths of a teaspoon. */
  weighed(material: string, grams: number): number {
    const spoonG = this.lacks('scale') ? cardOf(material)?.spoonG : undefined
    const stepG = spoonG === undefined ? 0.1 : spoonG / 8
    return Number((Math.round(grams / stepG) * stepG).toFixed(2))
  }

  give(material: string, amount: number, planned = amount): boolean {
    const card = cardOf(material)
    const actual = this.weighed(material, amount)
    if (actual <= 0) return card !== undefined
    this.watch.happened(this.day, `give:${material}`)
    return this.log(addition({ lotId: this.lotId, material, planned, actual }, this.history.cellar.cards))
  }

  sulphite(lot: LotView, aim: 'level' | 'next-round' | 'bottle' | 'lock', grams = doseFor(lot, aim).grams): void {
    const weighed = this.weighed('potassium-metabisulphite', grams)
    if (weighed <= 0) return
    // A level spoon is a tenth more or less; a scale is right.
    const inHand = weighed * (this.lacks('scale') ? 1 + SPOON_ERROR * this.see.normal() : 1)
    if (this.give('potassium-metabisulphite', weighed, grams))
      addSulphite(this.wine, (inHand * SO2_SHARE['potassium-metabisulphite'] * 1000) / this.wine.litres)
  }

  /** What people do of their own accord once a wine is at rest: chips, where they like oak. */
  oak(lot: LotView): void {
    const { chipsGPerL } = this.scenario
    const atRest = lot.standing === 'wine' && lot.malolactic === 'done' && lot.rackedAt !== undefined
    if (chipsGPerL === undefined || this.oaked || !atRest) return
    this.oaked = true
    if (this.give('oak', chipsGPerL * lot.volume.value)) DO.oakIn(this.wine, chipsGPerL)
  }

  way(task: Finding, ...codes: WayOut['code'][]): WayOut | undefined {
    const all = [...(task.waysOut ?? []), ...(task.waysRound ?? [])]
    return codes.map((code) => all.find((w) => w.code === code)).find((w) => w !== undefined)
  }

  take(task: StageFinding, way: WayOut | undefined): void {
    if (way) this.watch.decidedOn(this.day, knownAs(task), way.code)
    if (way) this.log(...answerDrafts(task, way, this.now()))
    else this.done(task)
  }
}
