import type { FermentSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

export const FERMENT: WordsFor<FermentSays> = {
  'read-ferment': ({ urgency, daysSince }, lot) => ({
    title: urgency === 'wait' ? 'Fermenting, read today' : 'Read gravity and temperature',
    reason:
      urgency === 'wait'
        ? 'Read within the day; it asks again tomorrow.'
        : daysSince < 1
          ? 'Not read since yesterday. Once a day while it works.'
          : `Last gravity ${lot.sg ? lot.sg.value.toFixed(3) : 'unknown'}, ${days(daysSince)} ago. Once a day while it works.`,
    action: 'Measure'
  }),
  stuck: ({ sg, hours }) => ({
    title: 'It has stopped with sugar left',
    reason: `${sg.toFixed(3)} and no lower for ${days(hours / 24)}. Warm it to the middle of its range, stir up the yeast, and read again tomorrow; if it stays, it needs a fresh, well-fed yeast. Left alone it stays sweet and open to spoilage.`,
    action: 'Open the lot'
  }),
  'confirm-dryness': ({ hoursLeft }) => ({
    title: hoursLeft > 0 ? 'Leave it, then read the gravity again' : 'Read the gravity once more',
    reason: 'One dry reading is no proof: two that agree, two to three days apart, are. A still airlock proves nothing either.',
    action: 'Measure'
  }),
  'left-alone': ({ days: since }) => ({
    title: 'Read the gravity: is it over?',
    reason: `Last looked at ${days(since)} ago, with sugar left by the hydrometer. Two readings that agree tell whether it ended sweet.`,
    action: 'Measure'
  })
}
