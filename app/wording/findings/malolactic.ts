import type { MalolacticSays } from '~~/core/stages'
import { type WordsFor, capital, weeks } from './say'

export const MALOLACTIC_SAYS: WordsFor<MalolacticSays> = {
  'start-malolactic': () => ({
    title: 'Malolactic is planned: put the bacteria in',
    reason: 'No sulphite before it. If it shall have none, say so in its plan.',
    action: 'Log the bacteria'
  }),
  'follow-malolactic': ({ nearly, urgency, weeksSince }) => ({
    title: nearly ? 'Malolactic is nearly through' : urgency === 'wait' ? 'Malolactic is at work' : 'Look at the malic acid',
    reason: `${weeksSince < 1 ? 'Looked at within the week.' : `${capital(weeks(weeksSince))} since the last look.`} It is over at 0.1 g/L; sulphite goes in then, not before.`,
    action: 'Measure'
  })
}
