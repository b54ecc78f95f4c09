import type { FaultSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

const TITLE = { 'rotten-egg': 'Rotten egg smell', 'vinegar': 'Vinegar smell', 'nail-varnish': 'Nail varnish smell' } as const

export const FAULT: WordsFor<FaultSays> = {
  'wine-smells': ({ smell, full }) => ({
    title: TITLE[smell],
    reason: {
      'rotten-egg': 'Rack it off its lees with a splash and smell it again in two days. Copper is toxic and limited by law: a last resort, '
        + 'dosed by a laboratory, never by guesswork.',
      'vinegar': `Acetic bacteria need air. ${full ? 'Keep the vessel full' : 'Fill the vessel to the neck, or move it to a smaller one'}, `
        + 'bring the sulphite to its level and keep it cool. What is there stays. Keep its tools away from other wines.',
      'nail-varnish': `Ethyl acetate, a spoilage product. ${full ? 'Keep the vessel full' : 'Fill the vessel to the neck'}, bring the `
        + 'sulphite to its level and keep it cool. A trace may fade; if it is strong, do not blend it into another wine.'
    }[smell],
    action: smell === 'rotten-egg' ? 'Rack it' : full ? 'Work out the sulphite' : 'Move it'
  }),
  'smell-again': ({ smell, daysSince }) => ({
    title: 'Smell it again',
    reason: `${TITLE[smell]} last time, and you have acted on it since${daysSince >= 1 ? `, ${days(daysSince)} ago` : ''}. Has it helped?`,
    action: 'Log the smell'
  }),
  'smell-kept': ({ daysSince }) => ({
    title: 'Smell and taste it',
    reason: `It is kept without sulphite and was last smelt or racked ${days(daysSince)} ago. A smell of vinegar or bruised apple means `
      + 'that air has got in: fill the vessel to the neck, and bottle it or drink it soon.',
    action: 'Log the smell'
  })
}
