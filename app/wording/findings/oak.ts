import type { OakSays } from '~~/core/stages'
import { type SayFormat, type WordsFor, capital, days } from './say'

const what = (f: SayFormat, material?: string): string => (material ? f.material(material) : 'oak')

export const OAK: WordsFor<OakSays> = {
  'taste-oak': ({ daysIn, outInDays, material, urgency }, _lot, f) => ({
    title: urgency === 'wait' ? 'Oak is in it' : 'Taste it for oak',
    reason: `${daysIn < 1 ? 'Since today' : `${capital(days(daysIn))} with ${what(f, material)}`}. Such pieces usually stay for about `
      + `${days(outInDays)} more. Stop a little early: the taste rounds off later, and too much can only be blended away. Common practice.`,
    action: 'Write how it tastes'
  }),
  'oak-out': ({ daysIn, days: most, material }, _lot, f) => ({
    title: 'Take the oak out',
    reason: `${capital(days(daysIn))} with ${what(f, material)}, where ${days(most)} is usually enough. Fish it out, or rack the wine off `
      + 'it, and log “Oak out”.',
    did: 'The oak is out',
    action: 'Log with a note'
  })
}
