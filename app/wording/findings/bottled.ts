import type { BottledSays } from '~~/core/stages'
import type { WordsFor } from './say'

const months = (n: number): string => (n < 1.5 ? 'a month' : `${Math.round(n)} months`)
const bottles = (n: number): string => (n === 1 ? 'the last bottle' : `${n} bottles`)

export const BOTTLED: WordsFor<BottledSays> = {
  'taste-bottle': ({ left, monthsIn, lastRating, urgency }) => ({
    title: urgency === 'wait' ? `It rests in bottles: ${left} left` : 'Open a bottle and taste it',
    reason: `${monthsIn < 1 ? 'Just bottled' : `${months(monthsIn)} in the bottle`}${lastRating === undefined ? '' : `, ${lastRating} of 10 when it was last tasted`}; ${bottles(left)} left. One now and then tells how it goes.`,
    action: 'Write down how it tastes'
  }),
  'lay-down': ({ left, upright }) => ({
    title: upright ? 'They stand upright for three days' : 'Lay the bottles on their side',
    reason: upright
      ? `${bottles(left)} under cork: upright until it has taken hold. Look whether one leaks.`
      : `${bottles(left)} under cork: lying, it stays wet and tight. Shaken by the bottling it tastes of little for about six weeks: `
        + 'judge it after.'
  }),
  'drink-up': ({ left, untilMonths, monthsIn, urgency }) => ({
    title: urgency === 'wait' ? 'It may be at its best' : 'Drink it up',
    reason: `${months(monthsIn)} in the bottle; such wines are good for about ${months(untilMonths)}, some longer. `
      + `${left === 1 ? 'The last one is kept for a comparison.' : `${bottles(left)} left.`} Common practice.`,
    action: 'Write down how it tastes'
  })
}
