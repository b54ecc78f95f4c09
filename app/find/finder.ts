import MiniSearch from 'minisearch'

/** What can be found. Entries of the history have an instant; the rest are always there. */
export type FindKind = 'entry' | 'lot' | 'vessel' | 'supply' | 'page' | 'word'
export interface FindDocument {
  id: string
  kind: FindKind
  /** Shown, and searched first. */
  title: string
  text: string
  /** Where it leads. */
  to: string
  /** ISO UTC. */
  at?: string
}
export type Found = Pick<FindDocument, 'id' | 'kind' | 'title' | 'text' | 'to' | 'at'>

/** Words of a question that say nothing of what is sought. */
const EMPTY = new Set(('a an and any at be been by can did do does for from had has have how i in into is it last latest me '
  + 'much many my of on or our put s show since than that the there this to up us get got was we were what when where which who '
  + 'why with you year years').split(' '))
/** Words that mean the same in a cellar: what is typed, and what the history says. */
const SAME: Record<string, string> = {
  sulfite: 'sulphit', sulphite: 'sulphit', metabisulphite: 'sulphit', metabisulfite: 'sulphit',
  mlf: 'malolactic', malo: 'malolactic', temp: 'temperature', yan: 'nitrogen', carboy: 'demijohn', sulphur: 'so2', sulfur: 'so2'
}

/** Without accents, in small letters. */
export const folded = (word: string): string => word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
/** A word as it is kept and sought: without accents, endings and doublets. */
export function rootOf(word: string): string {
  const plain = folded(word).replace(/['’]s$/, '')
  const same = SAME[plain]
  if (same) return same
  if (plain.length < 5 || /\d/.test(plain)) return plain
  return plain.replace(/(?:ings?|ed|es|s|e)$/, '')
}
const wordsOf = (text: string): string[] => text.split(/[^\p{L}\p{N}.₂]+/u).flatMap((w) => {
  const bare = w.replace(/₂/g, '2').replace(/^\.+|\.+$/g, '')
  return bare ? [bare] : []
})

/** The year that a question is about, if it names one. */
function yearOf(query: string, now: Date): number | undefined {
  const named = /\b(19|20)\d\d\b/.exec(query)?.[0]
  if (named) return Number(named)
  if (/\blast year/i.test(query)) return now.getFullYear() - 1
  return /\bthis year/i.test(query) ? now.getFullYear() : undefined
}

/** What is not the history comes after it where both are found as well. */
const BOOST: Record<FindKind, number> = { lot: 3, page: 2.5, vessel: 2, supply: 2, word: 1.5, entry: 1 }

/**
 * Finds in all that a cellar holds: any order of words, parts of words, a slip of a letter. Every word must be met; where none meets all,
 * what meets most comes first. Of entries that are found as well the latest comes first, for that is what people ask for.
 */
export class Finder {
  private readonly index = new MiniSearch<FindDocument>({
    fields: ['title', 'text'],
    storeFields: ['kind', 'title', 'text', 'to', 'at'],
    tokenize: wordsOf,
    processTerm: rootOf
  })

  /** Takes documents in, anew where they changed. */
  put(documents: readonly FindDocument[]): void {
    for (const d of documents) if (this.index.has(d.id)) this.index.discard(d.id)
    this.index.addAll(documents)
  }

  drop(ids: readonly string[]): void {
    for (const id of ids) if (this.index.has(id)) this.index.discard(id)
  }

  find(query: string, now: Date, most = 8): Found[] {
    const year = yearOf(query, now)
    const asked = wordsOf(query.replace(/\b(19|20)\d\d\b/, ' ')).filter((w) => !EMPTY.has(folded(w)))
    if (asked.length === 0) return []
    const search = (combineWith: 'AND' | 'OR') => this.index.search(asked.join(' '), {
      combineWith,
      prefix: (term) => term.length > 1,
      fuzzy: (term) => (term.length > 4 && !/\d/.test(term) ? 0.2 : false),
      boost: { title: 2 },
      weights: { fuzzy: 0.3, prefix: 0.7 },
      filter: (d) => year === undefined || (d.kind === 'entry' && new Date(String(d.at)).getFullYear() === year)
    })
    const all = search('AND')
    const hits = all.length > 0 || asked.length < 3 ? all : search('OR')
    const best = Math.max(0, ...hits.map((h) => h.score))
    return hits
      .map((h) => ({ hit: h, rank: (h.score / best) * BOOST[h.kind as FindKind] }))
      // Within a third of each other two entries answer as well: then time decides.
      .sort((a, b) => step(b.rank) - step(a.rank) || String(b.hit.at ?? '').localeCompare(String(a.hit.at ?? '')) || b.rank - a.rank)
      .slice(0, most)
      .map(({ hit: { id, kind, title, text, to, at } }) => ({ id: String(id), kind, title, text, to, ...(at && { at }) }))
  }
}
const step = (rank: number): number => Math.ceil(rank * 3)
