import type { MustSays } from '~~/core/stages'
import { CLOCK_RUNS, CORRECT, STEP, hoursWords } from '../crush'
import { sayAsUsual, sayJudgement } from '../judgements'
import { listed } from '../listed'
import type { WordsFor } from './say'

const MISSING = { sugar: 'sugar', ph: 'pH', ta: 'titratable acidity' } as const

export const MUST: WordsFor<MustSays> = {
  'measure-must': ({ missing }) => ({
    title: `Measure ${listed(missing.map((m) => MISSING[m]))}`,
    reason: 'Every dose that follows rests on these.',
    action: 'Measure'
  }),
  'sulphite-must': () => ({
    title: 'Sulphite the must',
    reason: 'Nothing in it yet. At once, by the expected juice; yeast can follow 12 to 24 hours later.',
    action: 'Work out the dose'
  }),
  'correct-must': ({ phase }) => ({ title: CORRECT[phase].title, reason: CORRECT[phase].why, action: CORRECT[phase].action }),
  'crush-step': ({ step }) => ({ title: STEP[step].title, reason: STEP[step].why, action: 'Open' }),
  clock: ({ step, hoursLeft }) => ({
    title: `${CLOCK_RUNS[step] ?? STEP[step].name}: ${hoursWords(hoursLeft)} to go`,
    reason: STEP[step].why,
    action: 'Open'
  }),
  'wait-for-yeast': ({ hoursLeft }) => ({
    title: `Wait ${Math.ceil(hoursLeft)} h before yeast`,
    reason: 'Sulphite went in less than 12 hours ago; yeast would not start in it.'
  }),
  pitch: ({ hoursSince }) => ({
    title: 'Ready for yeast',
    reason:
      hoursSince > 24
        ? 'More than a day since the sulphite: waiting longer invites spoilage.'
        : 'Measured, and the sulphite has had its time.',
    action: 'Prepare the yeast'
  }),
  judged: ({ judgement }, lot) => {
    const { verdict, meaning } = sayJudgement(judgement, lot.style)
    return { title: verdict, reason: meaning }
  },
  'as-usual': ({ judgements }, lot) => {
    const { verdict, meaning } = sayAsUsual(judgements, lot.style)
    return { title: verdict, reason: meaning }
  },
  'ferments-by-itself': ({ fell }) => ({
    title: 'Has it begun to ferment?',
    reason: `The gravity fell by ${fell.toFixed(3)} and no yeast was logged. A must stirred better the second time reads lower too: look `
      + 'for foam and warmth, then say where it stands.',
    action: 'Say where it stands'
  })
}
