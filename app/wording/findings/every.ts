import type { LedgerProblem } from '~~/core/ledger'
import type { EverySays } from '~~/core/stages'
import { sayAct } from '../acts'
import { sayLedgerProblem } from '../problems'
import { type WordsFor, capital } from './say'

/** Where the problem has a name of its own. */
const PROBLEM_TITLE: Partial<Record<LedgerProblem['code'], string>> = {
  'sulphite-in-malolactic': 'Sulphite went in during malolactic',
  'contradicts': 'A reading does not fit',
  'overfull': 'More in a vessel than it holds',
  'brim-full': 'The vessel runs over',
  'more-out-than-in': 'More moved than there was',
  'more-bottles-than-there': 'More bottles taken than there were',
  'before-start': 'An entry before the lot began',
  'brix-in-ferment': '°Brix read during the ferment',
  'ferments-by-itself': 'It seems to ferment by itself',
  'expected-volume': 'More wine than expected',
  'nothing-there': 'This lot is empty',
  'correction-odd': 'An instrument check looks wrong',
  'cannot-derive': 'One entry was left out',
  'cannot-compute': 'One reading was left out'
}

export const EVERY: WordsFor<EverySays> = {
  'ledger': ({ problem }) => ({
    title: PROBLEM_TITLE[problem.code] ?? 'Entries that do not fit together',
    reason: sayLedgerProblem(problem),
    action: 'See the entry'
  }),
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
