import { type Draft, type Fact, type LotView, type VesselState, lotAt } from '~~/core/ledger'
import type { Preview } from '~/data/engine-answers'
import { sayLedgerProblem } from '~/wording/problems'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** Asked for so long after the last key, ms. */
const PREVIEW_MS = 150

/**
 * What a move would make of the shelf and of the lot that takes another in, by the ledger itself; nothing is written.
 * @param drafts what would be logged, none while something is missing
 * @param giver the lot whose wine it is, @param receiver the lot that it comes into
 */
export function useMovePreview(
  drafts: Readonly<Ref<Draft<Fact>[]>>,
  giver: Readonly<Ref<LotView | undefined>>,
  receiver: Readonly<Ref<LotView | undefined>>
) {
  const cellar = useCellarStore()
  const now = useNow()
  const preview = shallowRef<Preview>()
  let timer: ReturnType<typeof setTimeout> | undefined
  watch(
    () => JSON.stringify(drafts.value),
    () => {
      clearTimeout(timer)
      const asked = drafts.value
      timer = setTimeout(() => {
        if (asked.length === 0) preview.value = undefined
        else void cellar.preview(asked).then((told) => (preview.value = told))
      }, PREVIEW_MS)
    },
    { immediate: true }
  )
  onScopeDispose(() => clearTimeout(timer))

  const lotIn = (id: string | undefined, told?: Preview) => {
    const state = id === undefined ? undefined : (told?.lots.find((l) => l.id === id) ?? cellar.state.lots.get(id))
    return state && lotAt(state, now.value)
  }
  /** Vessels that differ, before and after. */
  const shelf = computed(() => {
    const told = preview.value
    if (!told || drafts.value.length === 0) return []
    const before = (v: VesselState) => cellar.state.vessels.get(v.id)
    return told.vessels
      .filter((v) => (before(v)?.lotId ?? '') !== (v.lotId ?? '') || Math.abs((before(v)?.litres ?? 0) - v.litres) > 0.05)
      .map((after) => ({ before: before(after)!, after, lotBefore: lotIn(before(after)?.lotId), lotAfter: lotIn(after.lotId, told) }))
  })
  /** The lot that takes another in, as it would be. */
  const blended = computed(() => {
    const [other, from] = [receiver.value, giver.value]
    const state = other && preview.value?.lots.find((l) => l.id === other.id)
    return state && from && from.id !== other.id ? { before: other, after: lotAt(state, now.value) } : undefined
  })
  const refused = computed(() => preview.value?.refused.map(sayLedgerProblem) ?? [])
  return { shelf, blended, refused }
}
