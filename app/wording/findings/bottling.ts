import type { BottlingSays, Condition, ConditionCode } from '~~/core/stages'
import { counted } from '~/wording/count'
import { sayDayOf } from '~/wording/days'
import { sayCondition, settleLabel } from '~/wording/readiness'
import type { WordsFor } from './say'

/** What settles a condition, as something to do; where it matters whether it is unknown or bad, both. */
const SETTLE: Record<ConditionCode, string | { unknown: string, bad: string }> = {
  'stable-gravity': 'Read the gravity again',
  'malic-settled': 'Settle the malic acid',
  'off-lees': 'Rack it off its lees',
  'off-fining': 'Rack it off the fining',
  'clear': { unknown: 'Check how clear it is', bad: 'Get it clear' },
  'gas-out': { unknown: 'Check for gas', bad: 'Stir the gas out' },
  'protein': { unknown: 'Do a heat test', bad: 'Fine it with bentonite' },
  'cold': { unknown: 'Do a cold test', bad: 'Chill it' },
  'sulphite': 'Add sulphite',
  'sulphite-for-bottle': 'Sulphite it for bottling',
  'sulphite-low-enough': 'Too much sulphite for a second ferment',
  'sweetness-held': { unknown: 'Find out how much sugar is left', bad: 'Keep it from fermenting again' },
  'no-malolactic-with-sorbate': 'Sorbate and bacteria have met',
  'sorbate-may': 'Decide how it is kept sweet',
  'no-sorbate': 'Sorbate stops a second ferment',
  'alcohol-for-yeast': { unknown: 'Find out its alcohol', bad: 'Too much alcohol for a second ferment' },
  'acids-known': 'Measure pH and TA',
  'sound': { unknown: 'Smell it', bad: 'Something smells wrong' }
}
const settleTitle = ({ code, state }: Condition): string => {
  const words = SETTLE[code]
  return typeof words === 'string' ? words : state === 'unknown' ? words.unknown : words.bad
}

export const BOTTLING: WordsFor<BottlingSays> = {
  'settle': ({ condition, left }) => ({
    title: settleTitle(condition) + (condition.notBefore ? ` from ${sayDayOf(condition.notBefore)}` : ''),
    reason: `${sayCondition(condition)} ${
      left > 1 ? `${counted(left - 1, 'more thing')} to settle before bottling.` : 'Then it can be bottled.'
    }`,
    action: settleLabel(condition)
  }),
  'free-before-bottle': ({ freeMgPerL }) => ({
    title: 'Measure free SO₂ before the last dose',
    reason: `It is estimated at ${Math.round(freeMgPerL)} mg/L, and how much of a dose stays free differs from wine to wine. Measure `
      + `first, then dose.`,
    action: 'Measure'
  }),
  'sweeten': ({ hold, needsHeat }) => ({
    title: needsHeat ? 'Decide how it is kept sweet' : 'Sweeten it',
    reason: needsHeat
      ? 'Sorbate needs more free SO₂ with it than the limit still allows. Pasteurise the bottles instead, or keep it dry.'
      : `It is planned sweet, and it is dry, clear and still. Choose the sweetness by taste, and ${
        hold === 'heat' ? 'pasteurise the bottles' : hold === 'sorbate' ? 'add sorbate with sulphite' : 'decide what keeps it from '
        + 'fermenting again'
      }.`,
    action: 'Choose the sweetness'
  }),
  'bottle': ({ open, monthsIn, notBefore, beyondHelp }) => ({
    title: notBefore ? `Bottle it from ${sayDayOf(notBefore)}` : 'Bottle it',
    reason: notBefore
      ? 'Until then it clears and ripens. Presk asks for each test before bottling in time.'
      : open > 0
        ? `Not yet: ${counted(open, 'condition')} still open. Presk asks for each in time.`
        : beyondHelp
          ? `There is nothing more to do before bottling. ${sayCondition(beyondHelp)} You confirm that when you bottle it. `
            + 'Drink it young.'
          : `It meets all conditions and has rested for ${counted(Math.max(1, Math.round(monthsIn)), 'month')}.`,
    action: 'Plan the bottling'
  }),
  'remnant': ({ litres }, _lot, f) => ({
    title: 'What becomes of the rest?',
    reason: `${f.words(f.volume(litres))} is left, less than a bottle. It spoils under so much air, so do something with it this week.`,
    action: 'Choose'
  })
}
