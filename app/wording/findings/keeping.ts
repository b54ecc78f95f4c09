import { sayFarDayOf } from '~/wording/days'
import type { KeepingSays } from '~~/core/stages'
import { type WordsFor, days, weeks } from './say'

export const KEEPING: WordsFor<KeepingSays> = {
  'measure-wine': () => ({
    title: 'Measure pH',
    reason: 'The sulphite dose depends on it. Without a meter Presk uses what is usual for this kind of wine.',
    action: 'Measure'
  }),
  'measure-free': ({ daysSince }) => ({
    title: 'Measure free SO₂ before you add more',
    reason: `The last dose went in ${days(daysSince)} ago. How much of it stays free differs from wine to wine, so read it first.`,
    action: 'Measure'
  }),
  'sulphite-low': ({ freeMgPerL, targetFreeMgPerL, assumed }, lot) => ({
    title: 'Add sulphite',
    reason: `Free SO₂ is about ${freeMgPerL.toFixed(0)} mg/L. ${
      lot.ph && !assumed.includes('ph') ? `pH ${lot.ph.value.toFixed(2)} needs` : 'A wine like this usually needs'
    } ${targetFreeMgPerL.toFixed(0)}.${assumed.includes('free') ? ' None was measured or added, so Presk counts none.' : ''}`,
    action: 'Work out the dose'
  }),
  'check-sulphite': ({ weeksSince, belowAt, urgency }, { asOf }) => ({
    title: urgency === 'wait' ? 'Free SO₂ is fine for now' : 'Measure free SO₂',
    reason: `Last known ${weeksSince < 1 ? 'within the week' : `${weeks(Math.round(weeksSince))} ago`}. ${
      belowAt ? sayBelow(belowAt, asOf) : 'It falls with time.'
    }`,
    action: 'Measure'
  }),
  'ph-too-high': ({ ph, wantedFreeMgPerL }) => ({
    title: `pH ${ph.toFixed(2)} is too high for sulphite to protect it`,
    reason: `Presk aims at ${wantedFreeMgPerL.toFixed(0)} mg/L of free SO₂ at most, and at this pH that protects little. Lower the pH `
      + `with tartaric acid first, tasting as you go. Keep the wine cold and the vessel full.`,
    action: 'Try some acid'
  }),
  'sulphite-odd': ({ wrong }) =>
    wrong.code === 'rises'
      ? {
          title: 'Free SO₂ rose although none was added',
          reason: `From ${wrong.fromMgPerL.toFixed(0)} to ${wrong.toMgPerL.toFixed(0)} mg/L. A dose was not logged, or one of the two `
            + 'readings is wrong.',
          action: 'Measure again'
        }
      : {
          title: 'It loses sulphite fast',
          reason: `About ${(100 * wrong.decayPerDay * 30).toFixed(0)} % a month, more than twice the usual. Look for air above the wine, a `
            + 'warm place, or something that binds it. Top it up and smell it.',
          action: 'Measure'
        },
  'free-above-total': ({ freeMgPerL, totalMgPerL }) => ({
    title: 'Free SO₂ is above the total',
    reason: `Free ${freeMgPerL.toFixed(0)}, total ${totalMgPerL.toFixed(0)} mg/L. Free SO₂ is a part of the total, so one of them is `
      + `wrong.`,
    action: 'Measure again'
  })
}

const sayBelow = ({ low, high, mayBe }: { low: string, high: string, mayBe: boolean }, now: string): string =>
  mayBe
    ? `At its own rate it may be below its level by now, and will be by ${sayFarDayOf(high, now)}.`
    : `At its own rate it falls below its level between ${sayFarDayOf(low, now)} and ${sayFarDayOf(high, now)}.`
