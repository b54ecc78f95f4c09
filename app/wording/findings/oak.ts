import type { OakSays } from '~~/core/stages'
import type { SayFormat, WordsFor } from './say'

const days = (n: number): string => (n < 1.5 ? 'a day' : `${Math.round(n)} days`)
const what = (f: SayFormat, material?: string): string => (material ? f.material(material) : 'oak')

export const OAK: WordsFor<OakSays> = {
  'taste-oak': ({ daysIn, outInDays, material, urgency }, _lot, f) => ({
    title: urgency === 'wait' ? 'Oak steeps in it' : 'Taste it for oak',
    reason: `${daysIn < 1 ? 'Since today' : `${days(daysIn)} with ${what(f, material)}`}; such pieces usually stay for about `
      + `${days(outInDays)} more. A little less than wanted is right: it grows rounder, and too much only a blend takes away. Common `
      + 'practice.',
    action: 'Say how it tastes'
  }),
  'oak-out': ({ daysIn, days: most, material }, _lot, f) => ({
    title: 'Take the oak out',
    reason: `${days(daysIn)} with ${what(f, material)}, where ${days(most)} is usually enough. Fish it out or rack the wine off it, and `
      + 'write “oak out” down.',
    action: 'Log it'
  })
}
