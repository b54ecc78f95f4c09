import { type Habit, type HabitCode, type Span, type WayKind, spanBy, usualOf } from '~~/core/way'
import { counted } from './count'

/** What a cellar has habits of. */
export const HABIT: Record<HabitCode, string> = {
  'dry': 'From yeast to dry',
  'malolactic': 'Malolactic, from the bacteria',
  'clear': 'From off the gross lees to clear',
  'wine-per-kg': 'Wine from each kilogram of grapes'
}
const KIND: Record<WayKind, string> = { red: 'reds', rose: 'rosés', white: 'whites', kit: 'kits' }
/** "4 of your reds". */
export const sayLotsOf = (count: number, kind: WayKind): string => `${count === 1 ? 'one' : count} of your ${KIND[kind]}`
export const sayKind = (kind: WayKind): string => KIND[kind].replace(/^./, (c) => c.toUpperCase())

/** "43 to 124 days, usually 80". */
export function sayHabitSpan(code: HabitCode, [low, mid, high]: Span, volume: (litres: number) => string): string {
  if (code === 'wine-per-kg') return `${volume(low)} to ${volume(high)}, about ${volume(mid)}`
  return `${Math.round(low)} to ${counted(Math.round(high), 'day')}, about ${Math.round(mid)}`
}
/** What is usual, and what it is here. */
export function spansOf(habit: Habit): { usual: Span, here: Span } | undefined {
  const usual = usualOf(habit.code, habit.kind)
  return usual && { usual, here: spanBy(habit, usual) }
}
