/** Milliseconds. */
export const HOUR_MS = 3_600_000
export const DAY_MS = 24 * HOUR_MS

/** From one instant to another, both ISO: negative where the second is the earlier. */
export const hoursBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / HOUR_MS
export const daysBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / DAY_MS
