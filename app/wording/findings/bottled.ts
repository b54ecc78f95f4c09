import type { BottledSays } from '~~/core/stages'
import { type WordsFor, capital, months } from './say'

const bottles = (n: number): string => (n === 1 ? 'the last bottle' : `${n} bottles`)

export const BOTTLED: WordsFor<BottledSays> = {
  'taste-bottle': ({ left, monthsIn, lastRating, urgency }) => ({
    title: urgency === 'wait' ? `In bottles: ${left} left` : 'Open a bottle and taste it',
    reason: `${monthsIn < 1 ? 'Just bottled' : `${capital(months(monthsIn))} in the bottle`}${
      lastRating === undefined ? '' : `, rated ${lastRating} of 10 last time`
    }; ${bottles(left)} left. A taste now and then shows how it develops.`,
    action: 'Write a tasting note'
  }),
  'lay-down': ({ left, upright }) => ({
    title: upright ? 'Keep the bottles upright for three days' : 'Lay the bottles on their side',
    reason: upright
      ? `${capital(bottles(left))} under cork: leave them upright until the cork grips. Check for leaks.`
      : `${capital(bottles(left))} under cork: on its side the cork stays wet and tight. Wait about six weeks before you judge the wine.`
  }),
  'drink-up': ({ left, untilMonths, monthsIn, urgency }) => ({
    title: urgency === 'wait' ? 'Probably at its best' : 'Drink it soon',
    reason: `${capital(months(monthsIn))} in the bottle. Wines like it keep for about ${months(untilMonths)}, some longer. ${
      left === 1 ? 'Keep the last one to compare.' : `${capital(bottles(left))} left.`
    } Common practice.`,
    action: 'Write a tasting note'
  })
}
