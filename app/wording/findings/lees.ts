import type { LeesSays } from '~~/core/stages'
import { counted } from '~/wording/count'
import { type WordsFor, capital, hours } from './say'

export const LEES: WordsFor<LeesSays> = {
  'rack-gross-lees': ({ hoursSince, pressed }, { alcoholic }) => ({
    title: hoursSince < 24 ? 'Let it settle, then rack it off the gross lees' : 'Rack it off the gross lees',
    reason: `${pressed ? 'Pressed' : alcoholic === 'stopped' ? 'Stopped' : 'Dry'} ${
      hoursSince < 48 ? hours(hoursSince) : counted(Math.round(hoursSince / 24), 'day')
    } ago. `
      + `Rack it after one to three days into a vessel that it fills. Left longer, the thick lees begin to smell.`,
    action: 'Rack it'
  }),
  'stir-lees': ({ weeksOn }) => ({
    title: 'Stir the fine lees',
    reason: `Once a week, gently, and close it at once. ${
      weeksOn < 1 ? 'Just racked' : capital(counted(Math.round(weeksOn), 'week'))
    } on the fine lees. After about twelve weeks they have nothing more to give. Smell it each time.`,
    action: 'Log it'
  }),
  'lees-smell': () => ({
    title: 'The lees smell',
    reason: 'A rotten egg smell from the fine lees does not go away. Rack the wine off them now, with a splash, and stop stirring.',
    action: 'Rack it'
  })
}
