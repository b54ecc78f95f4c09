import { addition, fact, inoculation, reading } from '../../core/drafts'
import { SORBIC_SHARE } from '../../core/finishing'
import type { Finding, WayOut } from '../../core/findings'
import { answerDrafts } from '../../core/findings'
import { type Draft, type Entry, type Fact, type History, type LotView, type ReadingQuantity, historyOf, lotAt, partsOfPacket,
  propose } from '../../core/ledger'
import { entrySchema } from '../../core/ledger/schema'
import { cardOf } from '../../core/materials'
import { type StageFinding, correctionOf, doseFor, findingsOf, tasksOf } from '../../core/stages'
import { SO2_SHARE, firstDose } from '../../core/sulphite'
import { sweetAim } from './sweet'
import { DO, type Instruments, SEE, type Wine, addSulphite, hour, instrumentsOf, molecularOf, roomAt, wineFrom } from '../../simulator'
import { type WayStep, wayOf } from '../../core/way'
import { type Scenario, mustOf } from './scenarios'

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
  refused: string[]
  /** What the way foretold at the start and in the first winter, by step; instants. */
  foretold: { day: number, steps: readonly WayStep[] }[]
  /** Asked for, and nothing that the follower knows answers it. */
  unknown: Set<string>
}

export const lotId = 'lot-of-loop'
const DAY_MS = 86_400_000
const FIRST_DAY_OF_YEAR = 263
const SIZES = [54, 34, 25, 23, 20, 15, 10, 10, 5, 5, 5, 3, 2, 1, 1]
const EMPTY_BIN = 'vessel-bin-0'
const SECOND_BIN = 'vessel-bin-1'
const YEAR_DAYS = 420
/** Days on which the way is asked what comes. */
const FORETELL = new Set([1, 30, 75])

/** One lot through a season, by somebody who does what Presk says and nothing else. Deterministic from the scenario and the seed. */
export function season(scenario: Scenario, seed: number): Season {
  return new Follower(scenario, seed).run()
}

class Follower {
  private history: History
  private readonly wine: Wine
  private readonly see: Instruments
  private readonly start = Date.UTC(2026, 8, 20, 8)
  private count = 0
  private day = 0
  private heldAt: number | undefined
  /** Kept warm by hand until a day, because Presk asked for it. */
  private warmUntil = 0
  /** Told that bacteria are too cold: kept warm for as long as they work. */
  private warmForBacteria = false
  private asked = new Set<string>()
  private marblesL = 0
  private toppingL: number
  private season: Season

  constructor(private readonly scenario: Scenario, seed: number) {
    const must = mustOf(scenario, seed)
    this.wine = wineFrom(seed, must)
    this.see = instrumentsOf(seed)
    this.toppingL = scenario.lacks?.includes('topping') ? 0 : 15
    this.history = historyOf(this.opening())
    this.season = {
      scenario, seed, wine: this.wine, history: this.history, lot: this.lot(), bottles: 0, unprotectedDays: 0, keptDays: 0,
      tasks: new Map(), foretold: [], refused: [], unknown: new Set()
    }
  }

  private lacks = (what: NonNullable<Scenario['lacks']>[number]): boolean => this.scenario.lacks?.includes(what) ?? false
  private now = (): string => new Date(this.start + Math.round(this.day * DAY_MS)).toISOString()
  private lot = (): LotView => lotAt(this.history.cellar.lots.get(lotId)!, this.now())

  private entry(draft: Draft<Fact>, at = this.now()): Entry {
    return entrySchema.parse({ id: `loop-${String(++this.count).padStart(6, '0')}`, device: 'loop', at, written: at, ...draft })
  }

  private opening(): Entry[] {
    const { stream, colour, litres, plan } = this.scenario
    const vessel = (vesselId: string, name: string, kind: 'bin' | 'demijohn', capacityL: number) =>
      this.entry({ type: 'vessel-added', vesselId, name, kind, capacityL })
    const fruit = stream === 'fresh' && { massKg: litres / (colour === 'red' ? 0.68 : 0.6) }
    const kit = stream === 'kit' && {
      kit: {
        targetSg: 1.085,
        packets: [
          { name: 'Bentonite', step: 'before-yeast' as const },
          { name: 'Sulphite and sorbate', step: 'stabilise' as const },
          { name: 'Chitosan', step: 'clear' as const }
        ]
      }
    }
    const sizes = this.lacks('vessels') ? SIZES.slice(0, 6) : [...SIZES, ...SIZES, ...(litres > 120 ? [54, 54, 54, 54] : [])]
    const owned = { 'ph-meter': !this.lacks('ph-meter'), 'acid-kit': !this.lacks('acid-kit'), 'so2-kit': !this.lacks('so2-kit') }
    return [
      vessel(EMPTY_BIN, 'Bin', 'bin', Math.ceil(litres * (colour === 'red' ? 1.6 : 1.45))),
      vessel(SECOND_BIN, 'Second bin', 'bin', Math.ceil(litres * 1.45)),
      ...sizes.map((size, i) => vessel(`vessel-glass-${i}`, `Glass ${i}`, 'demijohn', size)),
      this.entry({ type: 'equipment-said', has: owned }),
      this.entry({
        type: 'lot-started', lotId, name: this.scenario.name.slice(0, 60), stream, style: colour, varieties: [], volumeL: litres,
        volumeIs: 'measured', vesselId: EMPTY_BIN, ...fruit, ...kit
      }),
      ...(plan ? [this.entry({ type: 'lot-planned', lotId, ...plan })] : [])
    ]
  }

  /** Written as the forms do: checked, and refused where the ledger refuses. */
  private log(...drafts: Draft<Fact>[]): boolean {
    const { history, refused } = propose(this.history, drafts.map((draft) => this.entry(draft)))
    if (refused.length > 0) {
      this.season.refused.push(...refused.map((r) => r.code))
      return false
    }
    this.history = history
    return true
  }

  run(): Season {
    for (; this.day < YEAR_DAYS; this.day += 1) {
      const lot = this.lot()
      // Bottles are looked after for a month more.
      if (lot.volume.value <= 0.05 && this.day > (this.season.bottledDay ?? 0) + 30) break
      if (FORETELL.has(Math.floor(this.day))) this.season.foretold.push({ day: Math.floor(this.day), steps: wayOf(lot, this.now()) })
      const { away } = this.scenario
      const there = !(away && this.day >= away.from && this.day < away.to)
      const busy = lot.alcoholic === 'active' || lot.standing === 'must' || lot.standing === 'fermenting' || this.day < 25
      if (there && (busy || this.day % 3 === 0)) this.visit()
      this.pass(24)
    }
    return { ...this.season, history: this.history, lot: this.lot() }
  }

  private pass(hours: number): void {
    const { mean, swing, heated } = { mean: 16, swing: 4, ...this.scenario.room }
    const room = roomAt(FIRST_DAY_OF_YEAR + this.day, mean, swing, this.season.seed)
    const lot = this.lot()
    const capacity = [...lot.contents.keys()].reduce((sum, id) => sum + (this.history.cellar.vessels.get(id)?.capacityL ?? 0), 0)
    const airL = Math.max(0, capacity - lot.volume.value - this.marblesL)
    for (let h = 0; h < hours; h++) hour(this.wine, heated ? Math.max(18, room) : room, airL, this.heldAt)
    const kept = lot.standing === 'wine' && (lot.malolactic === 'done' || lot.malolactic === 'not-wanted') && lot.plan.sulphite !== 'none'
    if (kept && this.wine.gas < 1) {
      this.season.keptDays += hours / 24
      if (molecularOf(this.wine) < 0.3) this.season.unprotectedDays += hours / 24
    }
  }

  private tally(code: string): void {
    this.season.tasks.set(code, (this.season.tasks.get(code) ?? 0) + 1)
  }

  /** Once through what is asked, most pressing first; what is done is done before the next is looked at. */
  private visit(): void {
    this.asked = new Set()
    for (let round = 0; round < 14; round++) {
      const lot = this.lot()
      const { cellar } = this.history
      const now = this.now()
      const task = tasksOf(lot, cellar, now).find((t) => t.urgency !== 'wait' && !this.asked.has(t.key) && (t.window?.from ?? now) <= now)
      if (!task) break
      this.asked.add(task.key)
      this.tally(task.code)
      if (task.code === 'settle') this.tally(`settle:${task.condition.code}:${task.condition.state}:${task.condition.because ?? ''}`)
      if (task.code === 'malolactic-stands') this.tally(`stands:${task.because}`)
      this.answer(task, lot)
      // A thing takes its minutes, and entries have an order.
      this.day += 2 / 1440
    }
    this.day = Math.floor(this.day)
    const lot = this.lot()
    if (lot.volume.value > 0.05) this.heed(findingsOf(lot, this.history.cellar, this.now()), lot)
  }

  private heed(found: readonly StageFinding[], lot: LotView): void {
    const working = lot.malolactic === 'under-way' || lot.malolactic === 'nearly'
    this.heldAt = this.day < this.warmUntil || (this.warmForBacteria && working) ? 20 : undefined
    for (const f of found) {
      if (f.urgency === 'note') continue
      if (f.code === 'too-hot' || f.code === 'temperature-rises') this.heldAt = f.code === 'too-hot' ? f.max - 4 : f.to - 4
      else if (f.code === 'too-cold') this.heldAt = f.min + 3
      else if (f.code === 'malolactic-held-up' && f.by.code === 'too-cold') this.warmForBacteria = true
      else if (f.code === 'wine-smells' && f.smell === 'rotten-egg' && !this.asked.has(f.key)) this.rack(lot, true)
      else if (f.code === 'wine-smells' && !this.asked.has(f.key)) this.sulphite(lot, 'level')
      else if (f.code === 'sorbate-unprotected') this.sulphite(lot, 'level')
      else if (f.code === 'smells' && f.smell === 'rotten-egg') DO.aerate(this.wine)
    }
  }

  private read(quantity: ReadingQuantity, value: number, more = {}): boolean {
    return this.log(reading({ lotId, quantity, typed: String(value), value, ...more }))
  }

  private look(what: 'clarity' | 'gas' | 'smell' | 'heat-test' | 'cold-test' | 'warm-glass' | 'bubbles' | 'taste', more: object): boolean {
    return this.log(fact('observation', { lotId, what, text: 'seen', ...more }))
  }

  private work(what: Extract<Fact, { type: 'operation' }>['what'], more = {}): boolean {
    return this.log(fact('operation', { lotId, what, ...more }))
  }

  private done(task: Finding, outcome: 'done' | 'skipped' = 'done'): void {
    this.log(fact('task-ended', { lotId, task: task.key, outcome }))
  }

  private gravity(): void {
    const celsius = SEE.celsius(this.wine, this.see)
    this.log(
      reading({ lotId, quantity: 'sg', typed: 'sg', value: SEE.sg(this.wine, this.see) }),
      reading({ lotId, quantity: 'temperature', typed: 'c', value: celsius })
    )
    const smells = SEE.smells(this.wine, this.see)
    if (smells[0] !== 'clean') this.look('smell', { smells })
  }

  private give(material: string, amount: number, planned = amount): boolean {
    const card = cardOf(material)
    // A scale with steps of a tenth of a gram.
    const actual = Math.round(amount * 10) / 10
    if (actual <= 0) return card !== undefined
    return this.log(addition({ lotId, material, planned, actual }, this.history.cellar.cards))
  }

  private sulphite(lot: LotView, aim: 'level' | 'next-round' | 'bottle' | 'lock', grams = doseFor(lot, aim).grams): void {
    const weighed = Math.round(grams * 10) / 10
    if (weighed <= 0) return
    if (this.give('potassium-metabisulphite', weighed, grams))
      addSulphite(this.wine, (weighed * SO2_SHARE['potassium-metabisulphite'] * 1000) / this.wine.litres)
  }

  private way(task: Finding, ...codes: WayOut['code'][]): WayOut | undefined {
    const all = [...(task.waysOut ?? []), ...(task.waysRound ?? [])]
    return codes.map((code) => all.find((w) => w.code === code)).find((w) => w !== undefined)
  }

  private take(task: Finding, way: WayOut | undefined): void {
    if (way) this.log(...answerDrafts(task, way, this.now()))
    else this.done(task)
  }

  /** Into vessels that it fills, largest first, the rest into the smallest that holds it. */
  private rack(lot: LotView, splashed = false, purpose: 'rack' | 'press' = 'rack'): void {
    const before = this.wine.litres
    if (purpose === 'press') DO.press(this.wine)
    else DO.rack(this.wine, splashed)
    const share = this.wine.litres / before
    const held = [...lot.contents]
    // A must wants room for its foam, a wine a vessel that it fills.
    const kind = lot.standing === 'must' ? 'bin' : 'demijohn'
    const empty = [...this.history.cellar.vessels.values()].filter((v) => !v.lotId && v.kind === kind).sort((a, b) =>
      b.capacityL - a.capacityL)
    let rest = lot.volume.value * share
    const targets: { id: string, litres: number }[] = []
    for (const v of empty) {
      if (rest < 0.05) break
      if (v.capacityL <= rest + 1e-6) {
        targets.push({ id: v.id, litres: v.capacityL })
        rest -= v.capacityL
      }
    }
    if (rest >= 0.05) {
      const last = empty.filter((v) => !targets.some((t) => t.id === v.id) && v.capacityL >= rest).at(-1)
      if (last) targets.push({ id: last.id, litres: rest })
    }
    this.marblesL = 0
    if (targets.length === 0) return
    const drafts: Draft<Fact>[] = []
    const sources = held.map(([id, litres]) => ({ id, litres }))
    for (const target of targets) {
      let wanted = target.litres / share
      while (wanted > 1e-4 && sources.length > 0) {
        const from = sources[0]!
        const outL = Math.min(from.litres, wanted)
        drafts.push({
          type: 'transfer', purpose, from: { lotId, vesselId: from.id }, to: { lotId, vesselId: target.id }, outL, inL: outL * share,
          air: splashed ? 'splashed' : 'quiet'
        })
        from.litres -= outL
        wanted -= outL
        if (from.litres < 1e-4) sources.shift()
      }
    }
    this.log(...drafts)
    const used = new Set(held.map(([id]) => id))
    for (const vesselId of used) this.log({ type: 'vessel-cared', vesselId, what: 'cleaned' })
  }

  private answer(task: StageFinding, lot: LotView): void {
    const w = this.wine
    const v = lot.volume.value
    switch (task.code) {
      case 'crush-step':
        return this.crush(task, lot)
      case 'sulphite-must': {
        const dose = firstDose(v, w.must.rot > 0.1 ? 'some-rot' : 'sound', lot.style, 'potassium-metabisulphite', lot.ph?.value,
          lot.malolactic === 'to-come')
        return this.sulphite(lot, 'level', dose.grams)
      }
      case 'measure-must':
        this.gravity()
        if (!this.lacks('ph-meter')) this.read('ph', SEE.ph(w, this.see))
        if (!this.lacks('acid-kit')) this.read('ta', SEE.ta(w, this.see))
        return
      case 'correct-must':
        return this.correct(task, lot)
      case 'pitch': {
        const celsius = SEE.celsius(w, this.see)
        const shocked = celsius > 37
        if (this.log({ ...inoculation({ lotId, organism: 'yeast', culture: 'Yeast of the house', grams: v * 0.25 }), mustC: celsius }))
          DO.pitch(w, 0.25, shocked)
        return
      }
      case 'feed':
        for (const { nutrient, grams } of task.gifts) {
          const card = cardOf(nutrient)
          const mgPerG = card?.effect.on === 'nitrogen' ? card.effect.mgPerG : 100
          if (this.give(nutrient, grams)) DO.feed(w, (grams * mgPerG) / v)
        }
        return
      case 'work-cap':
        this.work('punch-down')
        return
      case 'stir-must':
        this.work('stir')
        return
      case 'read-ferment':
      case 'confirm-dryness':
      case 'measure-blend':
      case 'left-alone':
        this.gravity()
        return
      case 'press':
        return this.rack(lot, false, 'press')
      case 'not-begun':
        DO.pitch(w, 0.25)
        this.log(inoculation({ lotId, organism: 'yeast', culture: 'Yeast of the house', grams: v * 0.25 }))
        return
      case 'tell-if-dry':
        if (!this.lacks('sugar-test')) this.read('sugar', SEE.sugar(w, this.see))
        else this.take(task, this.way(task, 'dry-for-this-wine'))
        return
      case 'stuck': {
        const times = this.season.tasks.get('stuck') ?? 0
        if (!this.lacks('sugar-test') && times % 3 === 1) this.read('sugar', SEE.sugar(w, this.see))
        else if (w.celsius < 18 && this.way(task, 'warm-it')) {
          this.warmUntil = this.day + 7
          this.take(task, this.way(task, 'warm-it'))
        }
        else if (times > 4 && this.way(task, 'leave-sweet')) this.take(task, this.way(task, 'leave-sweet'))
        else {
          DO.pitch(w, 0.6)
          w.nature = { ...w.nature, ethanolMax: Math.max(w.nature.ethanolMax, 132) }
          this.log(inoculation({ lotId, organism: 'yeast', culture: 'Hardy yeast', grams: v * 0.5 }))
          this.take(task, this.way(task, 'restart'))
        }
        return
      }
      case 'rack-gross-lees':
      case 'rack-again':
      case 'rack-off-fining':
      case 'out-of-wood':
        return this.rack(lot)
      case 'start-malolactic':
        DO.bacteria(w)
        this.log(inoculation({ lotId, organism: 'bacteria', culture: 'Bacteria of the house', grams: v / 200 }))
        return
      case 'sugar-before-bacteria':
        if (!this.lacks('sugar-test')) this.read('sugar', SEE.sugar(w, this.see))
        else this.take(task, this.way(task, 'dry-for-this-wine', 'no-malolactic'))
        return
      case 'malolactic-wanted':
        if (w.celsius < 16 && this.way(task, 'warm-it')) this.warmUntil = this.day + 28
        return this.take(task, this.way(task, 'warm-it', 'no-malolactic'))
      case 'malolactic-stands': {
        const times = this.season.tasks.get('malolactic-stands') ?? 0
        if (!this.lacks('malic-strips') && times % 3 === 1) this.read('malic', SEE.malic(w, this.see))
        if (times > 4) return this.take(task, this.way(task, 'accept-malic', 'block-malolactic'))
        this.warmUntil = this.day + 28
        return this.take(task, this.way(task, 'warm-it', 'block-malolactic'))
      }
      case 'follow-malolactic':
        if (task.warmthUnknown) this.read('temperature', SEE.celsius(w, this.see))
        if (!this.lacks('malic-strips')) this.read('malic', SEE.malic(w, this.see))
        else {
          const malic = w.acids.malic > 0.9 ? 'clear' : w.acids.malic > 0.15 ? 'faint' : 'none'
          this.log(fact('observation',
            { lotId, what: 'chromatogram', text: 'spots', spots: { malic, lactic: w.acids.lactic > 0.3 ? 'clear' : 'none' } }))
        }
        return
      case 'sulphite-after-malolactic':
      case 'sulphite-low': {
        const action = task.action
        return this.sulphite(lot, action?.to === 'sulphite' ? (action.aim ?? 'level') : 'level')
      }
      case 'check-sulphite':
      case 'free-before-bottle':
      case 'measure-free':
        if (this.lacks('so2-kit')) this.take(task, this.way(task, 'no-instrument'))
        else this.read('freeSo2', SEE.freeSo2(w, this.see))
        return
      case 'measure-wine':
        if (this.lacks('ph-meter')) this.take(task, this.way(task, 'no-instrument'))
        else this.read('ph', SEE.ph(w, this.see))
        return
      case 'top-up':
      case 'top-barrel':
        return this.top(task, lot)
      case 'look-at-clarity':
        this.look('clarity', { clarity: SEE.clarity(w, this.see) })
        return
      case 'haze-stays':
        if ((this.season.tasks.get('haze-stays') ?? 0) > 2) return this.take(task, this.way(task, 'accept-haze'))
        if (this.give('bentonite', v * 0.5)) DO.bentonite(w, 0.5)
        return
      case 'smell-again':
        this.look('smell', { smells: SEE.smells(w, this.see) })
        return
      case 'shake-for-gas':
        this.look('gas', { gas: SEE.gas(w, this.see) })
        return
      case 'degas':
        DO.degas(w)
        this.work('degas')
        return
      case 'settle':
        return this.settle(task, lot)
      case 'sweeten':
        return this.sweeten(lot)
      case 'bottle':
        return this.bottle(lot)
      case 'pasteurise-bottles':
        DO.pasteurise(w)
        if (this.season.filled) this.season.filled.pasteurised = true
        this.work('pasteurise')
        return
      case 'packet': {
        const index = Number(task.key.split(':')[1])
        for (const part of partsOfPacket(lot.kit!.packets[index]!, v)) this.packet(part.material, part.amount)
        return this.done(task)
      }
      case 'remnant':
        return this.take(task, this.way(task, 'drink-it'))
      case 'lay-down':
      case 'taste-bottle':
      case 'drink-up':
      case 'bottles-lie':
      case 'open-one':
        return this.done(task)
      default:
        this.season.unknown.add(task.code)
        this.take(task, task.waysOut?.[0])
    }
  }

  private packet(material: string, grams: number): void {
    const w = this.wine
    if (material === 'potassium-metabisulphite') addSulphite(w, (grams * SO2_SHARE[material] * 1000) / w.litres)
    else if (material === 'potassium-sorbate') DO.sorbate(w, (grams * SORBIC_SHARE * 1000) / w.litres)
    else if (material === 'bentonite' || material === 'chitosan') DO.bentonite(w, grams / w.litres)
  }

  private crush(task: StageFinding & { code: 'crush-step' }, lot: LotView): void {
    const w = this.wine
    switch (task.step) {
      case 'came-sulphited':
        return this.take(task, this.way(task, w.must.sulphited > 0 ? 'came-with' : 'came-without'))
      case 'thaw':
      case 'settle':
      case 'cold-soak':
        this.work(task.step)
        return
      case 'rack-solids':
        return this.rack(lot, true)
      case 'water-kit': {
        const sg = SEE.sg(w, this.see)
        const litres = Math.max(0, (lot.volume.value * (sg - 1)) / (lot.kit!.targetSg - 1) - lot.volume.value)
        if (this.log({ type: 'addition', lotId, material: 'water', unit: 'L', planned: litres,
          actual: Math.round(litres * 10) / 10 })) DO.water(w, litres)
        this.gravity()
        return
      }
      case 'packets':
        for (const [i, p] of lot.kit!.packets.entries())
          if (p.step === 'before-yeast') {
            for (const part of partsOfPacket(p, lot.volume.value)) this.packet(part.material, part.amount)
            this.log(fact('task-ended', { lotId, task: `packet:${i}`, outcome: 'done' }))
          }
        return
      case 'true-volume':
        this.read('volume', w.litres)
        return
      default:
        // Whoever does not do a step says so.
        this.log(fact('task-ended', { lotId, task: `crush:${task.step}`, outcome: 'skipped' }))
    }
  }

  private correct(task: StageFinding & { code: 'correct-must' }, lot: LotView): void {
    const w = this.wine
    if (task.phase === 'measure-again') {
      this.gravity()
      if (!this.lacks('ph-meter')) this.read('ph', SEE.ph(w, this.see))
      if (!this.lacks('acid-kit')) this.read('ta', SEE.ta(w, this.see))
      return
    }
    const found = correctionOf(lot)
    if (!found || found.additions.length === 0) {
      this.log(fact('task-ended', { lotId, task: 'crush:correct', outcome: 'skipped' }))
      return
    }
    const parts = task.phase === 'plan' ? 0.75 : 1
    const stage = { number: task.phase === 'plan' ? 1 : 2, of: 2 }
    for (const { material, total } of found.additions) {
      const amount = total * parts
      if (material === 'water') {
        if (this.log({ type: 'addition', lotId, material: 'water', unit: 'L', planned: amount, actual: Math.round(amount * 10) / 10,
          stage })) DO.water(w, amount)
        continue
      }
      const key = material === 'sucrose' ? 'sugar' : material
      const given = this.log({ ...addition({ lotId, material: key, planned: amount, actual: Math.round(amount * 10) / 10 }), stage })
      if (!given) continue
      if (key === 'sugar') DO.sugar(w, amount)
      else if (key === 'tartaric') DO.acid(w, amount / w.litres)
      else if (key === 'potassium-bicarbonate') DO.carbonate(w, amount / w.litres)
    }
    this.day += 0.02
    if (task.phase === 'plan') return
    this.log(fact('task-ended', { lotId, task: 'crush:correct', outcome: 'skipped' }))
  }

  private top(task: StageFinding & { code: 'top-up' | 'top-barrel' }, lot: LotView): void {
    const airL = task.airL
    if (this.toppingL >= airL && airL > 0.02) {
      // A wine of the kind that was bought, poured in: in the ledger a lot of its own that is poured over.
      const vesselId = task.key.split(':')[1]!
      const other = `lot-topping-${this.count}`
      const litres = Math.min(airL, this.toppingL)
      const bought: Draft<Fact>[] = [
        { type: 'lot-started', lotId: other, name: 'Bought', stream: 'juice', style: lot.style, varieties: [], volumeL: litres,
          volumeIs: 'measured' },
        { type: 'lot-amended', lotId: other, alcoholic: 'dry' },
        { type: 'transfer', purpose: 'top-up', from: { lotId: other }, to: { lotId, vesselId }, outL: litres, inL: litres }
      ]
      if (this.log(...bought)) {
        this.toppingL -= litres
        this.wine.litres += litres
        return
      }
    }
    const way = this.way(task, 'marbles', 'gas-cover', 'nothing-at-hand')
    if (way?.code === 'marbles') this.marblesL += airL
    this.take(task, way)
  }

  private settle(task: StageFinding & { code: 'settle' }, lot: LotView): void {
    const w = this.wine
    const { code, state } = task.condition
    switch (code) {
      case 'stable-gravity':
      case 'acids-known':
        this.gravity()
        if (code === 'acids-known' && !this.lacks('ph-meter')) this.read('ph', SEE.ph(w, this.see))
        return
      case 'malic-settled':
        if (!this.lacks('malic-strips') && (this.season.tasks.get('settle:malic') ?? 0) < 2) {
          this.season.tasks.set('settle:malic', (this.season.tasks.get('settle:malic') ?? 0) + 1)
          this.read('malic', SEE.malic(w, this.see))
        }
        if (task.action?.to === 'sulphite') return this.sulphite(lot, 'lock')
        return this.take(task, this.way(task, 'hold-by-heat', 'begin-malolactic'))
      case 'off-lees':
        return this.rack(lot)
      case 'clear':
        if (state === 'not-met') this.rack(lot)
        this.look('clarity', { clarity: SEE.clarity(w, this.see) })
        return
      case 'gas-out':
        if (state === 'not-met') {
          DO.degas(w)
          this.work('degas')
        }
        this.look('gas', { gas: SEE.gas(w, this.see) })
        return
      case 'protein':
        if (state === 'not-met') {
          if (this.give('bentonite', lot.volume.value * 0.6)) DO.bentonite(w, 0.6)
          return
        }
        this.look('heat-test', { stable: SEE.staysClearInHeat(w, this.see) })
        return
      case 'cold':
        if (state === 'not-met') {
          DO.chill(w)
          this.work('chill')
          return
        }
        this.look('cold-test', { stable: SEE.staysClearInCold(w) })
        return
      case 'sulphite':
      case 'sulphite-for-bottle':
        return this.sulphite(lot, task.action?.to === 'sulphite' ? (task.action.aim ?? 'bottle') : 'bottle')
      case 'sweetness-held':
        return this.sweetness(task, lot)
      case 'sound':
        if (state === 'not-met') this.rack(lot, SEE.smells(w, this.see)[0] === 'rotten-egg')
        this.look('smell', { smells: SEE.smells(w, this.see) })
        return
      default:
        return this.take(task, task.waysOut?.[0])
    }
  }

  /** Sugar that may be left, or that is to be there. */
  private sweetness(task: StageFinding & { code: 'settle' }, lot: LotView): void {
    const w = this.wine
    if (task.condition.state === 'unknown') {
      if (!this.lacks('sugar-test')) this.read('sugar', SEE.sugar(w, this.see))
      else this.look('warm-glass', { stable: w.sugar < 4 })
      return
    }
    const sorbate = sweetAim(lot)
    if (lot.plan.hold === 'heat' || sorbate === undefined) return this.take(task, this.way(task, 'hold-by-heat'))
    if (this.give('potassium-sorbate', sorbate)) DO.sorbate(w, (sorbate * SORBIC_SHARE * 1000) / w.litres)
    this.sulphite(this.lot(), 'level')
  }

  /** Sugar to taste: 25 g/L, and what keeps it, as the bench has it. */
  private sweeten(lot: LotView): void {
    const grams = Math.round(lot.volume.value * 25)
    if (this.log(addition({ lotId, material: 'sugar', planned: grams, actual: grams }))) DO.sugar(this.wine, grams)
    const sorbate = lot.plan.hold === 'sorbate' ? sweetAim(lot) : undefined
    if (sorbate !== undefined && this.give('potassium-sorbate', sorbate)) DO.sorbate(this.wine,
      (sorbate * SORBIC_SHARE * 1000) / this.wine.litres)
  }

  private bottle(lot: LotView): void {
    const count = Math.floor((lot.volume.value - 0.15) / 0.75)
    if (count < 1) return
    const sparkling = lot.plan.sparkling
    if (sparkling && this.give('sugar', lot.volume.value * 20)) DO.sugar(this.wine, lot.volume.value * 20)
    const filled = { ...this.wine, acids: { ...this.wine.acids } }
    const bottles = [{ sizeMl: 750, count, ...(sparkling && { material: 'sparkling-bottle-750' }) }]
    if (!this.log(fact('bottling', { lotId, bottles, closure: sparkling ? 'crown' : 'cork' }))) return
    this.wine.litres -= count * 0.75
    this.season.bottledDay = Math.floor(this.day)
    this.season.bottles += count
    this.season.filled = filled
  }
}
