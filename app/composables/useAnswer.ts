import { clockNow } from '~/data/clock'
import { type Finding, type WayOut, answerDrafts } from '~~/core/findings'
import { addressOf } from '~/wording/findings'
import { WAY_OUT } from '~/wording/ways-out'
import { useLogged } from '~/composables/useLogged'
import { useCellarStore } from '~/stores/cellar'

/** A decision answered by a tap: what is written, or where it leads. */
export function useAnswer() {
  const cellar = useCellarStore()
  const logged = useLogged()
  const saving = ref(false)

  /** Where a way leads that writes nothing by itself. */
  const leadsTo = (way: WayOut): string | undefined => (way.action && !way.drafts?.length ? addressOf(way.action) : undefined)

  async function answer(finding: Pick<Finding, 'key' | 'lotId'>, way: WayOut): Promise<boolean> {
    const drafts = answerDrafts(finding, way, clockNow())
    if (drafts.length === 0) return false
    saving.value = true
    const written = await cellar.log(drafts)
    saving.value = false
    if (written) logged(WAY_OUT[way.code].label)
    return written !== undefined
  }
  return { saving, leadsTo, answer }
}
