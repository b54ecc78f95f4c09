import {
  type Happened, add, bacteria, bottle, ferment, lot, lotId, plan, rack, read, red, saw, work, yeast
} from './histories.fixture'

/**
 * What must and must not be said of histories that went wrong, or looked as if they had. Numbers are those of the mistakes in the craft
 * notes that somebody's bad day paid for; the rest are wines that Presk once spoke of wrongly.
 */
export type HistoryRow = [name: string, happened: readonly Happened[], day: number, says: readonly string[], silent?: readonly string[]]
const K = 'potassium-metabisulphite'
const S = 'potassium-sorbate'
const white = (end = 0.993, original = 1.085) => [lot(), ...ferment(original, end)]
const racked = (...more: Happened[]) => [...white(), rack(20, 20, 19), ...more]
/** A red that was pressed dry and is to have its bacteria. */
const forBacteria = [red(), plan(0.05, { malolactic: 'after-pressing' }), ...ferment(1.09, 0.994), pressed(14.2, 17)]
function pressed(day: number, litres: number): Happened {
  return [day, { type: 'transfer', purpose: 'press', from: { lotId }, to: { lotId }, outL: litres, inL: litres }]
}
const sg = (days: readonly number[], of: (day: number) => number) => days.map((day) => read(day, 'sg', of(day)))
const range = (from: number, to: number, step = 1) => Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step)
const begun = (original: number, ...more: Happened[]) => [lot(), read(0.1, 'sg', original), ...more]
const kit = lot({ stream: 'kit', style: 'red', volumeL: 16, kit: { targetSg: 1.085, lineL: 23, packets: [] } })

/** Mistakes that are caught from the ledger in time. */
export const MISTAKES: readonly HistoryRow[] = [
  ['1 water to a line: the kit is too thin', [kit, add(0.2, 'water', 7, { unit: 'L', planned: 5 }), read(0.3, 'sg', 1.07)], 1,
    ['judged']],
  ['6 gas in the sample', begun(1.085, yeast(0.5), read(5, 'sg', 1.02), read(5, 'ta', 9)), 6, ['act:gassy-sample']],
  ['7 sugar that has not dissolved', begun(1.07, add(0.2, 'sugar', 600), read(0.21, 'sg', 1.071)), 2, ['problem:contradicts']],
  [
    '11 a still airlock and a clear wine are no proof',
    begun(1.085, yeast(0.5), read(5, 'sg', 1.02), saw(11, 'bubbles'), saw(11, 'clarity', { clarity: 'clear' })),
    12, ['read-ferment', 'bottling-still:stable-gravity'], ['rack-gross-lees', 'sulphite-low', 'start-malolactic']
  ],
  ['12 degrees Brix in a ferment', [lot(), read(0.1, 'brix', 21), yeast(0.5), read(5, 'brix', 9)], 6, ['brix-in-ferment']],
  ['13 hungry yeast, in time', begun(1.1, read(0.1, 'yan', 90), yeast(0.5), read(1.5, 'sg', 1.095)), 1.6, ['feed']],
  ['14 more sugar than any yeast takes', begun(1.14, yeast(0.5)), 1, ['act:beyond-tolerance']],
  ['15 yeast into hot must', begun(1.09, yeast(0.5, { mustC: 37 })), 1, ['act:pitched-hot']],
  ['15 yeast far warmer than the must', begun(1.09, yeast(0.5, { mustC: 16, starterC: 30 })), 1, ['act:yeast-shocked']],
  ['16 yeast hours after sulphite', begun(1.09, read(0.1, 'ph', 3.4), add(0.2, K, 2), yeast(0.4)), 1, ['act:yeast-on-sulphite']],
  ['16 a day after it', begun(1.09, read(0.1, 'ph', 3.4), add(0.2, K, 2), yeast(1.3)), 2, [], ['act:yeast-on-sulphite']],
  ['18 too hot', [red(), read(0.1, 'sg', 1.09), yeast(0.5), read(2.9, 'temperature', 34), read(2.9, 'sg', 1.05)], 3, ['too-hot']],
  [
    '18 the heater is off', begun(1.09, yeast(0.5), read(2, 'temperature', 18), read(2.9, 'temperature', 9), read(2.9, 'sg', 1.06)),
    3, ['temperature-falls']
  ],
  ['18 a heat of three weeks ago', begun(1.09, yeast(0.5), read(3, 'temperature', 34), read(29, 'sg', 1)), 30, [],
    ['too-hot', 'temperature-rises']],
  ['19 sulphite among bacteria', [...forBacteria, bacteria(20), read(20, 'malic', 2), add(35, K, 2)], 40,
    ['problem:sulphite-in-malolactic']],
  ['20 malic acid in the bottle', [...forBacteria, read(20, 'malic', 2.2), rack(25, 16, 15), bottle(59, 19)], 60, ['malic-bottles']],
  ['20 malic acid in a white, sulphite too low to lock it', racked(read(70, 'malic', 2.5), read(70, 'ph', 3.4), bottle(79, 20)), 80,
    ['malic-bottles']],
  ['20 sugar in the bottle', [...white(1, 1.12), rack(20, 20, 19), bottle(79, 20)], 80, ['sweet-bottles'], ['lay-down', 'taste-bottle']],
  [
    '21 sorbate after bacteria', [...forBacteria, bacteria(20), work(50, 'malolactic-over'), rack(25, 16, 15), add(59, S, 3)],
    60, ['act:sorbate-on-bacteria', 'geraniums']
  ],
  ['22 sorbate without sulphite', racked(add(59, S, 4)), 60, ['sorbate-unprotected', 'bottling-still:sulphite-for-bottle']],
  ['22 sugar without either', racked(add(59, 'sugar', 400)), 60, ['sweet-unheld', 'bottling-still:sweetness-held']],
  [
    '23 priming in still bottles',
    racked(plan(30, { sparkling: true }), add(58, 'sugar', 500), bottle(58.1, 25, { material: 'bottle-750' })), 70, ['weak-bottles'],
    ['lay-down']
  ],
  ['24 enzyme with sulphite', [red(), read(0.1, 'sg', 1.09), add(0.2, K, 2), add(0.25, 'pectic-enzyme', 1)], 1,
    ['act:enzyme-beside-sulphite']],
  ['24 enzyme after bentonite', begun(1.09, add(0.2, 'bentonite', 10), add(1, 'pectic-enzyme', 1)), 2, ['act:enzyme-after-bentonite']],
  ['25 powder into a gassy wine', [...white(), saw(15, 'gas', { gas: 'puff' }), add(16, 'bentonite', 10)], 20,
    ['act:powder-into-gas', 'degas']],
  ['26 a wine that was splashed', [...white(), rack(30, 20, 19, { air: 'splashed' })], 40, ['act:wine-splashed']],
  [
    '26 splashed to be rid of a smell',
    [...white(), saw(29, 'smell', { smells: ['rotten-egg'] }), rack(30, 20, 19, { air: 'splashed' })], 40, [], ['act:wine-splashed']
  ],
  [
    '28 wrung skins', [red({ volumeL: 24 }), ...ferment(1.09, 0.994), pressed(15, 23.5)], 16, ['act:pressed-hard']
  ],
  ['30 pH and TA of two wines', [lot(), read(0.1, 'ph', 3.9), read(0.1, 'ta', 11)], 1, ['act:acids-disagree']],
  ['30 alcohol from nowhere', [...white(), read(30, 'abv', 15)], 40, ['act:alcohol-beyond-sugar']],
  [
    '31 a dose below the scale',
    [
      [0.01, { type: 'instrument-added', instrumentId: 'kitchen-scale', name: 'Kitchen scale', kind: 'scale', step: 1 }],
      ...white(), read(20, 'ph', 3.3), add(30, K, 2)
    ],
    40, ['act:below-scale']
  ],
  [
    '33 old sulphite',
    [
      ...white(),
      [0.01, { type: 'supply-stocked', supplyId: 'supply-1', material: K, unit: 'g', amount: 100, opened: '2023-09-01' }],
      add(30, K, 1.2)
    ],
    40, ['act:old-package']
  ],
  ['34 mL for grams: far from the plan', [...white(), add(30, K, 1.2, { planned: 6.4 })], 40, ['act:far-from-plan']],
  ['34 a little off the plan', [...white(), add(30, K, 6, { planned: 6.4 })], 40, [], ['act:far-from-plan']],
  ['35 a lot that nobody measured', [lot({ volumeL: 0 })], 0.5, ['no-volume']],
  ['the same dose twice within minutes', [...white(), add(30, K, 1.2), add(30.003, K, 1.2)], 40, ['act:twice']],
  ['sulphite into a ferment', begun(1.085, yeast(0.5), read(4, 'sg', 1.04), add(4.1, K, 2)), 5, ['act:sulphite-in-ferment']],
  ['sulphite hours after the yeast', begun(1.085, yeast(0.5), add(0.7, K, 2)), 1, ['act:sulphite-on-yeast']],
  ['phosphate late', begun(1.085, yeast(0.5), read(6, 'sg', 1.01), add(6.1, 'ammonium-phosphate', 5)), 7, ['act:phosphate-late']],
  ['bacteria on sorbate', [...forBacteria, add(20, S, 3), bacteria(21)], 22, ['act:bacteria-on-sorbate', 'geraniums']],
  ['malic acid that fell by itself', [...forBacteria, read(20, 'malic', 2.2), read(59, 'malic', 0.3)], 60, ['act:malic-fell']],
  ['a cold soak that is not cold', [red(), read(0.1, 'sg', 1.09), work(0.2, 'cold-soak'), read(1.5, 'temperature', 16)], 2, ['soak-warm']]
]

/** Wines that were once spoken of wrongly. */
export const SPOKEN_WRONGLY: readonly HistoryRow[] = [
  ['a white stands at 0.998 for a month: one decision',
    begun(1.085, yeast(0.5), ...sg(range(2, 42), (d) => Math.max(0.998, 1.09 - d * 0.01))), 45,
    ['stuck'], ['read-ferment', 'stir-must', 'feed', 'confirm-dryness']],
  ['a full red at 0.9985 may be dry: asked once', [red(), read(0.1, 'sg', 1.085), yeast(0.5),
    ...sg(range(2, 22), (d) => Math.max(0.9985, 1.09 - d * 0.01))], 30, ['tell-if-dry', 'press'], ['stuck', 'read-ferment']],
  ['sixty days on its skins: an end',
    [red(), read(0.1, 'sg', 1.09), yeast(0.5), ...sg(range(2, 60, 2), (d) => Math.max(1.004, 1.09 - d * 0.01))],
    60, ['stuck', 'press', 'skins-long']],
  ['proved dry, then racked and topped: off its lees', [...white(), rack(20, 20, 19), [30, { type: 'transfer', purpose: 'top-up',
    from: { lotId }, to: { lotId }, outL: 0.3, inL: 0.3 }]], 45, [], ['rack-gross-lees', 'confirm-dryness', 'read-ferment']],
  ['dry by two readings two days apart, less an hour',
    begun(1.085, yeast(0.5), read(4, 'sg', 1.04), read(11, 'sg', 0.993), read(12.96, 'sg', 0.993)),
    13, ['rack-gross-lees'], ['confirm-dryness', 'read-ferment']],
  ['dry by one look, higher by the next: read until it stands, and racked when it goes on', begun(1.085, yeast(0.5), read(8, 'sg', 0.993),
    read(9, 'sg', 0.996)), 14, ['confirm-dryness']],
  ['the same, and sulphited since: off its lees', begun(1.085, yeast(0.5), read(8, 'sg', 0.993), read(9, 'sg', 0.996), add(12, K, 2)), 14,
    ['rack-gross-lees'], ['read-ferment']],
  ['racked for its smell: smelt again, and not racked for ever',
    racked(saw(30, 'smell', { smells: ['rotten-egg'] }), rack(31, 18, 18)), 34,
    ['smell-again'], ['wine-smells']],
  ['fined: racked off it before it is bottled', racked(add(140, 'bentonite', 12)), 155, ['rack-off-fining', 'bottling-still:off-fining']],
  ['a ferment that stands is neither fed nor given more sugar',
    [lot(), plan(0.01, { sugarSteps: { material: 'sugar', totalG: 1500, parts: 3 } }),
      ...begun(1.09, yeast(0.5), read(6, 'sg', 1.03), read(9, 'sg', 1.03), read(12, 'sg', 1.03)).slice(1)], 12.1, ['stuck'],
    ['feed', 'sugar-step', 'stir-must']],
  ['its nutrient is long past', begun(1.09, read(0.1, 'yan', 100), yeast(0.5), read(1, 'sg', 1.088)), 35, ['read-ferment'], ['feed']],
  ['a must of 27 °Brix: bacteria before it is too strong for them',
    [red(), plan(0.05, { malolactic: 'after-pressing' }), read(0.1, 'sg', 1.115), read(0.1, 'ph', 3.6), yeast(0.5),
      read(1.5, 'sg', 1.108)], 2,
    ['malolactic-early'], ['start-malolactic']],
  ['the same, half way: too late for that', [red(), plan(0.05, { malolactic: 'after-pressing' }), read(0.1, 'sg', 1.115),
    read(0.1, 'ph', 3.6), yeast(0.5), read(5, 'sg', 1.05)], 5, [], ['malolactic-early', 'start-malolactic']],
  ['a must of 22 °Brix: after pressing, as planned', [red(), plan(0.05, { malolactic: 'after-pressing' }), read(0.1, 'sg', 1.092),
    read(0.1, 'ph', 3.6), yeast(0.5), read(1.5, 'sg', 1.085)], 2, [], ['malolactic-early']],
  ['sorbate in it: no bacteria', [...forBacteria, add(20, S, 3)], 50, [], ['start-malolactic']],
  ['vinegar: protected, not infected', [...forBacteria, saw(59, 'smell', { smells: ['vinegar'] })], 60, ['wine-smells'],
    ['start-malolactic']],
  ['bacteria that never began: decided, not looked at for ever',
    [...forBacteria, bacteria(20), read(19, 'malic', 2), read(60, 'malic', 2),
      read(100, 'malic', 2), read(190, 'malic', 2), read(60, 'ph', 3.6)], 200, ['malolactic-stands'],
    ['follow-malolactic', 'start-malolactic']],
  ['the same, and nobody has looked for months: looked at first',
    [...forBacteria, bacteria(20), read(19, 'malic', 2), read(60, 'malic', 2)], 200,
    ['follow-malolactic'], ['malolactic-stands', 'start-malolactic']],
  ['a pH that sulphite cannot mend', racked(read(50, 'ph', 4.1), read(50, 'freeSo2', 5)), 60, ['ph-too-high']],
  ['juice that may have come sulphited: asked first', begun(1.085, read(0.1, 'ph', 3.4)), 0.5, ['crush-step'], ['sulphite-must']],
  ['gross lees after three months', white(), 90, ['rack-gross-lees']],
  ['dry, clean and clear: nothing is wrong', racked(read(25, 'ph', 3.3), read(25, 'ta', 6.5), add(25, K, 3), read(27, 'freeSo2', 35)),
    30, [],
    ['sulphite-low', 'ph-too-high', 'sweet-unheld', 'stuck', 'rack-gross-lees', 'left-alone']]
]
