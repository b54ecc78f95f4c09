import type { ToppingSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

export const TOPPING: WordsFor<ToppingSays> = {
  'top-up': ({ vessel, airL, days: open, risk }, _lot, f) => ({
    title: `Top up ${vessel}: ${f.words(f.volume(airL))} of air`,
    reason: `It has been like this for ${days(open)}. ${
      risk === 'high' ? 'It may have suffered by now: smell and taste it. ' : ''
    }Use a similar wine, glass marbles or a smaller vessel. Inert gas helps for some weeks.`,
    action: 'Top it up'
  }),
  'top-barrel': ({ vessel, daysSince, airL, urgency }, _lot, f) => ({
    title: urgency === 'wait' ? `${vessel} was filled ${daysSince < 1 ? 'today' : `${days(daysSince)} ago`}` : `Top up ${vessel}`,
    reason: `A barrel loses 1 to 3 % a month, so there are about ${f.words(f.volume(Number(airL.toPrecision(1))))} of air by now. Top `
      + `it up every two to three weeks.`,
    action: 'Top it up'
  })
}
