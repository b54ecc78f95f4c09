import type { BlendedSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

export const BLENDED: WordsFor<BlendedSays> = {
  'measure-blend': ({ daysSince, ph, taGPerL, urgency }) => ({
    title: urgency === 'wait' ? 'It was blended today' : 'Measure the blend',
    reason: `${daysSince < 1 ? 'Another wine came in today' : `Another wine came in ${days(daysSince)} ago`}. ${
      ph === undefined || taGPerL === undefined
        ? 'What it comes to is not known of both. '
        : `From its parts it should have pH ${ph.toFixed(2)} and TA ${taGPerL.toFixed(1)} g/L. `
    }Stir it, let it stand for a day, and read both: what is far off was mixed badly, or one part was not what its ledger says.`,
    action: 'Measure it'
  })
}
