import type { LotView, WayStepCode } from '../ledger'
import { daysBetween } from '../units'
import { doneAt } from './done'
import { SPANS, type Span, type WayKind, wayKindOf } from './durations'
import { type Effect, deviateIn, learnt, spanHere } from './learnt'

/** What a cellar has habits of: how long a step of the way takes it, and what wine it gets from its fruit. */
export const HABITS = ['dry', 'malolactic', 'clear', 'wine-per-kg'] as const
export type HabitCode = (typeof HABITS)[number]

/** L of wine off the skins for each kg of fruit, a red's: 0.6 to 0.7 in the end and its lees, craft 3.3; the band is our own. */
export const WINE_PER_KG: Span = [0.55, 0.65, 0.75]
/** Less than a day is no length of a step, and what is entered years later none either, days. Our own. */
const COUNTS = { from: 0.5, to: 400 } as const

export interface HabitLot {
  lotId: string
  name: string
  at: string
  /** Days, or L for each kg. */
  value: number
}
export interface Habit {
  code: HabitCode
  kind: WayKind
  effect: Effect
  /** What it rests on, oldest first. */
  lots: HabitLot[]
}
/** Until when what was learnt was forgotten, ISO, by `habitKey`. */
export type Forgotten = Readonly<Record<string, string>>
export const habitKey = ({ code, kind }: Pick<Habit, 'code' | 'kind'>): string => `${code} ${kind}`

export const habitOf = (habits: readonly Habit[], code: WayStepCode | HabitCode, kind: WayKind): Habit | undefined =>
  habits.find((h) => h.code === code && h.kind === kind)
/** A usual span as this habit has it. */
export const spanBy = (habit: Habit | undefined, usual: Span): Span =>
  habit && usual[0] > 0 && usual[1] > usual[0] && usual[2] > usual[1] ? spanHere(usual, habit.effect) : usual

/** What is usual of a lot of this kind where nothing was learnt; undefined where it does not come to it. */
export function usualOf(code: HabitCode, kind: WayKind, lot?: LotView): Span | undefined {
  switch (code) {
    case 'dry':
      return SPANS.dry[kind === 'kit' ? (lot?.style ?? 'red') : kind]
    case 'malolactic': {
      const plan = lot?.plan.malolactic ?? 'after-pressing'
      return plan === 'none' || plan === 'blocked' ? undefined : SPANS.malolactic[plan]
    }
    case 'clear':
      return SPANS.clear[kind]
    case 'wine-per-kg':
      return kind === 'red' ? WINE_PER_KG : undefined
  }
}

/** How long each took, or how much came of it, as far as this lot has come. */
type Seen = { value: number, at: string } | undefined
function seenOf(lot: LotView): Partial<Record<HabitCode, Seen>> {
  const done = doneAt(lot)
  const off = done['off-lees']
  const since = (from: string | undefined, to: string | undefined): Seen =>
    from && to ? { value: daysBetween(from, to), at: to } : undefined
  return {
    dry: since(done.pitched, done.dry),
    // Bacteria that went in twice did not do it by the first.
    malolactic: lot.bacteriaAgainAt ? undefined : since(lot.bacteriaAt, done.malolactic),
    clear: since(off, done.clear),
    ...(lot.pressedL && lot.massKg && lot.pressedAt && { 'wine-per-kg': { value: lot.pressedL / lot.massKg, at: lot.pressedAt } })
  }
}

/**
 * What this cellar's own lots say of the next: of each kind of wine, from every step that one of them has behind it.
 * @param lots all of the cellar
 * @param forgotten what is not to be leant on any more
 */
export function habitsOf(lots: readonly LotView[], forgotten: Forgotten = {}): Habit[] {
  const found = new Map<string, { code: HabitCode, kind: WayKind, lots: HabitLot[], deviates: number[] }>()
  for (const lot of [...lots].sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1))) {
    if (lot.stream === 'blend' || lot.stream === 'test') continue
    const kind = wayKindOf(lot)
    for (const code of HABITS) {
      const seen = seenOf(lot)[code]
      const usual = usualOf(code, kind, lot)
      const key = habitKey({ code, kind })
      if (!seen || !usual || seen.at <= (forgotten[key] ?? '')) continue
      if (code !== 'wine-per-kg' && (seen.value < COUNTS.from || seen.value > COUNTS.to)) continue
      const habit = found.get(key) ?? { code, kind, lots: [], deviates: [] }
      habit.lots.push({ lotId: lot.id, name: lot.name, ...seen })
      habit.deviates.push(deviateIn(usual, seen.value))
      found.set(key, habit)
    }
  }
  return [...found.values()].map(({ deviates, ...habit }) => ({ ...habit, effect: learnt(deviates) }))
}

/** What is usual of a habit, and what it is here; undefined where it comes to no lot of that kind. */
export function habitSpans(habit: Habit): { usual: Span, here: Span } | undefined {
  const usual = usualOf(habit.code, habit.kind)
  return usual && { usual, here: spanBy(habit, usual) }
}
