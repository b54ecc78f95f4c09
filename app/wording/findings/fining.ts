import type { FiningSays } from '~~/core/stages'
import type { WordsFor } from './say'

export const FINING: WordsFor<FiningSays> = {
  'second-part': ({ hoursIn, fromHours, urgency }) => ({
    title: urgency === 'wait' ? 'The second part of the fining waits' : 'The second part of the fining',
    reason:
      urgency === 'wait'
        ? `Silica went in just now; what takes it down follows in ${Math.max(1, Math.round(fromHours * 60))} minutes, and within a day.`
        : `Silica went in ${hoursIn < 1.5 ? 'an hour' : `${Math.round(hoursIn)} hours`} ago: chitosan or gelatin follows within a day, `
          + 'stirred in gently, by its packet.',
    action: 'Log it'
  }),
  'rack-off-fining': ({ material, daysIn, urgency }, _lot, f) => ({
    title: urgency === 'wait' ? 'Let the fining settle' : 'Rack it off its fining',
    reason: `${daysIn < 1 ? 'Today' : daysIn < 1.5 ? 'A day ago' : `${Math.round(daysIn)} days ago`} ${f.material(material)} went in. `
      + 'Off it once it has settled, in a week or two: left on it, wine loses more than haze. Common practice.',
    action: 'Rack it'
  })
}
