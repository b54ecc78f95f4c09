import type { FiningSays } from '~~/core/stages'
import { type WordsFor, days, hours } from './say'

export const FINING: WordsFor<FiningSays> = {
  'second-part': ({ hoursIn, fromHours, urgency }) => ({
    title: urgency === 'wait' ? 'Second part of the fining: not yet' : 'Add the second part of the fining',
    reason:
      urgency === 'wait'
        ? `Silica has just gone in. The second part follows in ${Math.max(1, Math.round(fromHours * 60))} minutes, and within a day.`
        : `Silica went in ${hours(hoursIn)} ago. Chitosan or gelatin follows within a day: stir it in gently, as its packet says.`,
    action: 'Log it'
  }),
  'rack-off-fining': ({ material, daysIn, urgency }, _lot, f) => ({
    title: urgency === 'wait' ? 'Let the fining settle' : 'Rack it off the fining',
    reason: `${daysIn < 1 ? 'Today' : `${days(daysIn)} ago`.replace(/^a /, 'A ')} ${f.material(material)} went in. Rack it off once it has `
      + 'settled, after a week or two. Left on it, the wine loses more than haze. Common practice.',
    action: 'Rack it'
  })
}
