/** A season of Practice that is under way: which one, and what its clock says. Its entries are in a database of their own. */
export interface PracticeSeason {
  scenario: string
  seed: number
  /** Instants, ISO UTC: of its first hour, and now. */
  start: string
  at: string
  /** Mishaps that the person has seen, by their instant. */
  seen: string[]
}
const KEY = 'presk.practice'

export function keptSeason(): PracticeSeason | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<PracticeSeason> | null
    const whole = kept && typeof kept.scenario === 'string' && Number.isSafeInteger(kept.seed)
      && [kept.start, kept.at].every((at) => typeof at === 'string' && Number.isFinite(Date.parse(at)))
    return whole ? { seen: [], ...kept } as PracticeSeason : undefined
  }
  catch {
    return undefined
  }
}
export function keepSeason(season: PracticeSeason | undefined): void {
  try {
    if (season) localStorage.setItem(KEY, JSON.stringify(season))
    else localStorage.removeItem(KEY)
  }
  catch {
    // Refused in some private windows: the season then lasts as long as the tab.
  }
}

/** How exact the person has become, by exercise: the last answers, newest last. */
export interface Practised { off?: number, right: boolean }
const RECORD = 'presk.practised'
const KEPT = 20
export function practised(): Record<string, Practised[]> {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(RECORD) ?? '{}')
    if (typeof kept !== 'object' || kept === null) return {}
    const whole = (p: unknown): p is Practised => typeof p === 'object' && p !== null && typeof (p as Practised).right === 'boolean'
    return Object.fromEntries(Object.entries(kept).flatMap(([code, all]) => (Array.isArray(all) ? [[code, all.filter(whole)]] : [])))
  }
  catch {
    return {}
  }
}
export function keepPractised(code: string, answer: Practised): Record<string, Practised[]> {
  const all = practised()
  const next = { ...all, [code]: [...(Object.hasOwn(all, code) ? all[code]! : []), answer].slice(-KEPT) }
  try {
    localStorage.setItem(RECORD, JSON.stringify(next))
  }
  catch {
    // As above.
  }
  return next
}
