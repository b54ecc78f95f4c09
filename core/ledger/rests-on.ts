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
      if (!holds(all, list, all.length)) all.push(list)
    }
    // Lists are short and often one and the same: looking through them is quicker than a set. None repeats itself.
    else if (list !== lists[0] || all.length === 0) {
      const before = all.length
      for (const id of list) if (!holds(all, id, before)) all.push(id)
    }
  }
  return all.length <= MOST ? all : all.slice(-MOST)
}

/** Ids of one cellar begin alike and end differently: their ends tell them apart first. */
function holds(all: readonly string[], id: string, until: number): boolean {
  const end = id.charCodeAt(id.length - 1)
  for (let i = 0; i < until; i++) {
    const other = all[i]!
    if (other === id || (other.charCodeAt(other.length - 1) === end && other === id)) return true
  }
  return false
}
