import { MONTHS, WEEKDAYS } from './words'

/** A day, and a time where one was said, in the person's own zone. */
export interface When {
  day?: { year: number, month: number, date: number }
  time?: { hour: number, minute: number }
}

const dayOf = (d: Date) => ({ year: d.getFullYear(), month: d.getMonth(), date: d.getDate() })
const daysBefore = (now: Date, days: number) => dayOf(new Date(now.getFullYear(), now.getMonth(), now.getDate() - days))
const monthNamed = (word: string) => MONTHS.findIndex((m) => word.length >= 3 && word.replace(/\.$/, '').startsWith(m))

/** The day that exists and is not still to come: without a year it is the last one that was. */
function calendarDay(now: Date, date: number, month: number, year?: number): When['day'] | undefined {
  for (const y of year === undefined ? [now.getFullYear(), now.getFullYear() - 1] : [year < 100 ? 2000 + year : year]) {
    const d = new Date(y, month, date)
    if (d.getMonth() !== month || d.getDate() !== date) return undefined
    if (year !== undefined || d <= now) return dayOf(d)
  }
  return undefined
}

/**
 * A day or a time at the head of some words: "yesterday", "2 days ago", "monday", "24 nov", "24/11", "24.11.", "2026-11-24", "8:30",
 * "8pm". Days stand before months.
 * @param words in small letters
 * @param now the person's clock
 * @returns what it says and how many words it took; undefined when it is neither
 */
export function whenSaid(words: readonly string[], now: Date): { when: When, used: number } | undefined {
  const [first = '', second = '', third = ''] = words
  const day = (value: When['day'] | undefined, used: number) => (value ? { when: { day: value }, used } : undefined)
  if (first === 'today') return day(daysBefore(now, 0), 1)
  if (first === 'yesterday') return day(daysBefore(now, 1), 1)
  if (/^\d{1,3}$/.test(first) && /^days?$/.test(second) && third === 'ago') return day(daysBefore(now, Number(first)), 3)
  const weekday = WEEKDAYS.findIndex((d) => d === first || (first.length === 3 && d.startsWith(first)))
  if (weekday >= 0) return day(daysBefore(now, (now.getDay() - weekday + 7) % 7 || 7), 1)
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(first)
  if (iso) return day(calendarDay(now, Number(iso[3]), Number(iso[2]) - 1, Number(iso[1])), 1)
  const numbers = /^(\d{1,2})(?:\/(\d{1,2})(?:\/(\d{2}|\d{4}))?|\.(\d{1,2})\.(\d{2}|\d{4})?)$/.exec(first)
  if (numbers) {
    const year = numbers[3] ?? numbers[5]
    return day(calendarDay(now, Number(numbers[1]), Number(numbers[2] ?? numbers[4]) - 1, year ? Number(year) : undefined), 1)
  }
  const [date, month] = /^\d/.test(first) ? [first, second] : [second, first]
  if (/^\d{1,2}(st|nd|rd|th|\.)?$/.test(date) && monthNamed(month) >= 0) {
    const year = /^\d{4}$/.test(third) ? Number(third) : undefined
    return day(calendarDay(now, Number.parseInt(date), monthNamed(month), year), year === undefined ? 2 : 3)
  }
  const clock = /^(\d{1,2}):(\d{2})$/.exec(first)
  if (clock && Number(clock[1]) < 24 && Number(clock[2]) < 60)
    return { when: { time: { hour: Number(clock[1]), minute: Number(clock[2]) } }, used: 1 }
  const half = /^(\d{1,2})(am|pm)$/.exec(first)
  if (half && Number(half[1]) >= 1 && Number(half[1]) <= 12)
    return { when: { time: { hour: (Number(half[1]) % 12) + (half[2] === 'pm' ? 12 : 0), minute: 0 } }, used: 1 }
  return undefined
}

/**
 * The instant that was said, ISO UTC. A day without a time is its noon, today without one is now.
 * @returns undefined when nothing was said
 */
export function instantOf({ day, time }: When, now: Date): string | undefined {
  if (!day && !time) return undefined
  const { year, month, date } = day ?? dayOf(now)
  const today = new Date(year, month, date).getTime() === new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime()
  if (today && !time) return now.toISOString()
  return new Date(year, month, date, time?.hour ?? 12, time?.minute ?? 0).toISOString()
}
