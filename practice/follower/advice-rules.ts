// What a watcher who knows the wine finds fault with in advice. Figures are ours, wide enough that nobody would call it a quarrel.
import type { LotView } from '../../core/ledger'
import type { StageFinding } from '../../core/stages'
import { type Wine, abvOf, molecularOf } from '../../simulator'

/** How a lot is looked at by somebody who knows its truth. */
export interface Known {
  day: number
  wine: Wine
  lot: LotView
  /** Sugar that was eaten in the last day, g/L. */
  eatenPerDay: number
  /** What the vessels hold besides wine, L. */
  airL: number
  /** When something was last asked, told, given or done, day. */
  last: (code: string) => number | undefined
}

/** Sugar that no yeast is after, g/L. */
const DRY = 4
/** Fined as a wine, and not yet off it. */
const isFined = (last: Known['last']) => (last('give:bentonite') ?? 0) > Math.max(last('rack') ?? 0, (last('pitch') ?? 1e9) + 20)
const isStill = ({ eatenPerDay }: Known) => eatenPerDay < 0.3
const wants = ({ lot }: Known) => ['with-yeast', 'on-skins', 'after-pressing'].includes(lot.plan.malolactic ?? '')
const keeps = ({ lot }: Known) => lot.standing === 'wine' && lot.plan.sulphite !== 'none'
  && (lot.malolactic === 'done' || lot.malolactic === 'not-wanted')

/**
 * What a wine needs by its truth. Open for longer than `days` without any of `answers` being asked or told, Presk was silent. What
 * the person decided (one of them was answered by a way out) is theirs.
 */
interface Need {
  code: string
  days: number
  isOpen: (k: Known) => boolean
  answers: readonly string[]
}

export const NEEDS: readonly Need[] = [
  {
    code: 'must without yeast', days: 5,
    answers: ['pitch', 'not-begun', 'crush-step', 'measure-must', 'correct-must', 'packet', 'read-ferment'],
    isOpen: ({ wine, lot }) => lot.standing !== 'wine' && wine.sugar > 50 && wine.yeast < 0.05
  },
  {
    code: 'ferment that stands', days: 12, answers: [
      'stuck', 'tell-if-dry', 'may-be-stuck', 'slow', 'read-ferment', 'confirm-dryness', 'sugar-before-bacteria', 'measure-blend',
      'settle:stable-gravity', 'settle:sweetness-held', 'not-begun'
    ],
    isOpen: (k) => k.wine.sugar > 12 && k.wine.ethanol > 20 && isStill(k) && k.wine.sorbate < 95 && !k.wine.pasteurised
  },
  {
    code: 'gross lees', days: 28, answers: ['rack-gross-lees', 'rack-again', 'settle:off-lees', 'settle:clear', 'press', 'confirm-dryness',
      'tell-if-dry', 'stuck', 'read-ferment', 'sugar-before-bacteria'],
    isOpen: (k) => !k.wine.skins && k.wine.sugar < DRY && isStill(k) && k.wine.lees > 5
  },
  {
    code: 'skins after the ferment', days: 21, answers: ['press', 'skins-long', 'confirm-dryness', 'read-ferment', 'stuck', 'tell-if-dry'],
    isOpen: (k) => k.wine.skins && k.wine.sugar < DRY && isStill(k)
  },
  {
    code: 'malolactic that does not begin or stands', days: 28, answers: [
      'start-malolactic', 'malolactic-wanted', 'malolactic-early', 'malolactic-stands', 'malolactic-held-up', 'follow-malolactic',
      'sugar-before-bacteria', 'settle:malic-settled', 'rack-gross-lees', 'confirm-dryness', 'measure-malic'
    ],
    isOpen: (k) => wants(k) && k.wine.sugar < DRY && isStill(k) && k.wine.acids.malic > 0.5 && k.wine.ethanol > 20
      && abvOf(k.wine) < 15
  },
  {
    code: 'too little sulphite', days: 21, answers: [
      'sulphite-low', 'sulphite-after-malolactic', 'check-sulphite', 'measure-free', 'free-before-bottle', 'settle:sulphite',
      'settle:sulphite-for-bottle', 'unprotected', 'low-sulphite', 'measure-wine'
    ],
    isOpen: (k) => keeps(k) && k.wine.sugar < DRY && k.wine.gas < 1 && molecularOf(k.wine) < 0.2
  },
  {
    code: 'air over the wine', days: 14,
    answers: ['top-up', 'top-barrel', 'air', 'little-room', 'gas-cover', 'rack-gross-lees', 'rack-again'],
    isOpen: (k) => k.wine.sugar < DRY && isStill(k) && k.wine.gas < 0.9 && !k.wine.skins && k.lot.volume.value > 1
      && k.airL > 0.08 * k.wine.litres
  },
  {
    code: 'rotten eggs', days: 10, answers: ['smells', 'wine-smells', 'smell-again', 'settle:sound', 'lees-smell', 'rack-gross-lees'],
    isOpen: (k) => k.wine.sulphide > 3.5 && k.lot.volume.value > 1
  },
  {
    code: 'hot ferment', days: 1.5, answers: ['too-hot', 'temperature-rises', 'read-ferment', 'not-begun', 'too-warm'],
    isOpen: (k) => k.wine.celsius > 33 && k.eatenPerDay > 5
  },
  {
    code: 'sleeping ferment', days: 6,
    answers: ['too-cold', 'temperature-falls', 'stuck', 'slow', 'may-be-stuck', 'read-ferment', 'not-begun'],
    isOpen: (k) => k.wine.celsius < 10 && k.wine.sugar > 20 && k.wine.yeast > 0.05 && k.lot.plan.finish !== 'sweet'
  },
  {
    code: 'hungry yeast', days: 3, answers: ['feed', 'under-fed', 'packet', 'too-late-to-feed'],
    // Concentrates come with what their yeast needs, or are not fed (craft 5).
    isOpen: (k) => k.wine.must.nitrogen < 110 && k.wine.nitrogen < 15 && k.wine.ethanol > 15 && k.wine.ethanol < 40 && k.eatenPerDay > 3
      && k.lot.stream !== 'kit' && k.last('feed') === undefined
  },
  {
    code: 'bentonite under the wine', days: 35, answers: ['rack-off-fining', 'rack-again', 'settle:clear', 'look-at-clarity'],
    isOpen: ({ last, lot }) => isFined(last) && lot.standing === 'wine'
  },
  {
    code: 'enough oak', days: 21, answers: ['taste-oak', 'taste-wood', 'oak-out', 'out-of-wood'],
    isOpen: (k) => k.wine.oak > 1.4 && (k.wine.looseOak > 0.3 || (k.wine.wood?.litres ?? 0) > 1)
  },
  {
    code: 'anything at all', days: 90, answers: ['*'],
    isOpen: (k) => k.lot.volume.value > 1 && k.lot.standing !== 'bottled'
  }
]

/** Asked at this moment it comes too early, or the wrong way round, by the truth of the wine. */
export const OUT_OF_ORDER: readonly { codes: readonly string[], why: string, when: (k: Known, task: StageFinding) => boolean }[] = [
  {
    codes: ['rack-gross-lees', 'rack-again', 'settle:off-lees'], why: 'a ferment still going on',
    when: (k) => k.wine.sugar > 30 && k.eatenPerDay > 6
  },
  {
    codes: ['sulphite-low', 'sulphite-after-malolactic', 'settle:sulphite', 'settle:sulphite-for-bottle'],
    why: 'a malolactic that is wanted, half-way',
    when: (k) => wants(k) && k.wine.acids.malic > 0.7 && k.wine.bacteria > 0.05
  },
  {
    codes: ['start-malolactic'], why: 'sugar that bacteria make vinegar of',
    when: (k) => k.lot.plan.malolactic === 'after-pressing' && k.wine.sugar > 9 && k.eatenPerDay < 4
  },
  {
    codes: ['sulphite-low', 'sulphite-after-malolactic', 'check-sulphite', 'measure-free', 'free-before-bottle',
      'settle:sulphite-for-bottle'],
    why: 'a wine that is kept without', when: (k) => k.lot.plan.sulphite === 'none'
  },
  { codes: ['start-malolactic'], why: 'sulphite that kills bacteria', when: (k) => molecularOf(k.wine) > 0.6 },
  { codes: ['bottle'], why: 'gas in it', when: (k) => !k.lot.plan.sparkling && k.wine.gas > 1 },
  { codes: ['bottle'], why: 'yeast at work', when: (k) => k.eatenPerDay > 0.4 },
  { codes: ['bottle'], why: 'cloud', when: (k) => k.wine.haze > 12 && k.lot.plan.clarity !== 'accept' },
  { codes: ['bottle'], why: 'a fining under it', when: ({ last }) => isFined(last) },
  { codes: ['bottle'], why: 'thick lees', when: (k) => k.wine.lees > 4 },
  {
    codes: ['bottle'], why: 'no sulphite',
    when: (k) => k.lot.plan.sulphite !== 'none' && !k.lot.plan.sparkling && !k.wine.pasteurised && molecularOf(k.wine) < 0.2
  },
  {
    codes: ['bottle'], why: 'tartar that will fall',
    when: (k) => k.lot.plan.cold !== false && k.wine.must.colour !== 'red' && k.wine.beyond > 0.5
  },
  { codes: ['pitch'], why: 'heat', when: (k) => k.wine.celsius > 35 },
  { codes: ['pitch'], why: 'sulphite that keeps yeast down', when: (k) => molecularOf(k.wine) > 1.2 },
  { codes: ['feed'], why: 'a ferment that is nearly over', when: (k) => k.wine.sugar < 30 || abvOf(k.wine) > 11 },
  { codes: ['top-up'], why: 'foam', when: (k) => k.eatenPerDay > 15 && k.wine.sugar > 40 },
  { codes: ['sweeten'], why: 'yeast that would take it', when: (k) => k.eatenPerDay > 0.4 },
  { codes: ['haze-stays', 'settle:protein'], why: 'yeast or bacteria at work', when: (k) => k.eatenPerDay > 2 },
  { codes: ['degas', 'settle:gas-out'], why: 'a ferment that makes more', when: (k) => k.eatenPerDay > 2 && k.wine.sugar > 6 },
  { codes: ['press'], why: 'skins that gave nothing yet', when: (k) => k.lot.style === 'red' && k.wine.ethanol < 15 && k.wine.sugar > 100 }
]

/** The one undoes the other: asked within so many days it is a contradiction. */
export const UNDOES: readonly (readonly [first: string, then: string, days: number, ...between: string[]])[] = [
  ['give:tartaric', 'give:potassium-bicarbonate', 120],
  ['give:potassium-bicarbonate', 'give:tartaric', 120],
  ['give:sugar', 'give:water', 10],
  ['give:water', 'give:sugar', 10],
  ['start-malolactic', 'settle:sulphite', 14],
  ['start-malolactic', 'sulphite-low', 14],
  ['start-malolactic', 'start-malolactic', 14],
  ['pitch', 'pitch', 30],
  ['told:too-cold', 'told:too-hot', 2],
  ['told:too-hot', 'told:too-cold', 2],
  ['rack', 'rack', 8],
  ['settle:sulphite-for-bottle', 'settle:sulphite-for-bottle', 1],
  ['sulphite-low', 'sulphite-low', 4, 'measure-free', 'check-sulphite', 'free-before-bottle'],
  ['way:warm-it', 'told:too-hot', 3],
  ['way:no-malolactic', 'start-malolactic', 60],
  ['way:leave-sweet', 'stuck', 60],
  ['bottle', 'rack', 30]
]
/** Due at the same visit they cannot both be done. */
export const NOT_TOGETHER: readonly (readonly [string, string])[] = [
  ['start-malolactic', 'sulphite-low'], ['start-malolactic', 'settle:sulphite'], ['start-malolactic', 'settle:sulphite-for-bottle'],
  ['follow-malolactic', 'sulphite-low'], ['follow-malolactic', 'settle:sulphite-for-bottle'], ['stuck', 'rack-gross-lees'],
  ['bottle', 'rack-again'], ['bottle', 'haze-stays'], ['bottle', 'degas'], ['bottle', 'sulphite-low'], ['bottle', 'top-up'],
  ['feed', 'stuck'], ['press', 'feed'], ['told:too-hot', 'told:too-cold'], ['top-up', 'rack-gross-lees'], ['top-up', 'bottle']
]

export const RACKINGS = ['rack-gross-lees', 'rack-again', 'rack-off-fining', 'settle:off-lees', 'settle:off-fining', 'out-of-wood']

/** What a task is known by here: of what has to be settled before the bottle also which. */
export const knownAs = (task: StageFinding): string => (task.code === 'settle' ? `settle:${task.condition.code}` : task.code)
