import type { Standing } from '~~/core/ledger'

export interface Bench {
  to: string
  name: string
  what: string
  /** What a lot is while it makes sense. */
  fits: readonly Standing[]
}

/** All calculations, by the question that somebody has. */
export const BENCH_GROUPS: readonly { question: string, benches: readonly Bench[] }[] = [
  {
    question: 'What is in it?',
    benches: [
      {
        to: '/bench/measure',
        name: 'Measure',
        what: 'Sugar on every scale, corrected for temperature. TA from a titration, and where a must is on the map.',
        fits: ['must', 'fermenting', 'wine']
      },
      {
        to: '/bench/alcohol',
        name: 'Alcohol',
        what: 'From two gravities by several methods, or from a refractometer during the ferment.',
        fits: ['fermenting', 'wine']
      },
      {
        to: '/bench/free-so2',
        name: 'Free SO₂ by titration',
        what: 'From iodine or aspiration, corrected for what red wine does to iodine.',
        fits: ['wine']
      }
    ]
  },
  {
    question: 'How do I protect it?',
    benches: [
      {
        to: '/bench/sulphite',
        name: 'Sulphite',
        what: 'How much to weigh for the free SO₂ this pH needs. Also with tablets, and by other methods.',
        fits: ['must', 'wine']
      }
    ]
  },
  {
    question: 'How do I adjust it?',
    benches: [
      {
        to: '/bench/correct',
        name: 'Correct the must',
        what: 'Try acid, carbonate, water or sugar before you add it, or let Presk find the smallest additions.',
        fits: ['must', 'wine']
      },
      {
        to: '/bench/sweeten',
        name: 'Sugar and water',
        what: 'Raise a must with sugar or honey, or dilute a must, kit or concentrate to a gravity.',
        fits: ['must', 'fermenting']
      }
    ]
  },
  {
    question: 'How do I help it ferment?',
    benches: [
      {
        to: '/bench/yeast',
        name: 'Yeast and nutrient',
        what: 'Which yeast, how much and how to rehydrate it; how much nutrient and when.',
        fits: ['must']
      },
      {
        to: '/bench/heat',
        name: 'Cooling and heating',
        what: 'Frozen bottles a day to cool a ferment, or watts to warm it.',
        fits: ['must', 'fermenting']
      }
    ]
  },
  {
    question: 'How do I get it clear and stable?',
    benches: [
      {
        to: '/bench/trial',
        name: 'Bench trial',
        what: 'Fine in glasses first: how many millilitres in each, blind, and the choice for the whole lot.',
        fits: ['wine']
      },
      {
        to: '/bench/stability',
        name: 'Heat and cold tests',
        what: 'For protein and crystals: a method, a timer, and what the result means.',
        fits: ['wine']
      },
      {
        to: '/bench/cold',
        name: 'Cold stabilising',
        what: 'How cold and how long, how much tartar drops, and pH and TA afterwards.',
        fits: ['wine']
      }
    ]
  },
  {
    question: 'How do I finish it?',
    benches: [
      {
        to: '/bench/blend',
        name: 'Blend',
        what: 'What two or more wines make together, pH included, or how much of each for a target.',
        fits: ['wine']
      },
      {
        to: '/bench/sweet',
        name: 'Sweeten a wine',
        what: 'Find the sweetness in the glass, then hold it with sorbate and sulphite or with heat.',
        fits: ['wine']
      },
      {
        to: '/bench/sparkling',
        name: 'Sparkling wine',
        what: 'Sugar for a pressure, counting any sugar left, and whether the bottle holds it.',
        fits: ['wine']
      },
      {
        to: '/bench/bottles',
        name: 'Bottling day',
        what: 'Which bottles you need, in what order to work, and what you filled.',
        fits: ['wine']
      }
    ]
  }
]

/** What a measurement would settle: "pH is only an estimate, so the dose may be anything from 0.2 g to 0.9 g. Measure it if you can." */
export const sayWorth = (label: string, known: boolean, figure: string, low: string, high: string): string =>
  `${label} is ${known ? 'only an estimate' : 'not known'}, so the ${figure} may be anything from ${low} to ${high}. Measure it if you can.`

/** Where a number comes from that a bench was filled with; what is usual needs no word. */
export const FILLED_FROM = { measured: 'measured', estimated: 'estimated', forecast: 'from the forecast', usual: undefined } as const
