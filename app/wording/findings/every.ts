import type { EverySays } from '~~/core/stages'
import { sayLedgerProblem } from '../problems'
import { type WordsFor, capital } from './say'

export const EVERY: WordsFor<EverySays> = {
  ledger: ({ problem }) => ({ title: 'The ledger contradicts itself', reason: sayLedgerProblem(problem), action: 'See the entry' }),
  limit: ({ limit }, _lot, f) => {
    const what = limit.code === 'total-so2' ? 'total SO₂' : f.material(limit.material)
    return {
      title: limit.over ? 'Over its limit' : 'Near its limit',
      reason: `${capital(what)} comes to ${limit.value.toFixed(limit.unit === 'g/L' ? 2 : 0)} ${limit.unit}, `
        + `${limit.over ? 'over' : 'near'} the limit of ${limit.limit}.`,
      action: 'See what went in'
    }
  }
}
