import { SO2_SHARE } from '../../sulphite'
import type { EntryOf } from '../entry'
import type { Folding } from '../fold/folding'
import { pay } from '../paid'
import type { LotState, Package } from '../state'
import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** What a package in store is called for the yeast and bacteria of an inoculation. */
const CULTURE = { yeast: 'yeast', bacteria: 'bacteria' } as const

/** A package comes into the store. */
export const supplyStocked: EntryKind<'supply-stocked'> = {
  type: 'supply-stocked',
  touches: (e) => ({ ...NOTHING_TOUCHED, materials: [e.material] }),
  apply(folding, stocked) {
    const { material, unit, opened, expires, note, price } = stocked
    const stock = folding.stock(material) ?? folding.put(folding.cellar.stock, material, { material, unit, packages: [], unaccounted: 0 })
    stock.packages.push({
      id: stocked.supplyId,
      amount: stocked.amount,
      left: stocked.amount,
      stockedAt: stocked.at,
      ...(opened && { opened }),
      ...(expires && { expires }),
      ...(note && { note }),
      ...(price !== undefined && { price })
    })
    stock.packages.sort(soonestFirst)
  }
}

/** What is opened goes first, then what expires first. */
function soonestFirst(a: Package, b: Package): number {
  const rank = (p: Package) => `${p.opened ? 0 : 1}${p.expires ?? '9999'}${p.stockedAt}${p.id}`
  return rank(a) < rank(b) ? -1 : 1
}

/** Somebody looked what is really left in a package. */
export const supplyCounted: EntryKind<'supply-counted'> = {
  type: 'supply-counted',
  touches: () => NOTHING_TOUCHED,
  apply(folding, counted) {
    const there = [...folding.cellar.stock.values()].some((stock) => stock.packages.some((p) => p.id === counted.supplyId))
    if (!there) folding.problem({ code: 'unknown-supply', entryId: counted.id, supplyId: counted.supplyId })
    for (const material of [...folding.cellar.stock.keys()]) {
      if (!folding.cellar.stock.get(material)!.packages.some((p) => p.id === counted.supplyId)) continue
      const stock = folding.stock(material)!
      stock.packages.find((p) => p.id === counted.supplyId)!.left = counted.left
      stock.unaccounted = 0
    }
  }
}

interface Taken {
  material: string
  unit: 'g' | 'mL' | 'pieces'
  amount: number
}

/** What went into a lot leaves the store, and costs it what it cost. */
export function consume(folding: Folding, fact: EntryOf<'addition'> | EntryOf<'inoculation'>, lot: LotState): void {
  const taken = takenBy(fact)
  if (taken) takeFromStore(folding, taken, fact.at, lot)
}

/** A material that was never stocked is not kept account of; what has no price is remembered as such. */
export function takeFromStore(folding: Folding, taken: Taken, at: string, lot: LotState): void {
  if (taken.amount <= 0) return
  if (folding.cellar.stock.get(taken.material)?.unit !== taken.unit) {
    pay(lot, { money: 0, of: taken.material, unpriced: true })
    return
  }
  const stock = folding.stock(taken.material)!
  let owed = taken.amount
  const spend = (amount: number, p?: Package) => {
    if (amount <= 0) return
    const money = p?.price === undefined ? undefined : (p.price * amount) / p.amount
    pay(lot, { money: money ?? 0, of: taken.material, unpriced: money === undefined })
  }
  for (const p of stock.packages) {
    // A package that came later was not there to be taken from.
    if (p.stockedAt > at) continue
    const part = Math.min(p.left, owed)
    p.left -= part
    owed -= part
    spend(part, p)
  }
  stock.unaccounted += owed
  // Out of a package that nobody wrote down: at the price of the last one.
  spend(owed, stock.packages.findLast((p) => p.price !== undefined))
}

function takenBy(fact: EntryOf<'addition'> | EntryOf<'inoculation'>): Taken | undefined {
  if (fact.type === 'inoculation')
    return fact.grams ? { material: fact.cardKey ?? CULTURE[fact.organism], unit: 'g', amount: fact.grams } : undefined
  if (fact.unit === 'L') return undefined
  // A stock solution was made from salt: its SO₂ says how much.
  if (fact.material === 'sulphite-stock')
    return {
      material: 'potassium-metabisulphite',
      unit: 'g',
      amount: (fact.actual * (fact.so2Share ?? 0)) / SO2_SHARE['potassium-metabisulphite']
    }
  return { material: fact.material, unit: fact.unit, amount: fact.actual }
}
