import type { WoodSays } from '~~/core/stages'
import { type WordsFor, weeks } from './say'

export const WOOD: WordsFor<WoodSays> = {
  'taste-wood': ({ vessel, weeksIn, outInWeeks, urgency }) => ({
    title: urgency === 'wait' ? `It takes up wood in ${vessel}` : `Taste it for wood: ${vessel}`,
    reason: `${weeksIn < 1 ? 'Since this week' : `${weeks(weeksIn)} in it`}; by its size and its fills it should be out in about `
      + `${weeks(Math.max(1, outInWeeks))}. Your tongue decides sooner. Common practice.`,
    action: 'Say how it tastes'
  }),
  'out-of-wood': ({ vessel, weeksIn, weeks: most }) => ({
    title: `Take it out of ${vessel}`,
    reason: `${weeks(weeksIn)} in it, where such wood is usually enough after ${weeks(most)}. What is too much only a blend takes away.`,
    action: 'Rack it'
  })
}
