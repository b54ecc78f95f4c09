import { DAY_MS } from '~~/core/units'
import { clockMs } from '~/data/clock'
import { fact } from '~~/core/drafts'
import { WAY_OUT } from '~/wording/ways-out'
import type { Said } from './useFloor'
import { useAnswer } from '~/composables/useAnswer'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** Ways to deal with a task or a finding: done just as it says, not today, another day, done already, seen. */
export function useEnding() {
  const cellar = useCellarStore()
  const logged = useLogged()
  const { leadsTo, answer } = useAnswer()
  type Outcome = 'done' | 'skipped' | 'moved' | 'seen'

  async function end({ finding, words }: Said, outcome: Outcome, days?: number): Promise<void> {
    const until = days === undefined ? undefined : new Date(clockMs() + days * DAY_MS).toISOString()
    if (
      !finding.lotId ||
      !(await cellar.log([fact('task-ended', { lotId: finding.lotId, task: finding.key, outcome, until, note: undefined })]))
    )
      return
    const said =
      outcome === 'skipped'
        ? 'moved to tomorrow'
        : outcome === 'moved'
          ? `asked for again in ${days} days`
          : outcome === 'seen'
            ? 'dismissed'
            : 'done'
    logged(`${words.title}: ${said}`)
  }
  const saving = ref(false)
  /** Logs what it asks for as done, once however often it is tapped. Where that is refused its form says why. */
  async function did({ finding, words, to }: Said): Promise<void> {
    if (saving.value) return
    saving.value = true
    const written = await cellar.log([...(finding.logs ?? [])])
    saving.value = false
    if (written) logged(`${words.did ?? words.title}: logged`)
    else if (to) await navigateTo(to)
  }
  /** The menu behind a task's dots: ways round it, and when to ask again. */
  const menu = (said: Said) => [
    ...(said.words.did && said.to && said.words.action ? [{ label: said.words.action, icon: 'i-lucide-arrow-right', to: said.to }] : []),
    ...(said.finding.waysRound ?? []).map((way) => {
      const to = leadsTo(way)
      const does = to ? { to } : { onSelect: () => void answer(said.finding, way) }
      return { label: WAY_OUT[way.code].label, icon: to ? 'i-lucide-arrow-right' : 'i-lucide-check', ...does }
    }),
    { label: 'Done already', icon: 'i-lucide-check', onSelect: () => void end(said, 'done') },
    { label: 'In three days', icon: 'i-lucide-calendar-clock', onSelect: () => void end(said, 'moved', 3) },
    { label: 'In a week', icon: 'i-lucide-calendar-clock', onSelect: () => void end(said, 'moved', 7) },
    { label: 'Never', icon: 'i-lucide-eye-off', onSelect: () => void end(said, 'seen') }
  ]
  return { end, did, menu }
}
