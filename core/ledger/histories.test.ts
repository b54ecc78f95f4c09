import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { actualAlcohol, sgFromBrix } from '../hydrometry'
import {
  type Balance,
  type Draft,
  type Entry,
  type Fact,
  abvOf,
  balanceOfMust,
  extend,
  fermentedTo,
  foldCellar,
  freeSo2At,
  historyOf,
  propose,
  restatedBy,
  sgOf
} from '.'
import { entrySchema } from './schema'

/** Worked histories: what happened on a cellar floor, and what must come out of it. */
let count = 0
const at = (day: number, hour = 12): string => new Date(Date.UTC(2026, 8, 1 + day, hour)).toISOString()
const entry = (when: string, draft: Draft<Fact>): Entry =>
  entrySchema.parse({ id: `history-${String(++count).padStart(5, '0')}`, device: 'test', at: when, written: when, ...draft })
const start = (lotId: string, volumeL: number, more: Partial<Extract<Fact, { type: 'lot-started' }>> = {}) =>
  entry(at(0, 6), {
    type: 'lot-started',
    lotId,
    name: lotId,
    stream: 'juice',
    style: 'red',
    varieties: [],
    volumeL,
    volumeIs: 'measured',
    ...more
  })
const read = (lotId: string, day: number, quantity: Extract<Fact, { type: 'reading' }>['quantity'], value: number, more = {}) =>
  entry(at(day), { type: 'reading', lotId, quantity, typed: String(value), value, ...more })
const add = (lotId: string, day: number, material: string, actual: number, unit: 'g' | 'L' = 'g', more = {}) =>
  entry(at(day, 14), { type: 'addition', lotId, material, unit, actual, ...more })
const move = (
  day: number,
  from: [string, string?],
  to: [string, string?],
  outL: number,
  inL = outL,
  purpose: 'rack' | 'blend' | 'fill' = 'rack'
) =>
  entry(at(day, 15), {
    type: 'transfer',
    purpose,
    from: { lotId: from[0], ...(from[1] && { vesselId: from[1] }) },
    to: { lotId: to[0], ...(to[1] && { vesselId: to[1] }) },
    outL,
    inL
  })
const vessel = (n: number, capacityL: number) =>
  entry(at(0, 1), { type: 'vessel-added', vesselId: `vessel-${n}`, name: `V${n}`, kind: 'demijohn', capacityL })
const refusalOf = (ledger: Entry[], entries: Entry[]) => propose(historyOf(ledger), entries).refused
const real = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/**
 * Balling's original extract, as a share of mass: what is dissolved and what became alcohol (2.0665 g for each gram), over the mass with
 * what left as gas and yeast (1.0665 g). A ferment leaves it as it is.
 */
const original = (b: Balance) => {
  const [up, down] = [b.extractGPerL + 2.0665 * b.ethanolGPerL, sgOf(b) * 998.2 + 1.0665 * b.ethanolGPerL]
  return { up, down, share: up / down }
}

describe('the mass balance', () => {
  it('without additions it is Balling: the same alcohol as the two gravities give', () => {
    fc.assert(
      fc.property(real(1.06, 1.12), real(0.992, 1.04), (og, fg) => {
        const { balance } = fermentedTo(balanceOfMust(og), fg)
        expect(Math.abs(abvOf(balance) - actualAlcohol(og, fg).balling)).toBeLessThan(0.05)
        expect(sgOf(balance)).toBeCloseTo(fg, 5)
      })
    )
  })
  it('lands on each gravity that is read, by whatever steps; a reading again changes nothing, and sugar takes no alcohol back', () => {
    fc.assert(
      fc.property(real(1.06, 1.12), fc.array(real(-0.04, 0.01), { minLength: 1, maxLength: 12 }), (og, steps) => {
        let [sg, balance] = [og, balanceOfMust(og)]
        for (const step of steps) {
          sg = Math.min(1.13, Math.max(0.992, sg + step))
          const after = fermentedTo(balance, sg)
          expect(Math.abs(sgOf(after.balance) - sg)).toBeLessThan(2e-7)
          expect(after.balance.ethanolGPerL).toBeGreaterThanOrEqual(balance.ethanolGPerL)
          if (step < 0) expect(original(after.balance).share).toBeCloseTo(original(balance).share, 4)
          expect(fermentedTo(after.balance, sg)).toEqual({ balance: after.balance, riseSg: 0 })
          balance = after.balance
        }
      }),
      { numRuns: 2000 }
    )
  })
  it('makes no more alcohol of readings that are a little off than of the first and the last', () => {
    fc.assert(
      fc.property(real(1.07, 1.11), fc.array(real(-0.001, 0.001), { minLength: 20, maxLength: 60 }), (og, off) => {
        const dry = 0.994
        let balance = balanceOfMust(og)
        const read: number[] = []
        off.forEach((error, i) => {
          const sg = dry + (og - dry) * Math.max(0, 1 - (2 * (i + 1)) / off.length) + error
          balance = fermentedTo(balance, sg, read.length > 0 ? Math.max(...read.slice(-2)) : undefined).balance
          read.push(sg)
        })
        expect(Math.abs(abvOf(balance) - actualAlcohol(og, read.at(-1)!).balling)).toBeLessThan(0.08)
      })
    )
  })
  it('a low reading that was none leaves nothing behind; what lies above all before it is sugar, and takes none back', () => {
    const at1050 = fermentedTo(balanceOfMust(1.095), 1.05).balance
    const slipped = fermentedTo(at1050, 1.005, 1.095).balance
    const again = fermentedTo(slipped, 1.048, 1.05)
    expect(again.riseSg).toBeCloseTo(0.043, 9)
    expect(abvOf(again.balance)).toBeCloseTo(abvOf(fermentedTo(at1050, 1.048).balance), 2)
    // 1.050, and 1.052 before that: what of a rise may be a reading that was low is 0.005, some 0.7 % vol.
    const [little, much] = [1.06, 1.09].map((sg) => abvOf(fermentedTo(at1050, sg, 1.052).balance))
    expect(little).toBeCloseTo(much!, 9)
    expect(abvOf(at1050) - little!).toBeLessThan(0.75)
    // Half a thousandth more in a reading is never more than its own worth in alcohol.
    for (let sg = 1.05; sg < 1.07; sg += 0.0005) {
      const [a, b] = [sg, sg + 0.0005].map((x) => abvOf(fermentedTo(at1050, x, 1.052).balance))
      expect(Math.abs(a! - b!)).toBeLessThan(0.08)
    }
  })
})

describe('a concentrate, watered in two steps in mid-ferment', () => {
  const lotId = 'lot-concentrate'
  // 16 L at 30 °Brix ferment to 1.070, then 4 L of water, on to 1.030, 2 L more, and to dry.
  const history = [
    start(lotId, 16, { stream: 'kit' }),
    read(lotId, 0, 'brix', 30),
    read(lotId, 3, 'sg', 1.07),
    add(lotId, 3, 'water', 4, 'L'),
    read(lotId, 6, 'sg', 1.025),
    add(lotId, 6, 'water', 2, 'L'),
    read(lotId, 14, 'sg', 0.998)
  ]
  const lot = foldCellar(history).lots.get(lotId)!
  it('has 22 L, and its sugar went where sugar goes', () => {
    expect(lot.volume.value).toBeCloseTo(22, 6)
    // By hand: the must is 30 % extract; each water thins what there is to its share of the mass.
    const thinned = (before: Balance, share: number) => {
      const { up, down } = original(before)
      return (up * share) / (down * share + (1 - share) * 998.2)
    }
    const at = (n: number) => foldCellar(history.slice(0, n)).lots.get(lotId)!.balance!
    expect(original(at(3)).share).toBeCloseTo(0.3, 3)
    expect(original(at(5)).share).toBeCloseTo(thinned(at(3), 16 / 20), 4)
    expect(original(lot.balance!).share).toBeCloseTo(thinned(at(5), 20 / 22), 4)
  })
  it('the naive original minus final is wrong by more than 2 % vol, the ledger is right', () => {
    const naive = (sgFromBrix(30) - 0.998) * 131.25
    // Balling's formula for the must as if all its water had been in it from the first.
    const [p, gPerL] = [original(lot.balance!).share * 100, 0.998 * 998.2]
    const n = (lot.balance!.extractGPerL / gPerL) * 100
    const byHand = (((p - n) / (2.0665 - 0.010665 * p)) * gPerL) / 100 / 7.8924
    expect(Math.abs(lot.abv!.value - byHand)).toBeLessThan(0.02)
    expect(naive - lot.abv!.value).toBeGreaterThan(2)
  })
  it('between the readings the gravity after the water is an estimate, and the next reading does not contradict it', () => {
    const midway = foldCellar(history, at(3, 20)).lots.get(lotId)!
    expect(midway.sg).toMatchObject({ origin: 'estimated' })
    expect(midway.sg!.value).toBeLessThan(1.07)
    expect(foldCellar(history).problems).toEqual([])
  })
})

describe('a sweet stuck wine blended with a dry one', () => {
  const history = [
    start('lot-sweet', 20, { varieties: [{ name: 'Grenache', share: 1 }] }),
    read('lot-sweet', 0, 'sg', 1.11),
    read('lot-sweet', 10, 'sg', 1.025),
    read('lot-sweet', 11, 'ph', 3.7),
    read('lot-sweet', 11, 'ta', 5.4),
    start('lot-dry-one', 30, { varieties: [{ name: 'Barbera', share: 1 }] }),
    read('lot-dry-one', 0, 'sg', 1.085),
    read('lot-dry-one', 10, 'sg', 0.994),
    read('lot-dry-one', 11, 'ph', 3.3),
    read('lot-dry-one', 11, 'ta', 7.6)
  ]
  const before = foldCellar(history)
  const after = foldCellar([...history, move(12, ['lot-sweet'], ['lot-dry-one'], 20, 20, 'blend')]).lots.get('lot-dry-one')!
  it('alcohol and gravity are the volume-weighted means, pH and TA come from the acids', () => {
    const [sweet, dry] = ['lot-sweet', 'lot-dry-one'].map((id) => before.lots.get(id)!) as [typeof after, typeof after]
    expect(after.volume.value).toBeCloseTo(50, 6)
    expect(after.abv!.value).toBeCloseTo((sweet.abv!.value * 20 + dry.abv!.value * 30) / 50, 6)
    expect(after.sg!.value).toBeGreaterThan(dry.sg!.value)
    expect(after.sg!.value).toBeLessThan(sweet.sg!.value)
    expect(after.ph).toMatchObject({ origin: 'estimated' })
    expect(after.ta!.value).toBeCloseTo((5.4 * 20 + 7.6 * 30) / 50, 1)
  })
  it('its sources are two fifths Grenache and three fifths Barbera', () => {
    expect(after.sources.map((s) => [s.variety, Number(s.share.toFixed(6))])).toEqual([
      ['Barbera', 0.6],
      ['Grenache', 0.4]
    ])
  })
  it('a measured alcohol that cannot come from the parts is remarked on by the gravity', () => {
    const odd = foldCellar([...history, move(12, ['lot-sweet'], ['lot-dry-one'], 20, 20, 'blend'), read('lot-dry-one', 13, 'sg', 1.04)])
    expect(odd.problems).toMatchObject([{ code: 'contradicts', quantity: 'sg', lotId: 'lot-dry-one' }])
  })
})

describe('a refractometer found to be off after several musts were corrected', () => {
  const instrumentId = 'inst-refractometer'
  const refractometer = entry(at(0, 1), { type: 'instrument-added', instrumentId, name: 'Refractometer', kind: 'refractometer' })
  const zeroed = entry(at(0, 2), { type: 'instrument-checked', instrumentId, offset: 0, adjusted: true })
  const history = [
    refractometer,
    zeroed,
    start('lot-first', 50),
    read('lot-first', 1, 'brix', 26.2, { instrumentId }),
    add('lot-first', 1, 'water', 3, 'L'),
    start('lot-second', 80),
    read('lot-second', 2, 'brix', 21, { instrumentId }),
    add('lot-second', 2, 'sugar', 1800),
    start('lot-three', 20),
    read('lot-three', 2, 'brix', 23)
  ]
  const check = entry(at(5), { type: 'instrument-checked', instrumentId, offset: 0.8, adjusted: true })
  const found = restatedBy(historyOf(history), check)
  it('every reading since the last zero is restated, by the offset, and only those of this instrument', () => {
    expect(found.readings.map((r) => r.lotId)).toEqual(['lot-first', 'lot-second'])
  })
  it('the additions that rested on them are named, with what was believed and what was so', () => {
    expect(found.additions.map((a) => [a.lotId, a.material])).toEqual([
      ['lot-first', 'water'],
      ['lot-second', 'sugar']
    ])
    expect(found.additions[0]!.was).toBeGreaterThan(found.additions[0]!.is)
  })
  it('the lots’ figures follow: the first must is thinner than it was thought', () => {
    const sg = found.figures.find((f) => f.lotId === 'lot-first' && f.quantity === 'sg')!
    expect(sg.was - sg.is).toBeGreaterThan(0.002)
    expect(foldCellar([...history, check]).lots.get('lot-three')!.sg!.value).toBeCloseTo(sgFromBrix(23), 6)
  })
})

describe('a lot split over three vessels and brought together again', () => {
  const history = [
    vessel(1, 30),
    vessel(2, 20),
    vessel(3, 10),
    vessel(4, 60),
    start('lot-split', 55, { vesselId: 'vessel-4' }),
    read('lot-split', 1, 'sg', 0.994)
  ]
  const split = [
    move(2, ['lot-split', 'vessel-4'], ['lot-split', 'vessel-1'], 28),
    move(2, ['lot-split', 'vessel-4'], ['lot-split', 'vessel-2'], 19),
    move(2, ['lot-split', 'vessel-4'], ['lot-split', 'vessel-3'], 8, 7)
  ]
  it('is one lot in three vessels, a litre of lees less', () => {
    const cellar = foldCellar([...history, ...split])
    expect(cellar.lots.get('lot-split')!.volume.value).toBeCloseTo(54, 9)
    expect([...cellar.vessels.values()].map((v) => v.litres)).toEqual([28, 19, 7, 0])
  })
  it('comes together with nothing lost, and the empty vessels are free', () => {
    const together = [
      move(9, ['lot-split', 'vessel-1'], ['lot-split', 'vessel-4'], 28),
      move(9, ['lot-split', 'vessel-2'], ['lot-split', 'vessel-4'], 19),
      move(9, ['lot-split', 'vessel-3'], ['lot-split', 'vessel-4'], 7)
    ]
    const cellar = foldCellar([...history, ...split, ...together])
    expect(cellar.vessels.get('vessel-4')!.litres).toBeCloseTo(54, 9)
    expect(cellar.vessels.get('vessel-1')!.lotId).toBeUndefined()
    expect(cellar.problems).toEqual([])
  })
  it('an impossible move is refused before it is written, with its reason', () => {
    expect(refusalOf(history, [move(2, ['lot-split', 'vessel-4'], ['lot-split', 'vessel-1'], 35)]).map((p) => p.code)).toEqual(['overfull'])
    expect(refusalOf(history, [move(2, ['lot-split', 'vessel-4'], ['lot-split', 'vessel-1'], 80)]).map((p) => p.code)).toEqual([
      'more-out-than-in'
    ])
    expect(refusalOf([...history, ...split], [start('lot-fresh', 5, { vesselId: 'vessel-3' })]).map((p) => p.code)).toEqual([
      'vessel-taken'
    ])
    expect(refusalOf(history, split)).toEqual([])
  })
})

describe('acids and sulphite between readings', () => {
  const history = [start('lot-acid', 40), read('lot-acid', 0, 'sg', 1.1), read('lot-acid', 0, 'ph', 3.7), read('lot-acid', 0, 'ta', 5.5)]
  it('tartaric acid moves the estimate of pH and TA, and a reading that agrees is no finding', () => {
    const lot = foldCellar([...history, add('lot-acid', 1, 'tartaric', 60)]).lots.get('lot-acid')!
    expect(lot.ph).toMatchObject({ origin: 'estimated' })
    expect(lot.ph!.value).toBeLessThan(3.6)
    expect(lot.ta!.value).toBeCloseTo(7, 1)
    expect(foldCellar([...history, add('lot-acid', 1, 'tartaric', 60), read('lot-acid', 2, 'ta', 6.9)]).problems).toEqual([])
    expect(foldCellar([...history, add('lot-acid', 1, 'tartaric', 60), read('lot-acid', 2, 'ta', 5.2)]).problems).toMatchObject([
      { code: 'contradicts', quantity: 'ta' }
    ])
  })
  it('malolactic measured as malic acid takes TA down by about 0.56 for each g/L, and a little with the citric acid', () => {
    const known = [
      ...history.slice(0, 1),
      read('lot-acid', 0, 'malic', 3),
      ...history.slice(1),
      entry(at(3), { type: 'inoculation', lotId: 'lot-acid', organism: 'bacteria', culture: 'B' }),
      read('lot-acid', 30, 'malic', 0.1)
    ]
    const ta = foldCellar(known).lots.get('lot-acid')!.ta!.value
    expect(ta).toBeLessThan(5.5 - 2.9 * 0.56)
    expect(ta).toBeGreaterThan(5.5 - 2.9 * 0.56 - 0.2)
  })
  it('a ferment uses up free SO₂; in wine it falls slowly; the lot’s own binding is learnt', () => {
    const sulphite = { so2Share: 0.576 }
    const dosed = [...history, add('lot-acid', 1, 'potassium-metabisulphite', 4, 'g', sulphite)]
    expect(foldCellar(dosed).lots.get('lot-acid')!.freeSo2!.value).toBeCloseTo((57.6 * 2) / 3, 1)
    expect(foldCellar([...dosed, read('lot-acid', 4, 'sg', 1.06)]).lots.get('lot-acid')!.freeSo2!.value).toBe(0)
    expect(freeSo2At({ value: 40, origin: 'measured', at: at(0), uncertainty: 5, from: [] }, at(60)).value).toBeCloseTo(
      40 * Math.exp(-0.3),
      6
    )
    const learnt = foldCellar([
      ...history,
      read('lot-acid', 9, 'sg', 0.994),
      add('lot-acid', 10, 'potassium-metabisulphite', 4, 'g', sulphite),
      read('lot-acid', 12, 'freeSo2', 20)
    ]).lots.get('lot-acid')!
    expect(learnt.boundShare).toBeGreaterThan(0.5)
  })
})

describe('laws over generated cellars', () => {
  const lots = ['lot-alpha', 'lot-bravo', 'lot-gamma']
  const step = fc.record({
    day: fc.integer({ min: 1, max: 40 }),
    kind: fc.constantFrom('sg', 'move', 'water', 'sugar', 'tartaric', 'ph'),
    from: fc.integer({ min: 0, max: 2 }),
    to: fc.integer({ min: 0, max: 2 }),
    size: real(0.05, 1)
  })
  const history = fc
    .array(step, { maxLength: 25 })
    .map((steps) => [
      ...lots.map((l, i) => start(l, 20 + 10 * i, { varieties: [{ name: l, share: 1 }] })),
      ...lots.flatMap((l, i) => [read(l, 0, 'sg', 1.08 + i / 100), read(l, 0, 'ph', 3.3 + i / 10), read(l, 0, 'ta', 6.5)]),
      ...steps.map(({ day, kind, from, to, size }) =>
        kind === 'move'
          ? move(day, [lots[from]!], [lots[to]!], size * 8, size * 8, 'blend')
          : kind === 'sg'
            ? read(lots[from]!, day, 'sg', 1.08 - size * 0.08)
            : kind === 'ph'
              ? read(lots[from]!, day, 'ph', 3.2 + size / 2)
              : add(lots[from]!, day, kind, kind === 'water' ? size * 2 : size * 100, kind === 'water' ? 'L' : 'g')
      )
    ])
  it('volume is conserved over transfers; sugar and alcohol in the whole cellar too', () => {
    fc.assert(
      fc.property(history, fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 2 }), real(0.1, 15), (entries, from, to, litres) => {
        const totals = (list: Entry[]) =>
          [...foldCellar(list).lots.values()].reduce(
            (sum, l) => ({
              volume: sum.volume + l.volume.value,
              extract: sum.extract + (l.balance?.extractGPerL ?? 0) * l.volume.value,
              ethanol: sum.ethanol + (l.balance?.ethanolGPerL ?? 0) * l.volume.value
            }),
            { volume: 0, extract: 0, ethanol: 0 }
          )
        const [before, after] = [totals(entries), totals([...entries, move(50, [lots[from]!], [lots[to]!], litres, litres, 'blend')])]
        expect(after.volume).toBeCloseTo(before.volume, 6)
        expect(after.extract).toBeCloseTo(before.extract, 3)
        expect(after.ethanol).toBeCloseTo(before.ethanol, 3)
      }),
      { numRuns: 60 }
    )
  })
  it('the shares of every lot’s sources add up to one', () => {
    fc.assert(
      fc.property(history, (entries) => {
        for (const lot of foldCellar(entries).lots.values()) expect(lot.sources.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 9)
      }),
      { numRuns: 60 }
    )
  })
  const instrumentId = 'inst-generated'
  /** Anything that can come in late: a correction, a strike, a check, a backdated reading, a vessel. */
  const late = fc.array(
    fc.record({
      kind: fc.constantFrom('correct', 'strike', 'check', 'read', 'vessel', 'move'),
      which: fc.nat(30),
      day: fc.integer({ min: 1, max: 40 }),
      size: real(0, 1)
    }),
    { minLength: 1, maxLength: 8 }
  )
  it('entries that come later, in any order and however late, give what folding all of them from the start gives', () => {
    fc.assert(
      fc.property(history, late, (entries, steps) => {
        const ledger: Entry[] = [
          entry(at(0, 1), { type: 'instrument-added', instrumentId, name: 'H', kind: 'hydrometer' }),
          ...entries.map((e, i) => (e.type === 'reading' && i % 2 ? { ...e, instrumentId } : e))
        ]
        let known = historyOf(ledger)
        for (const { kind, which, day, size } of steps) {
          const target = ledger.filter((e) => e.type !== 'correction' && e.type !== 'lot-started')[
            which % Math.max(1, ledger.length - lots.length)
          ]
          const more =
            kind === 'check'
              ? entry(at(day), { type: 'instrument-checked', instrumentId, offset: size / 100, adjusted: size > 0.5 })
              : kind === 'vessel'
                ? vessel(ledger.length, 20 + day)
                : kind === 'read' || !target
                  ? read(lots[which % 3]!, day, 'sg', 1.08 - size * 0.08)
                  : kind === 'move'
                    ? move(day, [lots[which % 3]!], [lots[(which + 1) % 3]!], size * 5 + 0.1)
                    : {
                        id: `late-${String(++count).padStart(6, '0')}`,
                        device: 'test',
                        at: at(50),
                        written: at(50, count % 20),
                        type: 'correction' as const,
                        targetId: target.id,
                        reason: '',
                        replacement: kind === 'strike' || target.type !== 'reading' ? null : { ...target, at: at(day) }
                      }
          const before = [...known.cellar.lots].map(([id, lot]) => [
            id,
            lot.volume.value,
            lot.sg?.value,
            lot.contents.size,
            lot.series.sg?.length
          ])
          const next = extend(known, [more])
          ledger.push(more)
          expect(
            [...known.cellar.lots].map(([id, lot]) => [id, lot.volume.value, lot.sg?.value, lot.contents.size, lot.series.sg?.length])
          ).toEqual(before)
          known = next
        }
        const all = historyOf(ledger)
        expect(known.facts.map((f) => [f.fact.id, f.struck])).toEqual(all.facts.map((f) => [f.fact.id, f.struck]))
        expect(known.cellar).toEqual(all.cellar)
      }),
      { numRuns: 60 }
    )
  })
  it('a reading that is there before its lot is told of as before its start, and not as of no lot', () => {
    const [early, late] = [read('lot-alpha', -1, 'sg', 1.09), start('lot-alpha', 50)]
    for (const other of [[], [start('lot-beta', 20)]])
      expect(extend(historyOf([...other, early]), [late]).cellar).toEqual(historyOf([...other, early, late]).cellar)
  })
  it('and so they do across checkpoints, which are left as they were', () => {
    const long = [start('lot-alpha', 50), ...Array.from({ length: 1000 }, (_, i) => read('lot-alpha', i / 30, 'temperature', 18 + (i % 7)))]
    const known = historyOf(long)
    expect(known.checkpoints.length).toBeGreaterThan(2)
    const [early] = known.checkpoints
    const points = early!.cellar.lots.get('lot-alpha')!.series.temperature!.length
    const more = [read('lot-alpha', 2, 'sg', 1.09), read('lot-alpha', 31, 'ph', 3.4)]
    expect(extend(known, more).cellar).toEqual(historyOf([...long, ...more]).cellar)
    expect(early!.cellar.lots.get('lot-alpha')!.series.temperature).toHaveLength(points)
  })
  it('nothing is ever NaN', () => {
    fc.assert(
      fc.property(history, (entries) => {
        for (const lot of foldCellar(entries).lots.values())
          for (const f of [lot.volume, lot.sg, lot.ph, lot.ta, lot.abv, lot.freeSo2]) expect(Number.isFinite(f?.value ?? 0)).toBe(true)
      }),
      { numRuns: 60 }
    )
  })
})

describe('lemon juice by its content', () => {
  it('sours as the citric acid in it does, and thins by its water', () => {
    const must = [
      start('lot-lemon-1', 20),
      read('lot-lemon-1', 1, 'sg', 1.09),
      read('lot-lemon-1', 1, 'ph', 3.7),
      read('lot-lemon-1', 1, 'ta', 5)
    ]
    const after = (...more: Entry[]) => foldCellar([...must, ...more]).lots.get('lot-lemon-1')!
    // 200 mL at 48 g/L is 9.6 g.
    const juice = after(entry(at(2), { type: 'addition', lotId: 'lot-lemon-1', material: 'lemon-juice', unit: 'mL', actual: 200 }))
    const powder = after(add('lot-lemon-1', 2, 'citric', 9.6))
    expect(juice.ph!.value).toBeCloseTo(powder.ph!.value, 1)
    expect(juice.ph!.value).toBeLessThan(3.68)
    expect(juice.volume.value).toBeCloseTo(20.2, 6)
    expect(juice.ta!.value).toBeGreaterThan(5.2)
    expect(juice.sg!.value).toBeLessThan(1.09)
  })
})
