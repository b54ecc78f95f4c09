import type { ToppingSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

export const TOPPING: WordsFor<ToppingSays> = {
  'top-up': ({ vessel, airL, days: stands, risk }, _lot, f) => ({
    title: `Top it up: ${f.words(f.volume(airL))} of air in ${vessel}`,
    reason: `So for ${days(stands)}. ${risk === 'high' ? 'By now it may have taken harm: smell and taste it. ' : ''}A wine like it, `
      + 'marbles, or a smaller vessel; inert gas for weeks at most.',
    action: 'Top it up'
  }),
  'top-barrel': ({ vessel, daysSince, airL, urgency }, _lot, f) => ({
    title: urgency === 'wait' ? `${vessel} was filled ${daysSince < 1 ? 'today' : `${days(daysSince)} ago`}` : `Top up ${vessel}`,
    reason: `Wood drinks 1 to 3 % in a month: there are about ${f.words(f.volume(Number(airL.toPrecision(1))))} of air by now. It is `
      + 'topped up every two to three weeks.',
    action: 'Top it up'
  })
}
