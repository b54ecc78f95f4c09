import { DAY_MS } from '../../core/units'
import { parseAbsoluteToLocal, toCalendarDate } from '@internationalized/date'

/** Days, months and clocks as Presk writes them, in one place. What has a day but no time is the same day everywhere. */
/** Words are British; dates and clocks are as the person's browser has them where they read English of another kind. */
const LOCALE = typeof navigator !== 'undefined' && /^en-(US|CA|AU|NZ|IE|ZA)$/.test(navigator.language ?? '') ? navigator.language : 'en-GB'
const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const
const LONG = { day: 'numeric', month: 'long', year: 'numeric' } as const
const format = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(LOCALE, options)

// Making a formatter is slow; a ledger has hundreds of lines.
const CALENDAR_DAY = format({ ...DAY, timeZone: 'UTC' })
const CALENDAR_DATE = format({ day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
const DAY_HERE = format(DAY)
const DAY_AND_YEAR = format({ day: 'numeric', month: 'short', year: 'numeric' })
const LONG_DAY = format(LONG)
const FULL_DAY = format({ ...LONG, weekday: 'long' })
const MONTH = format({ month: 'short' })
const MONTH_AND_YEAR = format({ month: 'long', year: 'numeric' })
const CLOCK = format({ hour: LOCALE === 'en-US' ? 'numeric' : '2-digit', minute: '2-digit' })
const POINT = format({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

type At = string | number | Date
const dateOf = (at: At): Date => new Date(at)

const calendarDay = (at: At) => toCalendarDate(parseAbsoluteToLocal(dateOf(at).toISOString()))
/**
 * The calendar day of an instant where the person is: "2026-10-03".
 * @throws RangeError for what is no instant
 */
export const dayHere = (at: At): string => calendarDay(at).toString()
/** The calendar day so many whole days after an instant, where the person is. */
export const dayHereAfter = (at: At, days: number): string => calendarDay(at).add({ days }).toString()

/** A calendar day, "2026-10-03", as "Sat 3 Oct". */
export const sayDay = (day: string): string => CALENDAR_DAY.format(new Date(`${day}T12:00:00Z`))
/** The same in a list that reaches over years: "3 Oct 2026". */
export const sayDate = (day: string): string => CALENDAR_DATE.format(new Date(`${day}T12:00:00Z`))
/** The day of an instant, where the person is: "Sat 3 Oct". */
export const sayDayOf = (at: At): string => DAY_HERE.format(dateOf(at))
/** "3 Oct 2026": in lists that reach over years. */
export const sayDayAndYear = (at: At): string => DAY_AND_YEAR.format(dateOf(at))
/** "3 October 2026" */
export const sayLongDay = (at: At): string => LONG_DAY.format(dateOf(at))
/** "Saturday 3 October 2026" */
export const sayFullDay = (at: At): string => FULL_DAY.format(dateOf(at))
/** "Oct" */
export const sayMonth = (at: At): string => MONTH.format(dateOf(at))
/** "October 2026" */
export const sayMonthAndYear = (at: At): string => MONTH_AND_YEAR.format(dateOf(at))
/** A point of a curve: "3 Oct, 07:21" */
export const sayPoint = (at: At): string => POINT.format(dateOf(at))
/** "07:21" */
export const sayClock = (at: At): string => CLOCK.format(dateOf(at))

const FAR_MS = 150 * DAY_MS
/** A calendar day with its year where that is another one and far enough off to be mistaken. */
export function sayFarDay(day: string, now: string): string {
  const far = Math.abs(Date.parse(`${day}T12:00:00Z`) - Date.parse(now)) > FAR_MS
  return far && day.slice(0, 4) !== now.slice(0, 4) ? `${sayDay(day)} ${day.slice(0, 4)}` : sayDay(day)
}
/** The same for the day of an instant, where the person is. */
export const sayFarDayOf = (at: At, now: string): string => sayFarDay(dayHere(at), now)

/** Whole days between two instants by the calendar where the person is; later is more. */
function calendarDaysBetween(from: At, to: At): number {
  const [a, b] = [from, to].map((at) => Date.parse(`${dayHere(at)}T00:00:00Z`))
  return Math.round((b! - a!) / DAY_MS)
}

/** "today 07:21", "yesterday 18:05", "Tue 17 Nov", "3 Oct 2025"; to come "tomorrow 11:30", "Thu 26 Nov, 11:30". */
export function sayWhen(at: string, now: string): string {
  const daysAgo = calendarDaysBetween(at, now)
  if (daysAgo === 0) return `today ${sayClock(at)}`
  if (daysAgo === -1) return `tomorrow ${sayClock(at)}`
  if (daysAgo < -1) return `${sayDayOf(at)}, ${sayClock(at)}`
  if (daysAgo === 1) return `yesterday ${sayClock(at)}`
  return (dayHere(at).slice(0, 4) === dayHere(now).slice(0, 4) || daysAgo < 200 ? DAY_HERE : DAY_AND_YEAR).format(dateOf(at))
}
