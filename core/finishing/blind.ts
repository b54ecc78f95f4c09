/**
 * Places of glasses in an order that tells nothing of what is in them, and is the same for the same trial: a reload mixes no glass with
 * another.
 * @param count of glasses
 * @param trial what names the trial
 * @returns each place once
 */
export function blindOrder(count: number, trial: string): number[] {
  // A small congruential generator (Numerical Recipes' constants), begun from the name; and Fisher and Yates' shuffle.
  let seed = [...trial].reduce((sum, c) => (sum * 31 + c.codePointAt(0)!) >>> 0, 7)
  const next = () => (seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32
  const order = Array.from({ length: count }, (_, i) => i)
  for (let i = count - 1; i > 0; i--) {
    const k = Math.floor(next() * (i + 1))
    ;[order[i], order[k]] = [order[k]!, order[i]!]
  }
  return order
}
