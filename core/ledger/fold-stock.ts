import { SO2_SHARE } from '../sulphite'
import type { EntryOf } from './entry'
import type { Package, Stock } from './state'

type Store = Map<string, Stock>

/** What a package in store is called for the yeast and bacteria of an inoculation. */
export const CULTURE = { yeast: 'yeast', bacteria: 'bacteria' } as const

/** A package comes into the store. */
export function putInStore(store: Store, stocked: EntryOf<'supply-stocked'>): void {
  const stock = store.get(stocked.material) ?? { material: stocked.material, unit: stocked.unit, packages: [], unaccounted: 0 }
  const { opened, expires, note } = stocked
  stock.packages.push({ id: stocked.supplyId, amount: stocked.amount, left: stocked.amount, stockedAt: stocked.at, ...(opened && { opened }), ...(expires && { expires }), ...(note && { note }) })
  stock.packages.sort(soonestFirst)
  store.set(stocked.material, stock)
}

/** What is opened goes first, then what expires first. */
function soonestFirst(a: Package, b: Package): number {
  const rank = (p: Package) => `${p.opened ? 0 : 1}${p.expires ?? '9999'}${p.stockedAt}${p.id}`
  return rank(a) < rank(b) ? -1 : 1
}

/** Somebody looked what is really left in a package. */
export function count(store: Store, counted: EntryOf<'supply-counted'>): void {
  for (const stock of store.values()) {
    const found = stock.packages.find(p => p.id === counted.supplyId)
    if (found) {
      found.left = counted.left
      stock.unaccounted = 0
    }
  }
}

/** What went into a lot leaves the store; a material that was never stocked is not kept account of. */
export function consume(store: Store, fact: EntryOf<'addition'> | EntryOf<'inoculation'>): void {
  const taken = takenBy(fact)
  const stock = taken && store.get(taken.material)
  if (!stock || stock.unit !== taken.unit) return
  let owed = taken.amount
  for (const p of stock.packages) {
    // A package that came later was not there to be taken from.
    if (p.stockedAt > fact.at) continue
    const part = Math.min(p.left, owed)
    p.left -= part
    owed -= part
  }
  stock.unaccounted += owed
}

function takenBy(fact: EntryOf<'addition'> | EntryOf<'inoculation'>): { material: string, unit: 'g' | 'mL', amount: number } | undefined {
  if (fact.type === 'inoculation') return fact.grams ? { material: CULTURE[fact.organism], unit: 'g', amount: fact.grams } : undefined
  if (fact.unit === 'L') return undefined
  // A stock solution was made from salt: its SO₂ says how much.
  if (fact.material === 'sulphite-stock') return { material: 'potassium-metabisulphite', unit: 'g', amount: fact.actual * (fact.so2Share ?? 0) / SO2_SHARE['potassium-metabisulphite'] }
  return { material: fact.material, unit: fact.unit, amount: fact.actual }
}
