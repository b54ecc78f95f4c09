import type { HabitCode, Span, WayKind } from '~~/core/way'
import { counted } from './count'

/** What a cellar has habits of. */
const HABIT: Record<HabitCode, string> = {
  'dry': 'From yeast to dry',
  'malolactic': 'Malolactic, from the bacteria',
  'clear': 'From off the gross lees to clear',
  'wine-per-kg': 'Wine from the grapes'
}
const KIND: Record<WayKind, string> = { red: 'reds', rose: 'rosés', white: 'whites', kit: 'kits' }
/** "4 of your reds". */
export const sayLotsOf = (count: number, kind: WayKind): string => `${count === 1 ? 'one' : count} of your ${KIND[kind]}`
export const sayKind = (kind: WayKind): string => KIND[kind].replace(/^./, (c) => c.toUpperCase())

/** Grapes that a yield is said for: 10 kg, or 100 lb. */
const OF_GRAPES = { kg: { kg: 10, words: '10 kg' }, lb: { kg: 45.359237, words: '100 lb' } } as const
export type MassSaid = keyof typeof OF_GRAPES
export const sayHabit = (code: HabitCode, mass: MassSaid): string =>
  code === 'wine-per-kg' ? `Wine from ${OF_GRAPES[mass].words} of grapes` : HABIT[code]

/** How wine of so many kilograms is shown, and days are whole. */
export interface HabitFormat { mass: MassSaid, volume: (litres: number) => { text: string, unit: string } }
/** What one lot gave: "62 days", "6.3 L". */
export function sayHabitValue(code: HabitCode, value: number, { mass, volume }: HabitFormat): string {
  if (code !== 'wine-per-kg') return counted(Math.round(value), 'day')
  const { text, unit } = volume(Number((value * OF_GRAPES[mass].kg).toPrecision(2)))
  return `${text} ${unit}`
}
/** "43 to 124 days, about 80". */
export function sayHabitSpan(code: HabitCode, [low, mid, high]: Span, f: HabitFormat): string {
  const number = (value: number) => sayHabitValue(code, value, f).split(' ')[0]
  return `${number(low)} to ${sayHabitValue(code, high, f)}, about ${number(mid)}`
}
