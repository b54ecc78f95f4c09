const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
/** A calendar day, "2026-10-03", as "Sat 3 Oct". */
export const sayDay = (day: string): string => DAY.format(new Date(`${day}T12:00:00Z`))
