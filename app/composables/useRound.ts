import { HOUR_MS } from '~~/core/units'
import { clockMs, clockNow } from '~/data/clock'
import { fact, reading } from '~~/core/drafts'
import { type Draft, type Fact, type LotView, type Smell, isFermenting, isHeld } from '~~/core/ledger'
import { goneShare, isOnSkins, walkingOrder } from '~~/core/stages'
import { saySmells } from '~/wording/smells'
import { useKept } from '~/composables/useKept'
import { useCellarStore } from '~/stores/cellar'

/** What is done to a ferment at a look. */
export const ROUND_WORK = ['punch-down', 'pump-over', 'stir'] as const
export type RoundWork = (typeof ROUND_WORK)[number]

/** A round that was begun: which lots are done, and what was typed at the current one. */
export interface KeptRound {
  begunAt: string
  done: string[]
  passed: string[]
  typed: Record<string, KeptStop>
}
export interface KeptStop {
  gravity: string
  unit: string
  celsius: string
  sample: string
  with: string
  smells: Smell[]
  work: RoundWork[]
  note: string
}

/** A round that nobody went on with for so long is over, h. */
const ROUND_LASTS_H = 6

/** The vessels that ferment, in the order of the shelf, and how far the round has come. It outlives a reload. */
export function useRound() {
  const cellar = useCellarStore()
  const route = useRoute()
  const router = useRouter()
  const kept = useKept<KeptRound>(`presk.round.${cellar.which}`)
  const fresh = (): KeptRound => ({ begunAt: clockNow(), done: [], passed: [], typed: {} })
  const goesOn = (r: KeptRound | undefined) =>
    r && Array.isArray(r.done) && Array.isArray(r.passed) && clockMs() - Date.parse(r.begunAt) < ROUND_LASTS_H * HOUR_MS ? r : undefined
  const round = ref<KeptRound>(goesOn(kept.read()) ?? fresh())
  watch(round, (is) => kept.write(is), { deep: true })

  /** In the order in which the vessels were added. A round that is under way keeps its order. */
  const lots = computed<LotView[]>(() =>
    walkingOrder(cellar.lots.filter((l) => isHeld(l) && isFermenting(l)), [...cellar.state.vessels.keys()], round.value.begunAt)
  )
  const open = computed(() => lots.value.filter((l) => !round.value.done.includes(l.id) && !round.value.passed.includes(l.id)))
  /** In the address, so that a reload shows the same vessel. */
  const at = computed<LotView | undefined>(() => lots.value.find((l) => l.id === route.query.lot) ?? open.value[0])
  const over = computed(() => lots.value.length > 0 && open.value.length === 0 && !lots.value.some((l) => l.id === route.query.lot))
  const go = (lotId: string | undefined) => router.replace({ query: lotId ? { lot: lotId } : {} })
  const step = (by: number) => {
    const i = lots.value.findIndex((l) => l.id === at.value?.id)
    const to = lots.value[i + by]
    if (to) void go(to.id)
  }
  const onward = () => go(open.value[0]?.id)
  const pass = () => {
    const id = at.value?.id
    if (id && !round.value.done.includes(id)) round.value.passed = [...new Set([...round.value.passed, id])]
    return onward()
  }
  const finished = (lotId: string) => {
    round.value.done = [...new Set([...round.value.done, lotId])]
    round.value.passed = round.value.passed.filter((id) => id !== lotId)
    Reflect.deleteProperty(round.value.typed, lotId)
    return onward()
  }
  const again = () => {
    round.value = fresh()
    void go(undefined)
  }
  return { round, lots, at, over, step, pass, finished, again, go }
}

/** What was read and seen at one vessel. */
export interface Look {
  gravity?: { quantity: 'sg' | 'brix', typed: string, value: number }
  /** An instrument's id, or what kind of thing it was. */
  with?: string | undefined
  celsius?: { typed: string, value: number }
  /** At which the gravity was read, °C. */
  sampleC?: number | undefined
  smells?: readonly Smell[]
  work?: readonly RoundWork[]
  note?: string | undefined
  at?: string | undefined
}

/** A look as entries. */
export function lookEntries(lotId: string, look: Look, kindOf: (instrumentId: string) => string | undefined): Draft<Fact>[] {
  const { gravity, celsius, smells = [], work = [], note, at } = look
  const by = look.with === 'hydrometer' || look.with === 'refractometer' ? look.with : undefined
  const kind = by ?? (look.with && kindOf(look.with))
  const found: Draft<Fact>[] = []
  if (gravity)
    found.push(
      reading({
        lotId,
        at,
        ...gravity,
        instrumentId: by ? undefined : look.with || undefined,
        by,
        ...(look.sampleC !== undefined && kind !== 'refractometer' && { sampleC: look.sampleC })
      })
    )
  if (celsius) found.push(reading({ lotId, at, quantity: 'temperature', typed: celsius.typed, value: celsius.value }))
  if (smells.length > 0)
    found.push(fact('observation', { lotId, at, what: 'smell', text: saySmells(smells), smells: [...smells], photo: undefined }))
  for (const what of work) found.push(fact('operation', { lotId, at, what, note: undefined, plan: undefined }))
  if (note?.trim()) found.push(fact('observation', { lotId, at, what: 'note', text: note.trim(), smells: undefined, photo: undefined }))
  return found
}

/** What is usually done to it at a look: a cap is worked, a white is stirred while it has sugar. */
export const usualWork = (lot: LotView): readonly RoundWork[] =>
  isOnSkins(lot) ? (['punch-down', 'pump-over'] as const) : goneShare(lot) < 1 ? (['stir'] as const) : []
