/** A figure names at most this many entries behind it: the latest. Blends of blends would otherwise grow without end. */
const MOST = 12

/**
 * The entries that a figure rests on, without repeats, the latest kept.
 * @param lists entry ids, oldest first; single ids may stand among them
 */
export function restsOn(...lists: (readonly string[] | string | undefined)[]): string[] {
  const all: string[] = []
  for (const list of lists) {
    if (list === undefined) continue
    if (typeof list === 'string') {
      if (!all.includes(list)) all.push(list)
    }
    // Lists are short and often one and the same: looking through them is quicker than a set.
    else if (list !== lists[0] || all.length === 0) for (const id of list) if (!all.includes(id)) all.push(id)
  }
  return all.length <= MOST ? all : all.slice(-MOST)
}
