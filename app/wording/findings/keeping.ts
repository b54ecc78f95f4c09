import { counted } from '~/wording/count'
import { sayDay } from '~/wording/days'
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
  'check-sulphite': ({ weeksSince, belowAt, urgency }) => ({
    title: urgency === 'wait' ? 'It keeps: free SO₂ is looked at next' : 'Look at free SO₂',
    reason: `Last known ${weeksSince < 1 ? 'within the week' : `${counted(Math.round(weeksSince), 'week')} ago`}; `
      + `${belowAt ? sayBelow(belowAt) : 'it falls with time'}.`,
    action: 'Measure'
  }),
  'sulphite-odd': ({ wrong }) =>
    wrong.code === 'rises'
      ? {
          title: 'Free SO₂ rose with nothing given',
          reason: `From ${wrong.fromMgPerL.toFixed(0)} to ${wrong.toMgPerL.toFixed(0)} mg/L: a dose was not written down, or one of the `
            + 'two readings is wrong.',
          action: 'Measure again'
        }
      : {
          title: 'It loses its sulphite fast',
          reason: `About ${(100 * wrong.decayPerDay * 30).toFixed(0)} % in a month, twice the usual and more. Air over it, a warm place, `
            + 'or something that binds: top it up, and smell it.',
          action: 'Measure'
        },
  'free-above-total': ({ freeMgPerL, totalMgPerL }) => ({
    title: 'Free SO₂ above the total',
    reason: `Free ${freeMgPerL.toFixed(0)}, total ${totalMgPerL.toFixed(0)} mg/L: the free is a part of the total. One of the two is `
      + 'wrong.',
    action: 'Measure again'
  })
}

const sayBelow = ({ low, high, mayBe }: { low: string, high: string, mayBe: boolean }): string =>
  mayBe
    ? `by its own decay it may be below its level by now, and is by ${sayDay(high.slice(0, 10))}`
    : `by its own decay it falls below its level between ${sayDay(low.slice(0, 10))} and ${sayDay(high.slice(0, 10))}`
