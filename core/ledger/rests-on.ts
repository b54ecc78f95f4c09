/** A figure names at most this many entries behind it: the latest. Blends of blends would otherwise grow without end. */
const MOST = 24

/**
 * The entries that a figure rests on, without repeats, the latest kept.
 * @param lists entry ids, oldest first; single ids may stand among them
 */
export function restsOn(...lists: (readonly string[] | string | undefined)[]): string[] {
  const all = new Set<string>()
  for (const list of lists) {
    if (list === undefined) continue
    for (const id of typeof list === 'string' ? [list] : list) all.add(id)
  }
  return all.size <= MOST ? [...all] : [...all].slice(-MOST)
}
