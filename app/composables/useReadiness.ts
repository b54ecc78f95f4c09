import { fact } from '~~/core/drafts'
import type { LotView } from '~~/core/ledger'
import { type Gate, HARD, gateTask, readinessOf } from '~~/core/stages'
import { CONDITION_SHORT, GATE } from '~/wording/readiness'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/**
 * Whether a lot is ready for a step, and going on against it: knowingly, and written down. Without a lot nothing is asked: the bench is
 * then arithmetic alone; nor is anything where there is no gate.
 */
export function useReadiness(lot: () => LotView | undefined, gate: () => Gate | undefined) {
  const cellar = useCellarStore()
  const now = useNow()
  const logged = useLogged()
  const told = computed(() => {
    const [l, at] = [lot(), gate()]
    return l && at && readinessOf(l, at, now.value)
  })
  const conditions = computed(() => told.value?.conditions ?? [])
  const open = computed(() => told.value?.open ?? [])
  const ready = computed(() => open.value.length === 0)
  const isHard = (code: string) => {
    const at = gate()
    return at !== undefined && (HARD[at] as readonly string[]).includes(code)
  }
  /** The last time that somebody went on against it. */
  const knowingly = computed(() => {
    const at = gate()
    return at && lot()?.endedTasks.get(gateTask(at))
  })
  /** Of this wine and this step; another lot is asked about anew. */
  const knows = ref(false)
  watch([() => lot()?.id, gate], () => (knows.value = false))
  const mayGoOn = computed(() => ready.value || knows.value)
  /** What is logged when somebody goes ahead: nothing where nothing is open. */
  const against = () => {
    const [l, at] = [lot(), gate()]
    if (!l || !at || ready.value) return []
    const without = open.value.map((c) => CONDITION_SHORT[c.code]).join(', ')
    const note = `without: ${without}`.slice(0, 2000)
    return [fact('task-ended', { lotId: l.id, task: gateTask(at), outcome: 'seen', until: undefined, note })]
  }
  async function goOn() {
    const at = gate()
    if (at && (await cellar.log(against()))) logged(`${GATE[at].label}: went ahead anyway`)
  }
  return { conditions, open, ready, isHard, knowingly, knows, mayGoOn, against, goOn }
}
