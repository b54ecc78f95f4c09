import { clockNow } from '~/data/clock'
import { fact, transfer } from '~~/core/drafts'
import { type Draft, type Fact, type LotView, isHeld, isWine } from '~~/core/ledger'
import type { RackingMove, RackingPlan } from '~~/core/racking'
import { askRacking, isAskedFor, leesShareOf, lotOfWine, meetings, toppingWines } from '~~/core/stages'
import { racking } from '~/workers/start'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useCellarStore } from '~/stores/cellar'

/** A move that brought so much more or less than was planned makes another plan, as a share. */
const OFF = 0.03

export interface MoveLine extends RackingMove {
  lot: LotView
  from: string
  to: string
  /** The last of its wine out of there: the lees stay behind. */
  empties: boolean
}

/**
 * Racking day: which lots, which vessels, the plan, and its moves ticked off one by one. What was chosen is in the address; what was
 * moved is in the ledger, and the plan is worked out again from there.
 */
export function useRackingDay() {
  const cellar = useCellarStore()
  const route = useRoute()
  const now = useNow()
  const logged = useLogged()
  const list = (key: string) =>
    String(route.query[key] ?? '')
      .split(',')
      .filter(Boolean)
  const change = (to: Record<string, string | undefined>) => navigateTo({ query: { ...route.query, ...to } }, { replace: true })
  const wines = computed(() => cellar.lots.filter((l) => isHeld(l) && isWine(l) && l.stream !== 'test'))
  const chosen = computed(() => wines.value.filter((l) => list('lots').includes(l.id)))
  const choose = (ids: readonly string[]) =>
    change({ lots: ids.join(',') || undefined, since: (route.query.since as string | undefined) ?? clockNow() })
  /** Somebody who follows a task's link has set no time: the day begins when the page opens. A running clock would forget each move. */
  const opened = clockNow()
  const since = computed(() => (typeof route.query.since === 'string' ? route.query.since : opened))
  onMounted(() => {
    if (chosen.value.length > 0 && route.query.since === undefined) void change({ since: opened })
  })

  /** Vessels that this day may use: the chosen wines' own, and the free ones. */
  const vessels = computed(() =>
    [...cellar.state.vessels.values()]
      .filter((v) => !v.retiredAt)
      .filter((v) => !v.lotId || v.litres <= 0.05 || chosen.value.some((l) => l.id === v.lotId))
  )
  const holds = (id: string) => chosen.value.some((l) => l.contents.has(id))
  const barredByUse = (id: string) => {
    const vessel = cellar.state.vessels.get(id)
    return vessel !== undefined && isAskedFor(vessel.kind) && !holds(id)
  }
  /** Switched the other way than is usual for such a vessel. */
  const switched = computed(() => new Set(list('not')))
  const mayUse = (id: string) => barredByUse(id) === switched.value.has(id)
  const toggle = (id: string) => {
    const after = new Set(switched.value)
    if (!after.delete(id)) after.add(id)
    void change({ not: [...after].join(',') || undefined })
  }

  /** Where wine came to on this day, by lot. */
  const moved = computed(() => {
    const found = new Map<string, Set<string>>()
    for (const { fact: f, struck } of cellar.facts) {
      if (struck || f.type !== 'transfer' || f.at < since.value || !f.to.vesselId) continue
      found.set(f.to.lotId, (found.get(f.to.lotId) ?? new Set()).add(f.to.vesselId))
    }
    return found
  })
  const begun = computed(() => chosen.value.some((l) => moved.value.has(l.id)))
  /** What is said of it in the address: by lot, in hundredths. */
  const lees = computed(() => new Map(list('lees').map((part) => part.split('~') as [string, string])))
  const leesOf = (lot: LotView) => {
    const said = Number(lees.value.get(lot.id))
    return said > 0 && said <= 50 ? said / 100 : leesShareOf(lot)
  }
  const setLees = (lotId: string, share: number) => {
    const after = new Map(lees.value).set(lotId, String(Math.round(share * 100)))
    void change({ lees: [...after].map((part) => part.join('~')).join(',') })
  }
  const likenessOf = (into: LotView, from: LotView) =>
    toppingWines(into, [from], cellar.state.vessels, now.value).find((t) => !t.barred)?.likeness
  const whole = (lot: LotView) => ({ lot, litres: lot.volume.value })
  /**
   * Pairs that could come together without harm, whichever comes to the vessel first, and those that may. Red and white are blended by
   * taste, not for want of a vessel.
   */
  const pairs = computed(() =>
    chosen.value.flatMap((a, i) =>
      chosen.value.slice(i + 1).flatMap((b) => {
        const [one, other] = [likenessOf(a, b), likenessOf(b, a)]
        const may = a.style === b.style && one !== undefined && other !== undefined && meetings([a, b].map(whole), now.value).length === 0
        return may ? [{ key: `${a.id}~${b.id}`, a, b, likeness: Math.min(one, other) }] : []
      })
    )
  )
  const mixed = computed(() => pairs.value.filter((p) => list('mix').includes(p.key)))
  const setMixed = (keys: readonly string[]) => change({ mix: keys.join(',') || undefined })
  const asked = computed(() =>
    askRacking({
      lots: chosen.value,
      vessels: cellar.state.vessels,
      moved: moved.value,
      lees: leesOf,
      mayMix: mixed.value.map((p) => [p.a.id, p.b.id] as const),
      barred: new Set(vessels.value.filter((v) => !mayUse(v.id)).map((v) => v.id))
    })
  )
  const plan = shallowRef<RackingPlan>()
  const oneMore = shallowRef<{ capacityL: number, withoutVesselL: number, airL: number }>()
  const working = ref(false)
  /** What the plan was made for, to see when it no longer holds. */
  const madeFor = ref('')
  const key = computed(() => JSON.stringify(asked.value))
  async function work() {
    if (asked.value.wines.length === 0) return
    working.value = true
    oneMore.value = undefined
    const question = JSON.parse(key.value) as typeof asked.value
    const made = await racking.call((r) => r.plan({ ...question, maxSeconds: 3 })).catch(() => undefined)
    plan.value = made
    madeFor.value = key.value
    working.value = false
    // What to buy or borrow comes when it comes: only for a day that has not begun, and for the plan that still holds.
    const short = made && !begun.value && (made.withoutVesselL > 0.05 || made.airL > 1)
    const found = short ? racking.call((r) => r.oneMore(question, made)).catch(() => undefined) : undefined
    void found?.then((more) => {
      if (plan.value === made) oneMore.value = more
    })
  }
  const name = (id: string | null) => (id === null ? 'no vessel' : (cellar.state.vessels.get(id)?.name ?? 'another vessel'))
  const lines = computed<MoveLine[]>(() => {
    const moves = plan.value?.moves ?? []
    return moves.flatMap((m, i) => {
      const lot = cellar.lotOf(lotOfWine(m.wineId))
      if (!lot) return []
      // What only waited there has left no lees.
      const waited = moves.slice(0, i).some((o) => o.toVesselId === m.fromVesselId)
      const more = moves.slice(i + 1).some((o) => o.fromVesselId === m.fromVesselId && o.wineId === m.wineId)
      const empties = m.wineId === lot.id && !waited && !more
      return [{ ...m, lot, from: name(m.fromVesselId), to: name(m.toVesselId), empties }]
    })
  })
  /** The first move, as it really went. A plan that it no longer fits is made anew. */
  async function done(line: MoveLine, litres: number) {
    const held = line.lot.contents.get(line.fromVesselId ?? '') ?? litres
    // The last of it: what does not arrive is lees.
    const outL = line.empties ? Math.max(litres, held) : litres
    // Into a vessel that another lot came to first: it becomes a part of that.
    const into = cellar.state.vessels.get(line.toVesselId)?.lotId ?? line.lot.id
    const drafts: Draft<Fact>[] = [
      transfer({
        from: { lotId: line.lot.id, ...(line.fromVesselId !== null && { vesselId: line.fromVesselId }) },
        to: { lotId: into, vesselId: line.toVesselId },
        outL,
        leesL: outL - litres
      })
    ]
    if (!(await cellar.log(drafts))) return
    logged(`${line.lot.name}: moved to ${line.to}`)
    const off = Math.abs(litres - line.litres) / Math.max(1, line.litres) > OFF
    plan.value = plan.value && { ...plan.value, moves: plan.value.moves.slice(1) }
    if (off || plan.value?.moves.length === 0) await work()
    else madeFor.value = key.value
  }
  const washed = async (vesselId: string) => {
    const care = (what: 'cleaned' | 'sanitised') => fact('vessel-cared', { vesselId, what, note: undefined })
    if (await cellar.log([care('cleaned'), care('sanitised')])) logged(`${name(vesselId)} washed`)
  }
  /** Something has changed since it was made. */
  const stale = computed(() => plan.value !== undefined && madeFor.value !== key.value)
  return {
    wines, chosen, choose, vessels, mayUse, toggle, leesOf, setLees, pairs, mixed, setMixed,
    plan, oneMore, working, work, lines, done, washed, stale, begun
  }
}
