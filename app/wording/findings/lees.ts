import type { LeesSays } from '~~/core/stages'
import { counted } from '~/wording/count'
import type { WordsFor } from './say'

export const LEES: WordsFor<LeesSays> = {
  'rack-gross-lees': ({ hoursSince, pressed }) => ({
    title: hoursSince < 24 ? 'Let it settle, then off its lees' : 'Rack it off its gross lees',
    reason: `${pressed ? 'Pressed' : 'Dry'} `
      + `${hoursSince < 48 ? `${Math.round(hoursSince)} hours` : counted(Math.round(hoursSince / 24), 'day')} ago. One to three days `
      + 'after, into a vessel that it fills; left longer, the thick lees begin to smell.',
    action: 'Log the racking'
  }),
  'stir-lees': ({ weeksOn }) => ({
    title: 'Stir the fine lees',
    reason: `Once a week, gently, lid back on at once. ${weeksOn < 1 ? 'Just racked' : counted(Math.round(weeksOn), 'week')} on them; `
      + 'after about twelve they have given what they give. Smell it each time.',
    action: 'Log it'
  }),
  'lees-smell': () => ({
    title: 'The lees smell',
    reason: 'Rotten egg over fine lees does not pass by itself. Rack it off them now, with a splash, and stir no more.',
    action: 'Log the racking'
  })
}
