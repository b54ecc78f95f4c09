import { HOUR_MS } from '~~/core/units'
import { type CellarState, type Draft, isHeld, lotAt } from '~~/core/ledger'
import { findingsOf, tasksOf } from '~~/core/stages'
import type { Finding } from '~~/core/findings'
import type { HandReads, Mishap } from '~~/practice/season'
import { type PracticeSeason, keepSeason, keptSeason } from '~/data/practice-season'
import type { SeasonKey } from '~/workers/practice.worker'
import { practising } from '~/workers/start'
import { PRACTICE_VESSEL } from '~/wording/practice'
import { useFormat } from '~/composables/useFormat'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'

/** Hours of the day in which somebody is up. */
const WAKING = { from: 7, to: 21 } as const
/** A thing takes its minutes, and entries have an order. */
const TAKES_MS = 2 * 60_000
/** The next task is looked for so far ahead. */
const LOOKS_DAYS = 120
/** The clock is looked at so often while it goes on, hours. */
const LOOKS_H = 6

/** The season that is practised: its clock, and the way to the wines in its worker. The cellar itself is the cellar store's. */
export const usePracticeStore = defineStore('practice', () => {
  const cellar = useCellarStore()
  const forecasts = useForecastsStore()
  const season = shallowRef<PracticeSeason | undefined>(keptSeason())
  const mishaps = shallowRef<Mishap[]>([])
  const moving = ref(false)
  /** Tasks that are open now, when somebody asked for the next one. */
  const waiting = ref(0)
  const key = computed<SeasonKey | undefined>(() => season.value && { scenario: season.value.scenario, seed: season.value.seed,
    start: season.value.start })

  async function setAt(at: string): Promise<void> {
    season.value = { ...season.value!, at }
    keepSeason(season.value)
    await cellar.setClock(at)
  }

  const f = useFormat()
  /** Vessels by what they are and what they hold, in the person's units: "Glass 5 L", "Glass 5 L, 2". */
  function named(drafts: readonly Draft[]): Draft[] {
    const counts = new Map<string, number>()
    return drafts.map((d) => {
      if (d.type !== 'vessel-added') return d
      const name = `${PRACTICE_VESSEL[d.kind] ?? 'Vessel'} ${f.words(f.volume(d.capacityL))}`
      const count = (counts.get(name) ?? 0) + 1
      counts.set(name, count)
      return { ...d, name: count > 1 ? `${name}, ${count}` : name }
    })
  }

  /** A season from its first hour: the last twentieth of September before today. */
  async function begin(scenario: string, seed: number): Promise<void> {
    const today = new Date()
    const year = today.getUTCMonth() > 8 || (today.getUTCMonth() === 8 && today.getUTCDate() >= 20) ? today.getUTCFullYear()
      : today.getUTCFullYear() - 1
    const start = new Date(Date.UTC(year, 8, 20, 8)).toISOString()
    const opening = await practising.call((p) => p.opening({ scenario, seed, start }))
    season.value = { scenario, seed, start, at: opening.beginsAt, seen: [] }
    mishaps.value = []
    keepSeason(season.value)
    await cellar.open('practice')
    await cellar.layOut(named(opening.drafts))
  }

  /** On in a season that was begun. */
  async function resume(): Promise<void> {
    await cellar.open('practice')
    await look()
  }

  const entries = async () => JSON.parse(JSON.stringify(await cellar.allEntries())) as Awaited<ReturnType<typeof cellar.allEntries>>
  async function ask<T>(what: (p: Parameters<Parameters<typeof practising.call>[0]>[0], key: SeasonKey,
    entries: Awaited<ReturnType<typeof cellar.allEntries>>, at: string) => Promise<T>): Promise<T> {
    const all = await entries()
    return practising.call((p) => what(p, key.value!, all, season.value!.at))
  }
  async function look(): Promise<void> {
    if (key.value) mishaps.value = (await ask((p, k, e, at) => p.to(k, e, at))).mishaps
  }

  /** What is asked at an instant, by lot: tasks, without those that only wait, and whatever presses; a remark holds nobody up. */
  function askedAt(at: string, pressingAlone: boolean): Set<string> {
    // With its forecasts, as Today has it: else the two ask for different things.
    const state = { ...(cellar.state as CellarState), forecasts: forecasts.known }
    const presses = ({ urgency }: Finding) => urgency === 'stop' || urgency === 'now'
    const isAsked = (task: Finding) => (pressingAlone ? presses(task) : task.urgency !== 'wait' && task.urgency !== 'note')
    return new Set([...state.lots.values()].flatMap((lot) => {
      const view = lotAt(lot, at)
      if (!isHeld(view) && view.bottled.length === 0) return []
      const tasks = tasksOf(view, state, at).filter((t) => (t.window?.from ?? at) <= at && isAsked(t))
      return [...tasks, ...findingsOf(view, state, at).filter(presses)].map((f) => `${lot.id} ${f.key}`)
    }))
  }
  const isWaking = (at: number): boolean => {
    const hour = new Date(at).getHours()
    return hour >= WAKING.from && hour <= WAKING.to
  }

  /**
   * Moves the clock on. It stops before its time for what is new and cannot wait, and for a mishap.
   * @param hours at most; to the next task without it
   */
  async function move(hours?: number): Promise<void> {
    if (!season.value || moving.value) return
    moving.value = true
    waiting.value = hours === undefined ? askedAt(season.value.at, false).size : 0
    try {
      // What is to be done now comes first; it can be put off on Today.
      if (waiting.value > 0) return
      const from = Date.parse(season.value.at)
      const known = askedAt(season.value.at, hours !== undefined)
      const step = Math.min(LOOKS_H, hours ?? LOOKS_H)
      let to = from
      for (let h = step; h <= (hours ?? LOOKS_DAYS * 24); h += step) {
        to = from + h * HOUR_MS
        // A task waits for the morning.
        if (hours === undefined && !isWaking(to)) continue
        const asked = askedAt(new Date(to).toISOString(), hours !== undefined)
        if ([...asked].some((one) => !known.has(one))) break
      }
      await goTo(new Date(to).toISOString(), season.value.at)
    }
    finally {
      moving.value = false
    }
  }
  async function goTo(at: string, from: string): Promise<void> {
    const all = await entries()
    const seen = await practising.call((p) => p.to(key.value!, all, at))
    const first = seen.mishaps.find((m) => m.at > from)
    mishaps.value = seen.mishaps.filter((m) => !first || m.at <= first.at)
    await setAt(first ? first.at : at)
  }
  function sawMishap(at: string): void {
    season.value = { ...season.value!, seen: [...season.value!.seen, at] }
    keepSeason(season.value)
  }

  // What is logged takes its minutes.
  watch(() => cellar.lastAction, (action) => {
    if (cellar.isPractice && season.value && action.length > 0) void setAt(new Date(Date.parse(season.value.at) + TAKES_MS).toISOString())
  })

  /** Back to the own cellar; the season waits where it is. */
  async function leave(): Promise<void> {
    await cellar.open('own')
    await navigateTo('/practice')
  }

  const sample = (lotId: string) => ask((p, k, e, at) => p.sample(k, e, at, lotId))
  const handReads = (lotId: string, what: HandReads[]) => ask((p, k, e, at) => p.read(k, e, at, lotId, what))
  const ending = () => ask((p, k, e, at) => p.ending(k, e, at))
  const decided = (lotId: string, index: number) => ask((p, k, e, at) => p.decided(k, e, at, lotId, index))
  const blindly = (lotId: string) => practising.call((p) => p.blindly(key.value!, lotId))
  return { season, mishaps, moving, waiting, begin, resume, leave, move, look, sawMishap, sample, handReads, ending, decided, blindly }
})
