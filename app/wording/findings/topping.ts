import type { ToppingSays } from '~~/core/stages'
import { type WordsFor, days } from './say'

export const TOPPING: WordsFor<ToppingSays> = {
  'top-up': ({ vessel, airL, days: stands, risk }, _lot, f) => ({
    title: `Top it up: ${f.words(f.volume(airL))} of air in ${vessel}`,
    reason: `So for ${days(stands)}. ${risk === 'high' ? 'By now it may have taken harm: smell and taste it. ' : ''}A wine like it, marbles, or a smaller vessel; inert gas for weeks at most.`,
    action: 'Log a move'
  }),
  'top-barrel': ({ vessel, daysSince, lossL }, _lot, f) => ({
    title: `Look at the level in ${vessel}`,
    reason: `Wood drinks 1 to 3 % in a month: about ${f.words(f.volume(Number(lossL.toPrecision(1))))} since it was last filled, ${days(daysSince)} ago.`,
    action: 'Log a move'
  })
}
