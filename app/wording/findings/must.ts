import type { MustSays } from '~~/core/stages'
import { CLOCK_RUNS, CORRECT, STEP, hoursWords } from '../crush'
import { sayAsUsual, sayJudgement } from '../judgements'
import { listed } from '../listed'
import type { WordsFor } from './say'

const MISSING = { sugar: 'sugar', ph: 'pH', ta: 'titratable acidity' } as const

export const MUST: WordsFor<MustSays> = {
  'measure-must': ({ missing }) => ({
    title: `Measure ${listed(missing.map((m) => MISSING[m]))}`,
    reason: 'Every dose that follows depends on these.',
    action: 'Measure'
  }),
  'sulphite-must': () => ({
    title: 'Add the first sulphite',
    reason: 'There is none in it yet. Add it at once, by the expected volume of juice. Yeast can follow after 12 to 24 hours.',
    action: 'Work out the dose'
  }),
  'correct-must': ({ phase, amounts }, _lot, f) => {
    const { title, why, action } = CORRECT[phase]
    const goes = listed((amounts ?? []).map(({ material, amount, unit }) =>
      `${f.words(unit === 'L' ? f.volume(amount) : f.powder(amount))} of ${f.material(material)}`))
    if (!goes || phase === 'measure-again') return { title, reason: why, action }
    return {
      title,
      reason: phase === 'plan'
        ? `${why} First add ${goes}, which is three quarters. Mix, wait an hour and measure again.`
        : `You have measured again. Now add the rest: ${goes}.`,
      action
    }
  },
  'crush-step': ({ step }, lot) => {
    // No more water goes into what is thinner than its gravity already.
    const thin = step === 'water-kit' && lot.kit && lot.sg && lot.added.has('water') && lot.sg.value < lot.kit.targetSg - 0.002
    return thin
      ? {
          title: 'Check the gravity again',
          reason: 'It reads below its target. Stir to the bottom and read it again. Add no more water.',
          action: 'Do this step'
        }
      : { title: STEP[step].title, reason: STEP[step].why, action: 'Do this step' }
  },
  'clock': ({ step, hoursLeft }) => ({
    title: `${CLOCK_RUNS[step] ?? STEP[step].name}: ${hoursWords(hoursLeft)} to go`,
    reason: STEP[step].why,
    action: 'See this step'
  }),
  'wait-for-yeast': ({ hoursLeft }) => ({
    title: `Wait ${Math.ceil(hoursLeft)} h before the yeast`,
    reason: 'Sulphite went in less than 12 hours ago. Yeast would not start in it.'
  }),
  'pitch': ({ hoursSince }) => ({
    title: 'Ready for yeast',
    reason:
      hoursSince > 24
        ? 'The sulphite went in more than a day ago. Waiting longer invites spoilage.'
        : 'It is measured, and the sulphite has had its time.',
    action: 'Prepare the yeast'
  }),
  'judged': ({ judgement }, lot) => {
    const { verdict, meaning } = sayJudgement(judgement, lot.style)
    return { title: verdict, reason: meaning }
  },
  'as-usual': ({ judgements }, lot) => {
    const { verdict, meaning } = sayAsUsual(judgements, lot.style)
    return { title: verdict, reason: meaning }
  },
  'ferments-by-itself': ({ fell }) => ({
    title: 'Has it started to ferment?',
    reason: `The gravity fell by ${fell.toFixed(3)} and no yeast was logged. A must that was stirred better also reads lower. Look for `
      + `foam and warmth, then say whether it ferments.`,
    action: 'Say whether it ferments'
  }),
  'soak-warm': ({ what, celsius, max }, _lot, f) => ({
    title: what === 'settle' ? 'Too warm to settle' : 'Too warm for a cold soak',
    reason: `${f.words(f.temperature(celsius))}. Above ${f.words(f.temperature(max))} wild yeast and bacteria wake up. Cool it with frozen `
      + 'bottles, or end this step and pitch your yeast.',
    action: 'Plan the cooling'
  })
}
