const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
/** A calendar day, "2026-10-03", as "Sat 3 Oct". */
export const sayDay = (day: string): string => DAY.format(new Date(`${day}T12:00:00Z`))

const FAR_MS = 150 * 86_400_000
/** The same, with its year where that is another one and far enough off to be mistaken. */
export function sayFarDay(day: string, now: string): string {
  const far = Math.abs(Date.parse(`${day}T12:00:00Z`) - Date.parse(now)) > FAR_MS
  return far && day.slice(0, 4) !== now.slice(0, 4) ? `${sayDay(day)} ${day.slice(0, 4)}` : sayDay(day)
}

const DAY_HERE = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
/** The day of an instant, where the person is: "Sat 3 Oct". */
export const sayDayOf = (instant: string): string => DAY_HERE.format(new Date(instant))
