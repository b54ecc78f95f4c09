import type { ClearingSays } from '~~/core/stages'
import { CLARITY_SHORT } from '~/wording/looks'
import { type WordsFor, weeks } from './say'

export const CLEARING: WordsFor<ClearingSays> = {
  'rack-again': ({ weeksSince, clarity, urgency }) => ({
    title: urgency === 'wait' ? 'It settles' : 'Rack it again',
    reason: `Racked ${weeks(weeksSince)} ago${clarity ? `, ${CLARITY_SHORT[clarity]} when it was last looked at` : ''}. Every 6 to 12 `
      + 'weeks until it is clear; whites are often clear after two.',
    action: 'Racking day'
  }),
  'look-at-clarity': ({ weeksSince }) => ({
    title: 'Look through it with a torch',
    reason: `Racked ${weeks(weeksSince)} ago. Clear, it is left alone; hazy, it is racked again.`,
    action: 'Say how clear'
  })
}
