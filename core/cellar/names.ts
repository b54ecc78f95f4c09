/** Where the number goes in a pattern. */
const PLACE = '#'

/**
 * Names for several vessels of a kind: "Jug" or "Jug #" gives Jug 1, Jug 2 …; numbers go on behind those that are taken.
 * @param pattern as it was typed; one vessel is called just that
 * @param count 1 to 50
 * @param taken names that are in use
 * @example namesBy('Jug', 3, ['Jug 1']) // ['Jug 2', 'Jug 3', 'Jug 4']
 */
export function namesBy(pattern: string, count: number, taken: Iterable<string>): string[] {
  const words = pattern.trim()
  if (count === 1 && !words.includes(PLACE)) return [words]
  const name = (n: number) => (words.includes(PLACE) ? words.replace(PLACE, String(n)) : `${words} ${n}`)
  const used = new Set([...taken].map((t) => t.toLocaleLowerCase()))
  let last = 0
  for (let n = 1; n <= used.size + count; n++) if (used.has(name(n).toLocaleLowerCase())) last = n
  return Array.from({ length: count }, (_, i) => name(last + 1 + i))
}

/**
 * The name of one more of a kind: the word alone while it is free, then numbered from two.
 * @example nextName('Jug', ['Jug', 'Jug 2']) // 'Jug 3'
 */
export function nextName(word: string, taken: Iterable<string>): string {
  const names = [...taken]
  const isTaken = names.some((name) => name.toLocaleLowerCase() === word.toLocaleLowerCase())
  return isTaken ? namesBy(`${word} ${PLACE}`, 1, [...names, `${word} 1`])[0]! : word
}
