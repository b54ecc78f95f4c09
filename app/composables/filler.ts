/**
 * Fills a field from what is known, again and again as that changes, until somebody types something else there. What was filled in for
 * one lot does not stay for the next; what was typed does.
 * @returns a way to fill it; empty text says that nothing is known
 */
export function filler(field: { text: string }): (text: string) => void {
  let ours = field.text
  return (text) => {
    if (field.text !== ours) return
    field.text = text
    ours = text
  }
}
