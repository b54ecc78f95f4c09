import type { EverySays } from '~~/core/stages'
import { sayAct } from '../acts'
import { sayLedgerProblem } from '../problems'
import { type WordsFor, capital } from './say'

export const EVERY: WordsFor<EverySays> = {
  'ledger': ({ problem }) => ({ title: 'Two entries contradict each other', reason: sayLedgerProblem(problem), action: 'See the entry' }),
  'part-broken': ({ because }) => ({
    title: 'Presk cannot work this out',
    reason: `Something about this lot does not add up (${because}). Everything else works. The last entry is the likeliest cause: correct `
      + 'or delete it in the history.',
    action: 'Open the history'
  }),
  'act': ({ act }, _lot, f) => ({ ...sayAct(act, f), action: 'See the entry' }),
  'no-volume': () => ({
    title: 'How much is there?',
    reason: 'This lot has no volume, so no dose can be worked out. Measure it, or estimate it from the fruit.',
    action: 'Enter the volume'
  }),
  'limit': ({ limit }, _lot, f) => {
    const what = limit.code === 'total-so2' ? 'total SO₂' : f.material(limit.material)
    return {
      title: limit.over ? 'Over its limit' : 'Near its limit',
      reason: `${capital(what)} comes to ${limit.value.toFixed(limit.unit === 'g/L' ? 2 : 0)} ${limit.unit}, `
        + `${limit.over ? 'over' : 'near'} the limit of ${limit.limit}.`,
      action: 'See what went in'
    }
  }
}
