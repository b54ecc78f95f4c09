import type { BlendedSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

export const BLENDED: WordsFor<BlendedSays> = {
  'measure-blend': ({ daysSince, ph, taGPerL, urgency }) => ({
    title: urgency === 'wait' ? 'Blended today' : 'Measure the blend',
    reason: `${daysSince < 1 ? 'Another wine went in today' : `Another wine went in ${days(daysSince)} ago`}. ${
      ph === undefined || taGPerL === undefined
        ? 'Presk does not know pH and TA of both. '
        : `From its parts it should have pH ${ph.toFixed(2)} and TA ${taGPerL.toFixed(1)} g/L. `
    }Stir it, leave it for a day and measure both. A large difference means that it was mixed badly, or that one part was not what its `
    + 'history says.',
    action: 'Measure'
  })
}
