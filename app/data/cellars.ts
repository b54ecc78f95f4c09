/** Cellars beside the first one, by name: a father's, a course's. Each has a database of its own; the list is kept on the device. */
export interface OtherCellar {
  id: `own-${string}`
  name: string
}
const KEY = 'presk.cellars'
const LONGEST = 80
export const MOST_CELLARS = 12

export function otherCellars(): OtherCellar[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]')
    return (Array.isArray(kept) ? kept : []).filter((c): c is OtherCellar =>
      typeof c?.name === 'string' && typeof c.id === 'string' && /^own-[a-z0-9]{4,12}$/.test(c.id))
  }
  catch {
    return []
  }
}
const keep = (all: readonly OtherCellar[]): boolean => {
  try {
    localStorage.setItem(KEY, JSON.stringify(all))
    return true
  }
  catch {
    return false
  }
}
/** @returns undefined where the name is empty or taken, there are too many, or the device keeps nothing */
export function addCellar(typed: string): OtherCellar | undefined {
  const name = typed.trim().slice(0, LONGEST)
  const all = otherCellars()
  if (!name || all.length >= MOST_CELLARS || all.some((c) => c.name.toLowerCase() === name.toLowerCase())) return undefined
  const made: OtherCellar = { id: `own-${crypto.randomUUID().replaceAll('-', '').slice(0, 8)}`, name }
  return keep([...all, made]) ? made : undefined
}
/** The list is renamed; the wines in it are untouched. */
export function renameCellar(id: string, typed: string): boolean {
  const name = typed.trim().slice(0, LONGEST)
  return name !== '' && keep(otherCellars().map((c) => (c.id === id ? { ...c, name } : c)))
}
