import { describe, expect, it } from 'vitest'
import type { LotView } from '../../core/ledger'
import type { StageFinding } from '../../core/stages'
import { wineFrom } from '../../simulator'
import { AdviceWatch } from './advice'
import { mustOf, SCENARIOS } from './scenarios'

const must = mustOf(SCENARIOS[0]!, 1)
/** A dry red at rest, its malolactic over: what is said of it changes that. */
const known = (watch: AdviceWatch, day: number, wine: object = {}, lot: object = {}, airL = 0) => watch.knows(
  day,
  { ...wineFrom(1, must), skins: false, sugar: 0.5, ethanol: 100, yeast: 0.02, acids: { ...wineFrom(1, must).acids, malic: 0 }, lees: 0.5,
    gas: 0.1, haze: 1, free: 30, ph: 3.5, ...wine },
  { standing: 'wine', malolactic: 'done', style: 'red', stream: 'fresh', plan: { malolactic: 'after-pressing' }, volume: { value: 40 },
    ...lot } as unknown as LotView,
  airL
)
const task = (code: string) => ({ code, key: code }) as StageFinding

describe('the watch over the advice', () => {
  it.each<[name: string, wine: object, airL: number, asked: string | undefined, silent: string[]]>([
    ['protected and full: nothing to say', {}, 0, undefined, []],
    ['without sulphite, and nobody speaks of it', { free: 3 }, 0, undefined, ['too little sulphite']],
    ['without sulphite, and it is asked about', { free: 3 }, 0, 'check-sulphite', []],
    ['a fifth of air', {}, 9, undefined, ['air over the wine']],
    ['a fifth of air, asked about', {}, 9, 'top-up', []],
    ['sugar that stands', { sugar: 25 }, 0, undefined, ['ferment that stands']],
    ['rotten eggs', { sulphide: 5 }, 0, undefined, ['rotten eggs']],
    ['malic acid that nobody touches', { acids: { ...wineFrom(1, must).acids, malic: 2 } }, 0, undefined,
      ['malolactic that does not begin or stands']]
  ])('%s', (_name, wine, airL, asked, silent) => {
    const watch = new AdviceWatch()
    for (let day = 100; day < 145; day += 3) {
      if (asked && day % 9 === 1) watch.asked(known(watch, day, wine, {}, airL), task(asked))
      watch.visited(known(watch, day, wine, {}, airL))
    }
    expect(watch.faults.silent.map((s) => s.replace(/ \(.*/, ''))).toEqual(silent)
  })
  it('leaves what the person decided to the person', () => {
    const watch = new AdviceWatch()
    for (let day = 100; day < 145; day += 3) {
      watch.visited(known(watch, day, { free: 3 }))
      if (day === 103) watch.decidedOn(day, 'check-sulphite', 'no-instrument')
    }
    expect(watch.faults.silent).toEqual([])
  })
  it.each<[name: string, asked: [day: number, code: string][], contradicted: string[]]>([
    ['bacteria, and sulphite within the week', [[10, 'start-malolactic'], [15, 'sulphite-low']], ['start-malolactic, then sulphite-low']],
    ['bacteria, and sulphite when they are done', [[10, 'start-malolactic'], [60, 'sulphite-low']], []],
    ['sulphite twice on the same reading', [[10, 'sulphite-low'], [13, 'sulphite-low']], ['sulphite-low, then sulphite-low']],
    ['sulphite twice, read in between', [[10, 'sulphite-low'], [12.9, 'measure-free'], [13, 'sulphite-low']], []],
    ['racked twice in a week', [[10, 'rack-gross-lees'], [15, 'rack-again']], ['rack, then rack']]
  ])('contradictions: %s', (_name, asked, contradicted) => {
    const watch = new AdviceWatch()
    for (const [day, code] of asked) watch.asked(known(watch, day), task(code))
    expect(watch.faults.contradicted.map((s) => s.replace(/ \(.*/, ''))).toEqual(contradicted)
  })
  it.each<[code: string, wine: object, lot: object, why: string | undefined]>([
    ['bottle', {}, {}, undefined],
    ['bottle', { gas: 1.3 }, {}, 'gas in it'],
    ['bottle', { haze: 40 }, {}, 'cloud'],
    ['bottle', { free: 2 }, {}, 'no sulphite'],
    ['bottle', { free: 2 }, { plan: { sulphite: 'none' } }, undefined],
    ['start-malolactic', { free: 60, ph: 3.3 }, {}, 'sulphite that kills bacteria'],
    ['pitch', { celsius: 38 }, {}, 'heat']
  ])('order: %s %o', (code, wine, lot, why) => {
    const watch = new AdviceWatch()
    watch.asked(known(watch, 200, wine, lot), task(code))
    expect(watch.faults.outOfOrder).toEqual(why ? [`${code}: ${why}, day 200`] : [])
  })
  it('a fining that was not racked off, and what cannot be due together', () => {
    const watch = new AdviceWatch()
    watch.happened(2, 'pitch')
    watch.happened(140, 'give:bentonite')
    watch.asked(known(watch, 149), task('bottle'))
    expect(watch.faults.outOfOrder).toEqual(['bottle: a fining under it, day 149'])
    watch.due(150, ['bottle', 'degas', 'lay-down'])
    expect(watch.faults.contradicted).toEqual(['bottle beside degas, day 150'])
  })
})
