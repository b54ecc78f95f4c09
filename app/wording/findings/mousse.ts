import type { MousseSays } from '~~/core/stages'
import { type WordsFor, capital, months, weeks } from './say'

const GLASS = 'Glass under pressure: keep a closed box around it, wear gloves and eye protection.'

export const MOUSSE: WordsFor<MousseSays> = {
  'bottles-lie': ({ weeksIn, weeksLeft }) => ({
    title: 'Fermenting in the bottle',
    reason: `${weeksIn < 1 ? 'Since this week' : capital(weeks(weeksIn))}, and probably for another ${weeks(Math.max(1, weeksLeft))}. `
      + `Store the bottles on their side at 12 to 18 °C, away from people. ${GLASS}`
  }),
  'open-one': ({ weeksIn }) => ({
    title: 'Chill one bottle well and open it',
    reason: `${capital(weeks(Math.max(1, weeksIn)))} in. Gas means that it ferments. None means that it is too cold, too strong or too `
      + `heavily sulphited: try a warmer place. ${GLASS}`,
    action: 'Write a tasting note'
  }),
  'riddle': ({ months: n, urgency }) => ({
    title: urgency === 'wait' ? 'Ageing on its lees in the bottle' : 'Riddle it when you like',
    reason: `${capital(months(n))} in the bottle. From about nine months, the lees add more than gas. Rack the bottles neck down and turn `
      + `them a little each day for about three weeks. You can also leave the lees in: say so in the plan. ${GLASS}`,
    did: 'Riddled',
    action: 'Log with a note'
  }),
  'disgorge': ({ weeksRiddled, urgency }) => ({
    title: urgency === 'wait' ? 'Turn the bottles a little each day' : 'Disgorge it',
    reason: `${weeksRiddled < 1 ? 'Riddled since this week' : `Riddled for ${weeks(weeksRiddled)}`}. When the lees have settled on the `
      + `closure: chill the bottle to near freezing, freeze the neck if you can, open it away from people, top it up and wire it at `
      + `once. ${GLASS}`,
    did: 'Disgorged',
    action: 'Log with a note'
  }),
  'pour-off-lees': ({ months: n }) => ({
    title: 'On its lees in the bottle, to stay there',
    reason: `${capital(months(n))} in the bottle. Before you drink it: two days upright in the cold, open it gently and pour it off `
      + `the lees in one go. ${GLASS}`
  })
}
