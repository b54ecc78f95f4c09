import { fact } from '~~/core/drafts'
import type { LotView } from '~~/core/ledger'
import { type Gate, HARD, gateTask, readinessOf } from '~~/core/stages'
import { CONDITION_SHORT, GATE } from '~/wording/readiness'

/** Whether a lot is ready for a step, and going on against it: knowingly, and written down. */
export function useReadiness(lot: () => LotView, gate: () => Gate) {
  const cellar = useCellarStore()
  const now = useNow()
  const logged = useLogged()
  const readiness = computed(() => readinessOf(lot(), gate(), now.value))
  const isHard = (code: string) => (HARD[gate()] as readonly string[]).includes(code)
  /** What is open, in words, as it stands in the ledger. */
  const openWords = computed(() => readiness.value.open.map((c) => CONDITION_SHORT[c.code]).join(', '))
  /** Said before and still so: the last time that somebody went on against it. */
  const knowingly = computed(() => lot().endedTasks.get(gateTask(gate())))
  const draft = () =>
    fact('task-ended', {
      lotId: lot().id,
      task: gateTask(gate()),
      outcome: 'seen',
      until: undefined,
      note: `without: ${openWords.value}`.slice(0, 2000)
    })
  async function goOn() {
    if (await cellar.log([draft()])) logged(`${GATE[gate()].label}: gone on with knowingly`)
  }
  return { readiness, isHard, openWords, knowingly, draft, goOn }
}
