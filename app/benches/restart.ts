import { type RestartAnswer, restart } from '~~/core/benches'
import type { BenchForm } from './spec'

/** Nothing is typed: the ledger knows what stopped it. */
export const restartForm: BenchForm<never, object, RestartAnswer> = {
  code: 'restart',
  title: 'Restart',
  bench: restart,
  fields: () => [],
  note: () => 'Restart with an acclimatised starter',
  logged: (lot, _, act) => (act === 'begin' ? { says: 'Restart begun' } : { says: `${lot.name}: restarted`, to: `/lots/${lot.id}` })
}
