import type { WoodSays } from '~~/core/stages'
import { type WordsFor, capital, weeks } from './say'

export const WOOD: WordsFor<WoodSays> = {
  'taste-wood': ({ vessel, weeksIn, outInWeeks, urgency }) => ({
    title: urgency === 'wait' ? `Taking up wood in ${vessel}` : `Taste it for wood: ${vessel}`,
    reason: `${weeksIn < 1 ? 'Since this week' : `${capital(weeks(weeksIn))} in it`}. Going by the barrel’s size and age, take it out in `
      + `about ${weeks(Math.max(1, outInWeeks))}. Your tongue may decide sooner. Common practice.`,
    action: 'Write how it tastes'
  }),
  'out-of-wood': ({ vessel, weeksIn, weeks: most }) => ({
    title: `Take it out of ${vessel}`,
    reason: `${capital(weeks(weeksIn))} in it, where ${weeks(most)} is usually enough. Too much wood can only be blended away.`,
    action: 'Rack it'
  })
}
