interface Fillable {
  text: string
  unit: string
  fill: (known: string) => void
}

/**
 * Fills a field from what is known, again and again as that changes, until somebody types something else there or in another unit.
 * @returns a way to fill it: empty text says that nothing is known; `anew` is for another lot, of which nobody typed anything
 */
export function filler(field: Fillable): (known: string, anew?: boolean) => void {
  let [ours, unit] = [field.text, field.unit]
  return (known, anew = false) => {
    if (!anew && (field.text !== ours || field.unit !== unit)) return
    field.fill(known)
    ;[ours, unit] = [field.text, field.unit]
  }
}
