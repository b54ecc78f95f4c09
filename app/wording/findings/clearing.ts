import type { ClearingSays } from '~~/core/stages'
import { CLARITY_SHORT } from '~/wording/looks'
import { type WordsFor, weeks } from './say'

export const CLEARING: WordsFor<ClearingSays> = {
  'rack-again': ({ weeksSince, clarity, urgency }) => ({
    title: urgency === 'wait' ? 'Settling' : 'Rack it again',
    reason: `Racked ${weeks(weeksSince)} ago${clarity ? `, ${CLARITY_SHORT[clarity]} when you last looked` : ''}. Rack every 6 to 12 weeks `
      + 'until it is clear. Whites are often clear after two rackings.',
    action: 'Plan racking day'
  }),
  'look-at-clarity': ({ weeksSince, urgency }) => ({
    title: urgency === 'wait' ? 'Settling' : 'Check the clarity with a torch',
    reason: `Racked ${weeks(weeksSince)} ago. If it is clear, leave it alone. If it is hazy, rack it again.`,
    action: 'Enter the clarity'
  }),
  'haze-stays': ({ weeksSince, clarity, rackings }) => ({
    title: 'Racking does not clear it',
    reason: `Still ${CLARITY_SHORT[clarity]} after ${rackings} rackings, the last one ${weeks(weeksSince)} ago. More racking only takes up `
      + 'air. Fine it by a bench trial, wait for a cold spell, filter it, or accept the haze.',
    action: 'Decide'
  })
}
