import type { MousseSays } from '~~/core/stages'
import { type WordsFor, weeks } from './say'

const months = (n: number): string => (n < 1.5 ? 'A month' : `${Math.round(n)} months`)
const GLASS = 'Glass under pressure: a closed box around it, gloves, eyes covered.'

export const MOUSSE: WordsFor<MousseSays> = {
  'bottles-lie': ({ weeksIn, weeksLeft }) => ({
    title: 'It ferments in its bottles',
    reason: `${weeksIn < 1 ? 'Since this week' : weeks(weeksIn)}; likely over in about ${weeks(Math.max(1, weeksLeft))}. On their side `
      + `at 12 to 18 °C, out of the way of people. ${GLASS}`
  }),
  'open-one': ({ weeksIn }) => ({
    title: 'Chill one bottle well, and open it',
    reason: `${weeks(Math.max(1, weeksIn))} in. Gas says that it ferments; none, that it is too cold, too strong or too sulphited, and a `
      + `warmer place may help. ${GLASS}`,
    action: 'Write down how it tastes'
  }),
  'riddle': ({ months: n, urgency }) => ({
    title: urgency === 'wait' ? 'It lies on its lees in the bottle' : 'Riddle it, when you like',
    reason: `${months(n)} in the bottle. From nine months on the lees give it more than gas. Neck down in a rack, a part of a turn each `
      + `day for about three weeks; or leave the lees in, and say so in its plan. ${GLASS}`,
    action: 'Log it'
  }),
  'disgorge': ({ weeksRiddled, urgency }) => ({
    title: urgency === 'wait' ? 'Turn the bottles, each a little, each day' : 'Disgorge it',
    reason: `${weeksRiddled < 1 ? 'Riddled since this week' : `Riddled for ${weeks(weeksRiddled)}`}. When the lees lie on the closure: `
      + `bottle ice-cold, neck frozen if you can, opened away from people, filled up, wired at once. ${GLASS}`,
    action: 'Log it'
  }),
  'pour-off-lees': ({ months: n }) => ({
    title: 'It lies on its lees, and stays there',
    reason: `${months(n)} in the bottle. Before it is drunk: two days upright in the cold, opened gently, poured in one go off its lees. `
      + `${GLASS}`
  })
}
