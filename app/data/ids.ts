/** An id that sorts by the time it was made: nine digits of the clock in base 36, then chance. */
export function newId(now = Date.now()): string {
  return `${now.toString(36).padStart(9, '0')}-${crypto.randomUUID().slice(0, 13)}`
}
