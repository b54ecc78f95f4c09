/** A number with its word: "1 entry", "3 entries". */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`

/** "25 min", "2.5 h" */
export const sayMinutes = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes / 5) * 5} min` : `${Math.round(minutes / 30) / 2} h`
