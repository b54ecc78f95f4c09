/**
 * What is said on the left makes each task on the right keep still. Bottles that may burst are not laid down or tasted; a ferment about
 * which a decision is open is not stirred as if it went on.
 */
export const QUIETS: readonly (readonly [loud: readonly string[], quiet: readonly string[]])[] = [
  [['weak-bottles', 'over-pressure', 'sweet-bottles'], ['lay-down', 'taste-bottle', 'drink-up']],
  [['stuck', 'tell-if-dry', 'not-begun'], ['stir-must']]
]

/**
 * The tasks that are left once what is said has made others keep still.
 * @param found everything that is told besides; asked for only where it counts
 */
export function withoutQuiet<T extends { code: string }>(tasks: readonly T[], found: () => readonly { code: string }[]): T[] {
  const asked = new Set(tasks.map((t) => t.code))
  const quiet = QUIETS.filter(([, codes]) => codes.some((code) => asked.has(code)))
  if (quiet.length === 0) return [...tasks]
  const said = new Set([...asked, ...found().map((f) => f.code)])
  const still = new Set(quiet.flatMap(([loud, codes]) => (loud.some((code) => said.has(code)) ? codes : [])))
  return tasks.filter((t) => !still.has(t.code))
}
