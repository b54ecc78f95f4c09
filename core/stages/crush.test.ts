import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ripening } from '../harvest'
import { type Draft, type Entry, type EntryOf, type Fact, type LotState, extend, foldCellar, historyOf, lotAt } from '../ledger'
import { entrySchema } from '../ledger/schema'
import { MUST_WINDOWS } from '../must'
import { type Need, needsOfArrival, needsOfLot, supplyRows } from '../supplies'
import { correctionOf, crushSteps, enzymeFor, leftOutTask, packetTask, reasonsForBlock, tasksOf } from '.'

const at = (hoursAgo: number) => new Date(Date.UTC(2026, 9, 1, 12) - hoursAgo * 3_600_000).toISOString()
const now = at(0)
let n = 0
const lotId = 'lot-crush-1'
const entry = (hoursAgo: number, draft: Draft<Fact>) =>
  entrySchema.parse({ id: `crush-${String(++n).padStart(5, '0')}`, device: 't', at: at(hoursAgo), written: at(hoursAgo), ...draft })
type Start = Extract<Fact, { type: 'lot-started' }>
const start = (more: Partial<Start> = {}, hoursAgo = 100) =>
  entry(hoursAgo, {
    type: 'lot-started',
    lotId,
    name: 'L',
    stream: 'fresh',
    style: 'red',
    varieties: [],
    volumeL: 40,
    volumeIs: 'measured',
    ...more
  })
const read = (hoursAgo: number, quantity: 'sg' | 'ph' | 'ta' | 'volume', value: number) =>
  entry(hoursAgo, { type: 'reading', lotId, quantity, typed: String(value), value })
const sulphite = (hoursAgo: number, grams = 3) =>
  entry(hoursAgo, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', actual: grams, so2Share: 0.5763 })
const add = (hoursAgo: number, material: string, actual: number, stage?: number) =>
  entry(hoursAgo, {
    type: 'addition',
    lotId,
    material,
    unit: material === 'water' ? 'L' : 'g',
    actual,
    ...(stage && { stage: { number: stage, of: 2 } })
  })
const work = (hoursAgo: number, what: Extract<Fact, { type: 'operation' }>['what']) => entry(hoursAgo, { type: 'operation', lotId, what })
const skip = (hoursAgo: number, task: string) => entry(hoursAgo, { type: 'task-ended', lotId, task, outcome: 'skipped' })
const lotOf = (...entries: Entry[]) => foldCellar(entries).lots.get(lotId)!
/** The next move, by the lot as it is now. */
const nextMove = (lot: LotState) => tasksOf(lotAt(lot, now), foldCellar([]), now)[0] ?? { code: 'rest', key: 'rest' }
const statuses = (...entries: Entry[]) => Object.fromEntries(crushSteps(lotOf(...entries), now).map((s) => [s.code, s.status]))

describe('the order of crush day', () => {
  it('fresh red: sulphite at once, then measuring; soak and enzyme hold nothing up', () => {
    expect(statuses(start({ massKg: 60, volumeIs: 'expected' }))).toEqual({
      'first-sulphite': 'now',
      enzyme: 'optional',
      'cold-soak': 'optional',
      'true-volume': 'optional',
      measure: 'later',
      correct: 'later',
      pitch: 'later'
    })
    expect(statuses(start(), sulphite(1))).toMatchObject({ 'first-sulphite': 'done', enzyme: 'waiting', measure: 'now', pitch: 'waiting' })
  })
  it('fruit heated for colour: hot first, and sulphite, enzyme and yeast each wait until it was read as cool', () => {
    const planned = [start(), entry(90, { type: 'lot-planned', lotId, heated: true })]
    expect(Object.keys(statuses(...planned))[0]).toBe('heat-fruit')
    const hot = [...planned, work(5, 'heat-fruit')]
    const warm = (celsius: number) => entry(2, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
    const waits = (...more: Entry[]) =>
      crushSteps(lotOf(...hot, ...more), now).flatMap((s) => (s.tooHotAbove === undefined ? [] : [`${s.code} ${s.tooHotAbove}`]))
    expect(waits()).toEqual(['first-sulphite 40', 'enzyme 45', 'pitch 30'])
    expect(waits(warm(66))).toEqual(['first-sulphite 40', 'enzyme 45', 'pitch 30'])
    expect(waits(warm(38))).toEqual(['pitch 30'])
    expect(waits(warm(25))).toEqual([])
    expect(statuses(...hot, warm(25))).toMatchObject({ 'heat-fruit': 'done', 'first-sulphite': 'now' })
  })
  const frozenWhite = start({ stream: 'frozen', style: 'white' })
  it('frozen pails do nothing but take their sulphite while they thaw; frozen red juice has no skins to treat', () => {
    const pails = [frozenWhite, work(3, 'thaw')]
    expect(statuses(...pails)).toMatchObject({ thaw: 'running', 'first-sulphite': 'now', settle: 'waiting', measure: 'waiting' })
    expect(statuses(...pails, sulphite(2))).toMatchObject({
      'first-sulphite': 'done',
      settle: 'waiting',
      measure: 'waiting',
      pitch: 'waiting'
    })
    const red = { ...frozenWhite, style: 'red' } as typeof frozenWhite
    expect(Object.keys(statuses(red))).toEqual(['thaw', 'came-sulphited', 'first-sulphite', 'enzyme', 'true-volume', 'measure',
      'correct', 'pitch'])
    expect(Object.keys(statuses({ ...red, onSkins: false } as typeof frozenWhite))).toEqual([
      'thaw',
      'came-sulphited',
      'first-sulphite',
      'measure',
      'correct',
      'pitch'
    ])
  })
  it('frozen white: thaw, sulphite, settle, then enzyme when the sulphite has had its hours', () => {
    expect(statuses(frozenWhite)).toMatchObject({ thaw: 'now', 'first-sulphite': 'later' })
    const thawed = [frozenWhite, work(40, 'thaw'), sulphite(5)]
    expect(statuses(...thawed)).toMatchObject({ thaw: 'done', 'first-sulphite': 'done', settle: 'now', enzyme: 'waiting' })
    const settling = [frozenWhite, work(40, 'thaw'), sulphite(7), work(6, 'settle')]
    expect(statuses(...settling)).toMatchObject({ settle: 'running', enzyme: 'now' })
    expect(statuses(...settling, add(0.5, 'pectic-enzyme', 1.2))).toMatchObject({ settle: 'running', enzyme: 'done',
      'rack-solids': 'waiting', measure: 'waiting' })
    expect(
      nextMove(lotOf(...settling, add(0.5, 'pectic-enzyme', 1.2), read(0.4, 'sg', 1.09), read(0.4, 'ph', 3.2), read(0.4, 'ta', 8)))
    ).toMatchObject({ code: 'wait-for-yeast' })
  })
  it('what is left out stays out and holds nothing up', () => {
    expect(
      statuses(frozenWhite, work(40, 'thaw'), sulphite(14), skip(5, leftOutTask('settle')), skip(5, leftOutTask('enzyme')))
    ).toMatchObject({ settle: 'left-out', enzyme: 'left-out', measure: 'now' })
  })
  const must = [start(), sulphite(14), read(13, 'sg', 1.1), read(13, 'ph', 3.75), read(13, 'ta', 5.2)]
  it('acid in two stages: plan, measure again, finish, then yeast', () => {
    const phase = (...more: Entry[]) => crushSteps(lotOf(...must, ...more), now).find((s) => s.code === 'correct')
    expect(phase()).toMatchObject({ status: 'now', phase: 'plan' })
    const one = add(3, 'tartaric', 48, 1)
    expect(phase(one)).toMatchObject({ status: 'now', phase: 'measure-again' })
    const again = [one, read(2, 'ph', 3.64), read(2, 'ta', 6.2)]
    expect(phase(...again)).toMatchObject({ status: 'now', phase: 'finish' })
    const rest = correctionOf(lotOf(...must, ...again))!.additions
    expect(rest.map((a) => a.material)).toEqual(['tartaric'])
    const two = [...again, add(1, 'tartaric', rest[0]!.total, 2)]
    expect(phase(...two)).toMatchObject({ status: 'done' })
    expect(nextMove(lotOf(...must, ...two))).toMatchObject({ code: 'pitch' })
  })
  it('yeast waits for its twelve hours and is late after a day', () => {
    const good = (hoursAgo: number) => [start(), sulphite(hoursAgo), read(1, 'sg', 1.1), read(1, 'ph', 3.5), read(1, 'ta', 6.5)]
    const pitch = (hoursAgo: number) => crushSteps(lotOf(...good(hoursAgo)), now).at(-1)
    expect(pitch(5)).toMatchObject({ status: 'waiting', opensAt: at(5 - 12) })
    expect(pitch(13)).toMatchObject({ status: 'now' })
    expect(pitch(13)).not.toHaveProperty('over')
    expect(pitch(30)).toMatchObject({ status: 'now', over: true })
  })
  it('a kit is measured, watered until a reading says so, its packets follow', () => {
    const kit = start({
      stream: 'kit',
      volumeL: 16,
      kit: {
        targetSg: 1.085,
        lineL: 23,
        packets: [
          { name: 'Bentonite', step: 'before-yeast' },
          { name: 'Finings', step: 'clear' }
        ]
      }
    })
    expect(statuses(kit)).toEqual({ measure: 'now', 'water-kit': 'later', packets: 'later', pitch: 'later' })
    expect(statuses(kit, read(5, 'sg', 1.122))).toMatchObject({ 'water-kit': 'now' })
    // The estimate after the water is on target, and is not enough.
    expect(statuses(kit, read(5, 'sg', 1.122), add(4, 'water', 7))).toMatchObject({ 'water-kit': 'now' })
    expect(statuses(kit, read(5, 'sg', 1.122), add(4, 'water', 7), read(3, 'sg', 1.079))).toMatchObject({ 'water-kit': 'now' })
    const watered = [kit, read(5, 'sg', 1.122), add(4, 'water', 6.9), read(3, 'sg', 1.085)]
    expect(statuses(...watered)).toMatchObject({ 'water-kit': 'done', packets: 'now' })
    expect(statuses(...watered, entry(2, { type: 'task-ended', lotId, task: packetTask(0), outcome: 'done' }))).toMatchObject({
      packets: 'done',
      pitch: 'now'
    })
  })
  it('a line on the pail, a volume or a gravity that no cellar has stops nothing', () => {
    for (const odd of [{ volumeL: 0.05, lineL: 1e5 + 1e-9 }, { volumeL: 100_000, lineL: 1e6 }, { volumeL: 16, lineL: 5e-324 }]) {
      const kit = start({ stream: 'kit', volumeL: odd.volumeL, kit: { targetSg: 1.085, lineL: odd.lineL, packets: [] } })
      expect(statuses(kit, read(5, 'sg', 1.122), add(4, 'water', 9), read(3, 'sg', 1.2))).toMatchObject({ 'water-kit': 'now' })
    }
  })
  it('a step put off today stays away alone; the next one is not put off with it', () => {
    const white = [start({ stream: 'juice', style: 'white' }), sulphite(2)]
    expect(nextMove(lotOf(...white))).toMatchObject({ code: 'measure-must' })
    const frozen = [frozenWhite, work(40, 'thaw'), sulphite(14)]
    const settle = nextMove(lotOf(...frozen))
    expect(settle.key).toBe('crush-step:settle')
    expect(nextMove(lotOf(...frozen, skip(1, settle.key)))).toMatchObject({ code: 'rest' })
    expect(nextMove(lotOf(...frozen, skip(1, 'crush-step:enzyme')))).toEqual(settle)
  })
  it('a kit without a packet before the yeast does not wait for one, and keeps its later ones', () => {
    const kit = start({ stream: 'kit', kit: { targetSg: 1.085, packets: [{ name: 'Finings', step: 'clear' }] } })
    expect(statuses(kit, read(3, 'sg', 1.085))).toMatchObject({ packets: 'done', pitch: 'now' })
  })
  it('enzyme minds the sulphite of its lot', () => {
    expect(enzymeFor(lotOf(start(), sulphite(2)), now).findings).toMatchObject([{ code: 'sulphite-too-near', hoursLeft: 4 }])
  })
  it('the real volume puts right what was dosed on the expected one', () => {
    const dosed = lotOf(start({ massKg: 60, volumeIs: 'expected' }), sulphite(5, 4), read(2, 'volume', 50))
    // 4 g × 0.5763 in 50 L.
    expect(dosed.totalSo2?.value).toBeCloseTo((4 * 576.3) / 50, 6)
  })
})

describe('laws of crush day', () => {
  const event = fc.tuple(
    fc.integer({ min: 1, max: 90 }),
    fc.constantFrom('sulphite', 'sg', 'ph', 'ta', 'settle', 'thaw', 'enzyme', 'acid-1', 'acid-2', 'skip'),
    fc.double({ min: 0, max: 1, noNaN: true })
  )
  const history = fc
    .tuple(fc.constantFrom('fresh', 'frozen', 'juice', 'kit', 'test'), fc.constantFrom('red', 'white'), fc.array(event, { maxLength: 14 }))
    .map(([stream, style, events]) => [
      start({ stream, style, ...(stream === 'kit' && { kit: { targetSg: 1.085, packets: [] } }) } as Partial<Start>),
      ...events.map(([hoursAgo, kind, value]) =>
        kind === 'sulphite'
          ? sulphite(hoursAgo)
          : kind === 'settle' || kind === 'thaw'
            ? work(hoursAgo, kind)
            : kind === 'enzyme'
              ? add(hoursAgo, 'pectic-enzyme', 1.2)
              : kind === 'acid-1' || kind === 'acid-2'
                ? add(hoursAgo, 'tartaric', 10 + value * 40, Number(kind.at(-1)))
                : kind === 'skip'
                  ? skip(hoursAgo, leftOutTask(value > 0.5 ? 'settle' : 'enzyme'))
                  : read(hoursAgo, kind as 'sg', kind === 'sg' ? 1.07 + value * 0.05 : kind === 'ph' ? 3 + value : 4 + value * 5)
      )
    ])
  it('at most one step has its turn, and yeast only when all that must come before is done, left out, or on its clock’s far side', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const lot = lotOf(...entries)
        const steps = crushSteps(lot, now)
        expect(steps.filter((s) => s.status === 'now').length).toBeLessThanOrEqual(1)
        const pitch = steps.at(-1)!
        if (pitch.status === 'now')
          expect(steps.slice(0, -1).every((s) => s.optional || s.status === 'done' || s.status === 'left-out')).toBe(true)
        if (
          lot.alcoholic === 'none' &&
          lot.lastSulphiteAt &&
          Date.parse(now) - Date.parse(lot.lastSulphiteAt) < 12 * 3_600_000 &&
          lot.stream !== 'kit'
        )
          expect(pitch.status).toBe('waiting')
      })
    )
  })
  it('a lot that is pitched has nothing left to do on crush day', () => {
    fc.assert(
      fc.property(history, (entries) => {
        const steps = crushSteps(lotOf(...entries, entry(0.5, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y' })), now)
        expect(steps.every((s) => s.status === 'done' || s.status === 'left-out')).toBe(true)
      })
    )
  })
})

describe('supplies across lots', () => {
  const need = (of: string, material: string, amount: number, more: Partial<Need> = {}): Need => ({
    of,
    name: of,
    material,
    unit: 'g',
    amount,
    reason: 'yeast',
    basis: 'assumed',
    ...more
  })
  const stocked = (hoursAgo: number, material: string, amount: number, more: Partial<EntryOf<'supply-stocked'>> = {}) =>
    entry(hoursAgo, { type: 'supply-stocked', supplyId: `pack-${String(++n).padStart(5, '0')}`, material, unit: 'g', amount, ...more })
  const stock = (...entries: Entry[]) => foldCellar(entries).stock

  it('sums one material over all lots, adds the reserve, and names what is short', () => {
    const needs = [need('a', 'tartaric', 60), need('b', 'tartaric', 45), need('c', 'yeast', 20)]
    const rows = supplyRows(needs, stock(stocked(500, 'tartaric', 100), stocked(500, 'yeast', 30)), now, 0.15)
    expect(rows[0]).toMatchObject({ material: 'tartaric', needed: 105, short: 5 })
    expect(rows[0]!.toBuy).toBeCloseTo(105 * 1.15 - 100, 9)
    expect(rows.find((r) => r.material === 'yeast')).toMatchObject({ short: 0, toBuy: 0 })
  })
  it('a fourth lot makes it short where three were not', () => {
    const three = ['a', 'b', 'c'].map((l) => need(l, 'tartaric', 30))
    const held = stock(stocked(500, 'tartaric', 110))
    expect(supplyRows(three, held, now)[0]).toMatchObject({ short: 0 })
    expect(supplyRows([...three, need('d', 'tartaric', 40)], held, now)[0]).toMatchObject({ short: 20 })
  })
  it('the sum is the same in any order, and shares never give out more than there is', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('tartaric', 'yeast', 'potassium-metabisulphite'),
            fc.double({ min: 0.1, max: 200, noNaN: true }),
            fc.constantFrom('acid', 'yeast', 'first-sulphite', 'later-sulphite'),
            fc.double({ min: 3, max: 4, noNaN: true })
          ),
          { minLength: 1, maxLength: 12 }
        ),
        fc.double({ min: 1, max: 150, noNaN: true }),
        (list, there) => {
          const needs = list.map(([material, amount, reason, ph], i) =>
            need(`lot-${i}`, material, amount, { reason: reason as Need['reason'], ph })
          )
          const held = stock(stocked(500, 'tartaric', there), stocked(500, 'yeast', there))
          const rows = supplyRows(needs, held, now)
          const again = supplyRows([...needs].reverse(), held, now)
          for (const row of rows) {
            expect(again.find((r) => r.material === row.material)!.needed).toBeCloseTo(row.needed, 6)
            if (row.shares) expect(row.shares.reduce((sum, s) => sum + s.amount, 0)).toBeCloseTo(row.usable, 6)
          }
        }
      )
    )
  })
  it('short acid goes to the highest pH first, short yeast is built up', () => {
    const acid = supplyRows(
      [need('low', 'tartaric', 50, { reason: 'acid', ph: 3.6 }), need('high', 'tartaric', 50, { reason: 'acid', ph: 3.9 })],
      stock(stocked(500, 'tartaric', 60)),
      now
    )[0]!
    expect(acid.shares!.map((s) => [s.need.of, s.amount])).toEqual([
      ['high', 50],
      ['low', 10]
    ])
    const yeast = supplyRows([need('a', 'yeast', 20), need('b', 'yeast', 10)], stock(stocked(500, 'yeast', 8)), now)[0]!
    expect(yeast.starter!.shares.map((s) => s.volumeL)).toEqual([80, 40])
    expect(yeast.starter!.totalHours).toBeGreaterThanOrEqual(24)
  })
  it('what has expired does not count, opened sulphite counts for what is left of it', () => {
    const expired = supplyRows([need('a', 'yeast', 10)], stock(stocked(9000, 'yeast', 25, { expires: '2026-03-01' })), now)[0]!
    expect(expired).toMatchObject({ usable: 0, short: 10, findings: [{ code: 'expired', left: 25 }] })
    const opened = supplyRows(
      [need('a', 'potassium-metabisulphite', 10, { reason: 'later-sulphite' })],
      stock(stocked(9000, 'potassium-metabisulphite', 100, { opened: '2025-10-01' })),
      now
    )[0]!
    expect(opened.usable).toBeCloseTo(100 * Math.exp(-0.1), 1)
    const ancient = supplyRows([], stock(stocked(50000, 'potassium-metabisulphite', 100, { opened: '2021-10-01' })), now)[0]!
    expect(ancient).toMatchObject({ usable: 0, findings: [{ code: 'weak-sulphite' }] })
  })
  it('what goes into a lot leaves the store, package by package; a count sets it right', () => {
    const packs = [stocked(500, 'tartaric', 30, { opened: '2026-09-01' }), stocked(500, 'tartaric', 100)]
    const left = (...more: Entry[]) => stock(...packs, start(), ...more).get('tartaric')!
    expect(left(add(3, 'tartaric', 50)).packages.map((p) => p.left)).toEqual([0, 80])
    expect(left(add(3, 'tartaric', 150)).unaccounted).toBe(20)
    const id = left().packages[1]!.id
    expect(left(add(3, 'tartaric', 50), entry(1, { type: 'supply-counted', supplyId: id, left: 72 })).packages.map((p) => p.left)).toEqual([
      0, 72
    ])
    // Stock that came after the addition was not there to be used.
    expect(stock(start(), add(30, 'tartaric', 50), stocked(2, 'tartaric', 100)).get('tartaric')).toMatchObject({
      unaccounted: 0,
      packages: [{ left: 100 }]
    })
    expect(stock(start(), stocked(40, 'tartaric', 20), add(30, 'tartaric', 50), stocked(2, 'tartaric', 100)).get('tartaric')).toMatchObject(
      { unaccounted: 30, packages: [{ left: 0 }, { left: 100 }] }
    )
  })
  it('a stock solution is taken from its salt', () => {
    const used = stock(
      stocked(500, 'potassium-metabisulphite', 100),
      start(),
      entry(2, { type: 'addition', lotId, material: 'sulphite-stock', unit: 'mL', actual: 30, so2Share: 0.057632 })
    )
    expect(used.get('potassium-metabisulphite')!.packages[0]!.left).toBeCloseTo(97, 2)
  })

  const amounts = (needs: Need[]) => Object.fromEntries(needs.map((x) => [`${x.material} ${x.reason}`, Number(x.amount.toFixed(2))]))
  it('a measured must needs what the finder says; what is in is not needed again', () => {
    const lot = lotOf(start({ volumeL: 80 }), sulphite(14), read(13, 'sg', 1.1), read(13, 'ph', 3.5), read(13, 'ta', 6.5))
    const needs = amounts(needsOfLot(lot, 'potassium-metabisulphite'))
    expect(needs).not.toHaveProperty('potassium-metabisulphite first-sulphite')
    expect(needs).not.toHaveProperty('tartaric acid')
    expect(needs).toMatchObject({ 'yeast yeast': 20, 'rehydration-nutrient rehydration': 25 })
    // By hand: 0.5 × (1 + 10^1.69) = 25.0 mg/L, and 3 × 15, over 2/3, in 80 × 0.92 L, ÷ 0.5763.
    expect(needs['potassium-metabisulphite later-sulphite']).toBeCloseTo(((0.5 * (1 + 10 ** 1.69) + 45) * 1.5 * 73.6) / 1000 / 0.57632, 1)
  })
  it('an arrival is reckoned by what is usual until it is there', () => {
    const arrival = entry(200, {
      type: 'arrival-expected',
      arrivalId: 'arrival-01',
      name: 'Next',
      stream: 'fresh',
      style: 'red',
      massKg: 100,
      on: '2026-10-05'
    }) as EntryOf<'arrival-expected'>
    expect(amounts(needsOfArrival(arrival, 'potassium-metabisulphite'))).toMatchObject({ 'tartaric acid': 65, 'yeast yeast': 16.25 })
    const cellar = foldCellar([arrival])
    expect(cellar.arrivals.size).toBe(1)
    const arrived = extend(historyOf([arrival]), [start({ arrivalId: 'arrival-01' })]).cellar
    expect(arrived.arrivals.size).toBe(0)
    expect(cellar.arrivals.size).toBe(1)
  })
  const yeast = (hoursAgo: number) => entry(hoursAgo, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Y', grams: 20 })
  it('a ferment still wants its nutrient, less what it got, and none after two thirds of its sugar', () => {
    const nutrientsOf = (...more: Entry[]) =>
      Object.fromEntries(
        needsOfLot(lotOf(start({ volumeL: 80 }), sulphite(90), read(80, 'sg', 1.1), yeast(70), ...more), 'potassium-metabisulphite')
          .filter((x) => x.reason === 'nutrient')
          .map((x) => [x.material, x.amount])
      )
    const whole = nutrientsOf(read(40, 'sg', 1.08))
    // 0.9 g/L of complex nutrient in 80 L is its limit; 30 g of it are in, 42 may follow,
    // and as much nitrogen as before is missing less theirs.
    expect(whole['complex-nutrient']).toBeCloseTo(72, 6)
    const after = nutrientsOf(read(40, 'sg', 1.08), add(30, 'complex-nutrient', 30))
    expect(after['complex-nutrient']).toBeCloseTo(42, 6)
    expect(after['ammonium-phosphate']).toBeCloseTo(whole['ammonium-phosphate']!, 6)
    expect(nutrientsOf(read(40, 'sg', 1.08), read(20, 'sg', 1.03))).toEqual({})
  })
  it('a dry wine wants sulphite for its pH less what is free, and upkeep', () => {
    const wine = [start({ volumeL: 80 }, 400), read(300, 'sg', 1.1), yeast(290), read(100, 'sg', 0.994), read(90, 'ph', 3.5)]
    const free = entry(80, { type: 'reading', lotId, quantity: 'freeSo2', typed: '20', value: 20 })
    const grams = (...more: Entry[]) => needsOfLot(lotOf(...wine, ...more), 'potassium-metabisulphite')
    expect(grams(free).map((x) => [x.material, x.reason, x.basis])).toEqual([['potassium-metabisulphite', 'later-sulphite', 'readings']])
    // 20 mg/L that are there already, over 2/3, in 80 L, ÷ 0.5763.
    expect(grams()[0]!.amount - grams(free)[0]!.amount).toBeCloseTo((20 * 1.5 * 80) / 1000 / 0.57632, 1)
  })
  it('a test ferment wants a pinch of each until it has its yeast', () => {
    const test = start({ stream: 'test', massKg: 5, volumeL: 3.25 })
    expect(amounts(needsOfLot(lotOf(test), 'potassium-metabisulphite'))).toEqual({
      'potassium-metabisulphite first-sulphite': 0.17,
      'yeast yeast': 0.97,
      'complex-nutrient nutrient': 0.97
    })
    expect(needsOfLot(lotOf(test, yeast(1)), 'potassium-metabisulphite')).toEqual([])
  })
  it('a must outside the model is not reckoned with, but by what is usual', () => {
    const odd = lotOf(start({ volumeL: 50 }), read(5, 'sg', 1.1), read(5, 'ph', 3.6), read(5, 'ta', 25))
    expect(needsOfLot(odd, 'potassium-metabisulphite').find((x) => x.material === 'tartaric')).toMatchObject({
      amount: 50,
      basis: 'assumed'
    })
  })
  it('needs are never negative nor endless, whatever a must measures', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('fresh', 'frozen', 'juice', 'test'),
        fc.constantFrom('red', 'rose', 'white'),
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 1.02, max: 1.19, noNaN: true }),
        fc.double({ min: 2.6, max: 4.4, noNaN: true }),
        fc.double({ min: 2.1, max: 19, noNaN: true }),
        (stream, style, volumeL, sg, ph, ta) => {
          const lot = lotOf(start({ stream, style, volumeL } as Partial<Start>), read(5, 'sg', sg), read(5, 'ph', ph), read(5, 'ta', ta))
          for (const one of needsOfLot(lot, 'potassium-metabisulphite')) {
            expect(one.amount).toBeGreaterThan(0)
            expect(one.amount).toBeLessThan(volumeL * 100 + 20)
          }
        }
      ),
      { numRuns: 40 }
    )
  })
  it('kits bring their own, bottles need nothing', () => {
    expect(needsOfLot(lotOf(start({ stream: 'kit' })), 'potassium-metabisulphite')).toEqual([])
    expect(
      needsOfLot(lotOf(start(), entry(1, { type: 'bottling', lotId, bottles: [{ sizeMl: 750, count: 52 }] })), 'potassium-metabisulphite')
    ).toEqual([])
  })
})

describe('for and against waiting', () => {
  const blockId = 'block-crush-1'
  const block = entry(2000, { type: 'block-added', blockId, name: 'Upper rows', style: 'red', expectKg: 120 })
  const sample = (daysAgo: number, brix: number, ph: number, ta: number) =>
    entry(daysAgo * 24, { type: 'block-sampled', blockId, brix, ph, ta })
  const reasons = (free: number[], ...entries: Entry[]) => {
    const state = foldCellar([block, ...entries]).blocks.get(blockId)!
    return reasonsForBlock(state, ripening(state.samples, 'red', MUST_WINDOWS.red, now), free, now).map((r) => `${r.leans} ${r.code}`)
  }
  it('low sugar and hard acid say wait, a pH near its limit says pick', () => {
    expect(reasons([150], sample(8, 19, 3.64, 9.4), sample(4, 20, 3.7, 8.6), sample(0, 21, 3.76, 7.8))).toEqual([
      'wait sugar-low',
      'pick ph-soon',
      'wait ta-high',
      'neither vessel-free'
    ])
  })
  it('sugar over the window, a pH past its limit and acid that is going say pick', () => {
    expect(reasons([150], sample(8, 24.6, 3.78, 6.6), sample(4, 25.4, 3.84, 6.1), sample(0, 26.1, 3.9, 5.6))).toEqual([
      'pick sugar-high',
      'pick ph-over',
      'pick ta-low',
      'neither vessel-free'
    ])
  })
  it('a full cellar, a note of rain and an old sample are said', () => {
    expect(
      reasons(
        [50],
        sample(20, 23, 3.5, 7),
        entry(30, { type: 'block-noted', blockId, about: 'weather', leans: 'pick', text: 'Rain from Thursday' })
      )
    ).toEqual(['neither sugar-within', 'wait no-vessel', 'pick noted', 'neither sample-again'])
  })
})
