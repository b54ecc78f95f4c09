import { counted } from '~/wording/count'
import type { KeepingSays } from '~~/core/stages'
import type { WordsFor } from './say'

export const KEEPING: WordsFor<KeepingSays> = {
  'measure-wine': () => ({ title: 'Measure pH', reason: 'Its sulphite is reckoned by it.', action: 'Measure' }),
  'measure-free': () => ({ title: 'Measure free SO₂', reason: 'Not known for this wine yet.', action: 'Measure' }),
  'sulphite-low': ({ freeMgPerL, targetFreeMgPerL }, lot) => ({
    title: 'Bring the sulphite up',
    reason: `Free SO₂ about ${freeMgPerL.toFixed(0)} mg/L; pH ${lot.ph!.value.toFixed(2)} asks for ${targetFreeMgPerL.toFixed(0)}.`,
    action: 'Work out the dose'
  }),
  'check-sulphite': ({ weeksSince }) => ({
    title: 'Look at free SO₂',
    reason: `Last known ${counted(Math.round(weeksSince), 'week')} ago; it falls with time.`,
    action: 'Measure'
  })
}
