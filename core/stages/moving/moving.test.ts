import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Draft, type Fact, type LotView, type VesselState, foldCellar, lotAt } from '../../ledger'
import { DAY, ledgerBefore } from '../ledger.fixture'
import { vesselTasksOf } from '../vessels'
import { woodStage } from '../wood'
import { airAdvice, meetings, placesFor, toppingWines, usualPlace } from '.'

const NOW = Date.UTC(2026, 10, 26, 12)
const { entry, now, read, start } = ledgerBefore(NOW, DAY, 'lot-moving')

/** A wine, or what becomes one, with more said of it. */
function lots(
  ...all: {
    id: string
    sg?: number
    style?: 'red' | 'white'
    variety?: string
    vintage?: number
    malic?: number
    ph?: number
    smells?: 'rotten-egg' | 'vinegar'
    free?: number
    sugar?: number
    more?: Draft<Fact>[]
  }[]
): LotView[] {
  const cellar = foldCellar(
    all.flatMap(({ id, sg = 0.994, style = 'red', variety = 'Tempranillo', vintage = 2026, ph = 3.5, more = [], ...told }) => [
      start(60, { lotId: id, name: id, style, varieties: [{ name: variety, share: 1 }], vintage }),
      read(59, 'sg', 1.09, id),
      entry(58, { type: 'inoculation', lotId: id, organism: 'yeast', culture: 'Y', grams: 5 }),
      read(20, 'sg', sg, id),
      read(16, 'ph', ph, id),
      ...(told.malic === undefined
        ? []
        : [
            entry(19, { type: 'inoculation', lotId: id, organism: 'bacteria', culture: 'B', grams: 1 } as Draft<Fact>),
            read(2, 'malic', told.malic, id)
          ]),
      ...(told.free === undefined ? [] : [read(1, 'freeSo2', told.free, id)]),
      ...(told.sugar === undefined ? [] : [read(1, 'sugar', told.sugar, id)]),
      ...more.map((draft) => entry(1.5, { ...draft, lotId: id } as Draft<Fact>)),
      ...(told.smells ? [entry(2, { type: 'observation', lotId: id, what: 'smell', text: 'x', smells: [told.smells] })] : [])
    ])
  )
  return all.map(({ id }) => lotAt(cellar.lots.get(id)!, now))
}

describe('with air or without', () => {
  it.each([
    ['a sound wine', {}, 'quiet', 'wine'],
    ['a wine that smelt of rotten egg', { smells: 'rotten-egg' as const }, 'splashed', 'rotten-egg'],
    ['a wine that smelt of vinegar', { smells: 'vinegar' as const }, 'quiet', 'wine'],
    ['a ferment at its beginning', { sg: 1.08 }, 'splashed', 'early-ferment'],
    ['a ferment past its first third', { sg: 1.03 }, 'quiet', 'late-ferment']
  ])('%s', (_name, more, air, because) => expect(airAdvice(lots({ id: 'lot-moving-a', ...more })[0]!, now)).toEqual({ air, because }))
})

describe('wines to top up with', () => {
  const likest = (...others: Parameters<typeof lots>) => {
    const [lot, ...rest] = lots({ id: 'lot-moving-a', malic: 0.05 }, ...others)
    return toppingWines(lot!, rest, new Map(), now).map((t) => [t.lotId.at(-1), t.doubts] as const)
  }
  it('the same wine first; one that brings malic acid, sugar or a fault last, with the reason', () => {
    expect(
      likest(
        { id: 'lot-moving-m' },
        { id: 'lot-moving-f', malic: 0.05, smells: 'vinegar' },
        { id: 'lot-moving-o', malic: 0.05, variety: 'Bobal' },
        { id: 'lot-moving-s', malic: 0.05 }
      )
    ).toEqual([
      ['s', []],
      ['o', []],
      ['m', ['malolactic-unlike']],
      ['f', ['smells']]
    ])
  })
  it('another colour and a younger vintage are doubted', () =>
    expect(likest({ id: 'lot-moving-w', malic: 0.05, style: 'white', vintage: 2027 })[0]![1]).toEqual(['other-style', 'younger']))
  it('what ferments or is must is none', () => expect(likest({ id: 'lot-moving-x', sg: 1.05 })).toEqual([]))
})

describe('two wines that are to meet', () => {
  const [A, B] = ['lot-moving-a', 'lot-moving-b']
  const sorbate: Draft<Fact> = { type: 'addition', lotId: '', material: 'potassium-sorbate', unit: 'g', actual: 3 }
  const none: Draft<Fact> = { type: 'lot-planned', lotId: '', malolactic: 'none' }
  const noMalic: Draft<Fact> = { type: 'reading', lotId: '', quantity: 'malic', typed: '0.1', value: 0.1 }
  const through = { malic: 0.05 }
  type Wine = Omit<Parameters<typeof lots>[0], 'id'>
  const meet = (wines: LotView[], ...litres: number[]) => meetings(wines.map((lot, i) => ({ lot, litres: litres[i] ?? 10 })), now)
  const brings = (a: Wine, b: Wine, ...litres: number[]) =>
    meet(lots({ id: A, ...a }, { id: B, ...b }), ...litres).map((m) => `${m.code} ${m.fromId.at(-1)}>${m.intoId.at(-1)}`)
  it.each<[string, Wine, Wine, string[]]>([
    ['two that are through', through, through, []],
    ['two that are to keep their malic acid', { more: [none] }, { more: [none] }, []],
    ['one through and one with its malic acid', through, { more: [none] }, ['malic-again b>a']],
    ['with a test that says there is none', through, { more: [none, noMalic] }, []],
    ['bacteria at work, and free SO₂', { malic: 1.2 }, { more: [none], free: 30 }, ['bacteria-stopped b>a']],
    ['bacteria at work, and hardly any', { malic: 1.2 }, { more: [none], free: 6 }, []],
    ['bacteria at work, into one that is through', { malic: 1.2, free: 0 }, { ...through, free: 0 }, []],
    [
      'sorbate into what bacteria have worked in',
      { sugar: 18, more: [none, sorbate] },
      { ...through, sugar: 1 },
      ['geranium a>b', 'malic-again a>b', 'sugar-again a>b']
    ],
    ['sorbate and no bacteria anywhere', { sugar: 18, more: [none, sorbate] }, { more: [none], sugar: 1 }, ['sugar-again a>b']],
    ['sugar by a test, though its gravity is low', { more: [none], sugar: 9 }, { more: [none], sugar: 1 }, ['sugar-again a>b']],
    ['both sweet', { more: [none], sugar: 9 }, { more: [none], sugar: 12 }, []],
    ['a fault into a sound wine', { ...through, smells: 'vinegar' }, through, ['fault a>b']],
    ['a fault in both', { ...through, smells: 'vinegar' }, { ...through, smells: 'rotten-egg' }, []],
    ['a ferment has nothing to lose', { sg: 1.04 }, through, []]
  ])('%s', (_name, a, b, found) => {
    expect(brings(a, b)).toEqual(found)
    // Whichever is poured into which, the same is said.
    const turned = { 'a>b': 'b>a', 'b>a': 'a>b' }
    expect(brings(b, a)).toEqual(found.map((m) => m.replace(/.>.$/, (way) => turned[way as keyof typeof turned])))
  })
  it('a cup that brings next to nothing harms nothing; sorbate does in any amount', () => {
    const kept = { more: [none], free: 25 }
    expect(brings(kept, { malic: 1.2 }, 0.6, 24)).toEqual([])
    expect(brings(kept, { malic: 1.2 }, 12, 12)).toEqual(['bacteria-stopped a>b'])
    // 2 g/L of malic acid, a tenth of the blend: 0.2 g/L.
    expect(brings(kept, through, 1, 9)).toEqual([])
    expect(brings(kept, through, 3, 9)).toEqual(['malic-again a>b'])
    expect(brings({ more: [none], sugar: 12 }, { more: [none], sugar: 1 }, 1, 9)).toEqual([])
    expect(brings({ more: [none, sorbate], sugar: 12 }, { ...through, sugar: 1 }, 0.1, 24)).toEqual(['geranium a>b'])
  })
  it('of three each pair is looked at', () => {
    const three = lots({ id: A, ...through }, { id: B, ...through }, { id: 'lot-moving-c', more: [none] })
    expect(meet(three).map((m) => [m.code, m.fromId, m.intoId])).toEqual([
      ['malic-again', 'lot-moving-c', A],
      ['malic-again', 'lot-moving-c', B]
    ])
  })
})

const vessel = (id: string, capacityL: number, more: Partial<VesselState> = {}): VesselState => ({
  id,
  name: id,
  kind: 'demijohn',
  capacityL,
  litres: 0,
  sanitisedAt: now,
  ...more
})

describe('where it can go', () => {
  it('what it fills best first, then what takes a part, wide ones last; nothing that holds wine or is out of use', () => {
    const all = [
      vessel('big', 54),
      vessel('right', 23),
      vessel('part', 15),
      vessel('pail', 23, { kind: 'pail' }),
      vessel('held', 23, { lotId: 'lot-other' }),
      vessel('gone', 23, { retiredAt: now })
    ]
    expect(placesFor(22.8, all, now).map((p) => [p.vesselId, p.fits])).toEqual([
      ['right', 'full'],
      ['big', 'air'],
      ['part', 'too-small'],
      ['pail', 'full']
    ])
  })
  it('what ferments gets room for its foam, in a pail as well as in glass, and what it would foam out of comes behind', () => {
    const all = [vessel('right', 23), vessel('big', 30), vessel('pail', 35, { kind: 'pail' }), vessel('part', 15)]
    expect(placesFor(22.8, all, now, true).map((p) => [p.vesselId, p.fits])).toEqual([
      ['big', 'air'],
      ['pail', 'air'],
      ['right', 'tight'],
      ['part', 'too-small']
    ])
  })
  it.each([
    // What is taken unasked: filled by all of it, clean, of no wood; for a wine not wide.
    ['wine', 22.8, [vessel('pail', 23, { kind: 'pail' }), vessel('glass', 23)], false, 'glass'],
    ['wine that fills none', 22.8, [vessel('big', 54), vessel('part', 15)], false, undefined],
    ['wine, and the glass is dirty', 22.8, [vessel('glass', 23, { used: true, sanitisedAt: undefined } as never)], false, undefined],
    ['wine, and there is only oak', 22.8, [vessel('oak', 23, { kind: 'barrel', swelledAt: now })], false, undefined],
    ['must', 22.8, [vessel('glass', 23), vessel('pail', 30, { kind: 'pail' })], true, 'pail'],
    ['must that would foam over', 22.8, [vessel('glass', 23)], true, undefined]
  ] as const)('%s: the usual place', (_, litres, vessels, ferments, chosen) =>
    expect(usualPlace(placesFor(litres, vessels, now, ferments), ferments)?.vesselId).toBe(chosen))
  it.each([
    ['used and not washed', { used: true, sanitisedAt: undefined }, ['wash']],
    ['washed, not sanitised', { used: true, cleanedAt: now, sanitisedAt: undefined }, ['sanitise']],
    ['a new barrel', { kind: 'barrel' as const }, ['swell']],
    ['a barrel that was swelled', { kind: 'barrel' as const, swelledAt: now }, []],
    ['a barrel emptied today', { kind: 'barrel' as const, used: true, lastHeld: { name: 'W', until: now } }, []]
  ])('%s', (_name, more, first) => expect(placesFor(10, [vessel('v', 20, more as Partial<VesselState>)], now)[0]!.first).toEqual(first))
  it('of two clean vessels the one with less air stands first, whatever the volume', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 8 }),
        (litres, sizes) => {
          const places = placesFor(
            litres,
            sizes.map((s, i) => vessel(`v${i}`, s)),
            now
          ).filter((p) => p.fits !== 'too-small')
          for (let i = 1; i < places.length; i++) expect(places[i]!.airL).toBeGreaterThanOrEqual(places[i - 1]!.airL)
        }
      )
    )
  })
})

describe('what empty vessels ask for', () => {
  const ago = (days: number) => new Date(NOW - days * DAY).toISOString()
  const codes = (more: Partial<VesselState>) =>
    vesselTasksOf([vessel('v', 28, { sanitisedAt: undefined, ...more } as VesselState)], now).map((t) => `${t.code} ${t.urgency}`)
  it.each([
    ['never used', {}, []],
    ['emptied and not washed', { used: true, lastHeld: { name: 'W', until: ago(2) } }, ['wash-vessel soon']],
    ['washed', { used: true, cleanedAt: ago(1) }, []],
    ['wine in it', { used: true, lotId: 'lot-other' }, []],
    ['out of use', { used: true, retiredAt: ago(1) }, []],
    ['a new barrel is kept dry', { kind: 'barrel' as const }, []],
    ['a barrel washed and not sulphured', { kind: 'barrel' as const, used: true, cleanedAt: ago(1) }, ['sulphur-barrel soon']],
    [
      'a barrel sulphured a week ago',
      { kind: 'barrel' as const, used: true, cleanedAt: ago(8), sulphuredAt: ago(7) },
      ['sulphur-barrel wait']
    ],
    [
      'a barrel sulphured two months ago',
      { kind: 'barrel' as const, used: true, cleanedAt: ago(70), sulphuredAt: ago(60) },
      ['sulphur-barrel soon']
    ]
  ])('%s', (_name, more, wanted) => expect(codes(more as Partial<VesselState>)).toEqual(wanted))
})

describe('a wine in wood', () => {
  const inBarrel = (days: number, fillsBefore: number, tastedAgo?: number) => {
    const id = 'lot-moving-oak'
    const cellar = foldCellar([
      entry(400, { type: 'vessel-added', vesselId: 'vessel-oak', name: 'Oak', kind: 'barrel', capacityL: 28, fillsBefore }),
      start(390, { lotId: id, style: 'red', volumeL: 28 }),
      read(380, 'sg', 0.994, id),
      entry(days, { type: 'transfer', purpose: 'rack', from: { lotId: id }, to: { lotId: id, vesselId: 'vessel-oak' }, outL: 28, inL: 28 }),
      ...(tastedAgo === undefined ? [] : [entry(tastedAgo, { type: 'observation', lotId: id, what: 'taste', text: 'vanilla' })])
    ])
    const lot = lotAt(cellar.lots.get(id)!, now)
    return woodStage.appliesTo(lot) ? woodStage.tasks(lot, cellar, now).map((t) => `${t.code} ${t.urgency}`) : []
  }
  it.each([
    ['two weeks in a new one', 14, 0, undefined, ['taste-wood wait']],
    ['eight weeks in a new one, never tasted', 56, 0, undefined, ['taste-wood soon']],
    ['eight weeks, tasted yesterday', 56, 0, 1, ['taste-wood wait']],
    ['its time is over', 105, 0, 1, ['out-of-wood soon']],
    ['long over', 200, 0, 1, ['out-of-wood now']],
    ['in one that held a wine, the same time', 105, 1, 1, ['taste-wood wait']],
    ['old wood', 300, 5, undefined, []]
  ])('%s', (_name, days, fills, tasted, wanted) => expect(inBarrel(days, fills, tasted)).toEqual(wanted))
})
