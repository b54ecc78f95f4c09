import { DAY_MS, daysBetween } from '../units'
import type { Package, Stock } from '../ledger'
import { cardOf } from '../materials'
import { sulphitePotency } from '../sulphite'
import { type StarterPlan, starterPlan } from '../yeast'
import type { Need } from './needs'

/** Kept over the sum of all needs, for what is spilt or turns out larger: common practice, no source. */
export const RESERVE = 0.15
/** Sulphite weaker than this is thrown away. */
const WEAK = 0.7

export type SupplyFinding =
  | { code: 'expired', packageId: string, expires: string, left: number }
  | { code: 'opened-long-ago', packageId: string, opened: string, days: number }
  | { code: 'weak-sulphite', packageId: string, potency: number }
  | { code: 'unaccounted', amount: number }

export interface Share {
  need: Need
  amount: number
}

export interface SupplyRow {
  material: string
  unit: 'g' | 'mL' | 'pieces'
  /** Sum of the needs. */
  needed: number
  reserve: number
  /** What is in store and can still be used, in strength of fresh goods. */
  usable: number
  /** What the needs alone lack, and what lacks with the reserve. */
  short: number
  toBuy: number
  needs: Need[]
  findings: SupplyFinding[]
  /** When it is short: who gets how much of what there is. */
  shares?: Share[]
  /** When yeast is short: how to build it up, and how long before. */
  starter?: StarterPlan
}

/**
 * Everything that all lots will still need, against what is in store. Nothing is bought twice: needs of one material are
 * summed over lots, the reserve is a part of the sum, and what has expired does not count.
 * @param needs of all open lots and expected arrivals
 * @param stock what is in store, by material
 * @param now ISO UTC
 * @param reserve part of the sum, 0 to 1
 * @returns a row for each material that is needed or in store, the shortest first
 */
export function supplyRows(needs: readonly Need[], stock: ReadonlyMap<string, Stock>, now: string, reserve = RESERVE): SupplyRow[] {
  const materials = new Set([...needs.map((n) => n.material), ...stock.keys()])
  return [...materials]
    .map((material) => {
      const own = needs.filter((n) => n.material === material)
      const held = stock.get(material)
      const needed = own.reduce((sum, n) => sum + n.amount, 0)
      const { usable, findings } = inStore(held, now)
      const row: SupplyRow = {
        material,
        unit: held?.unit ?? own[0]!.unit,
        needed,
        reserve: needed * reserve,
        usable,
        short: Math.max(0, needed - usable),
        toBuy: Math.max(0, needed * (1 + reserve) - usable),
        needs: own,
        findings
      }
      if (row.short > 0 && usable > 0) row.shares = shareOut(own, usable)
      if (row.short > 0 && material === 'yeast' && usable >= 0.5) row.starter = starterFor(own, usable)
      return row
    })
    .sort((a, b) => shortness(b) - shortness(a) || (a.material < b.material ? -1 : 1))
}

const shortness = (row: SupplyRow): number => (row.needed > 0 ? (row.short > 0 ? 2 : row.toBuy > 0 ? 1 : 0) + row.short / row.needed : -1)

function inStore(stock: Stock | undefined, now: string): { usable: number, findings: SupplyFinding[] } {
  const findings: SupplyFinding[] = []
  let usable = 0
  for (const p of stock?.packages ?? []) {
    if (p.left > 0) usable += p.left * worth(p, stock!.material, now, findings)
  }
  if (stock && stock.unaccounted > 0) findings.push({ code: 'unaccounted', amount: stock.unaccounted })
  return { usable, findings }
}

/** What a package is worth beside a fresh one. */
function worth(p: Package, material: string, now: string, findings: SupplyFinding[]): number {
  // Good to the end of that day, wherever it ends last.
  if (p.expires && Date.parse(p.expires) + DAY_MS < Date.parse(now)) {
    findings.push({ code: 'expired', packageId: p.id, expires: p.expires, left: p.left })
    return 0
  }
  if (!p.opened) return 1
  const days = Math.max(0, Math.floor(daysBetween(p.opened, now)))
  const opened = cardOf(material)?.opened ?? { days: 365 }
  if (opened.lossPerYear !== undefined) {
    const potency = sulphitePotency('powder', Math.min(3650, days))
    if (potency < WEAK) findings.push({ code: 'weak-sulphite', packageId: p.id, potency })
    return potency < WEAK ? 0 : potency
  }
  if (days > opened.days) findings.push({ code: 'opened-long-ago', packageId: p.id, opened: p.opened, days })
  return 1
}

/**
 * Who gets how much when it does not go round. Acid goes to the highest pH first, because that is where spoilage is nearest;
 * first sulphite before later; all else in equal parts of the need.
 */
function shareOut(needs: readonly Need[], amount: number): Share[] {
  const urgent = needs.some((n) => n.reason === 'acid' || n.reason === 'staged-rest' || n.reason === 'first-sulphite')
  if (!urgent) {
    const total = needs.reduce((sum, n) => sum + n.amount, 0)
    return needs.map((need) => ({ need, amount: (amount * need.amount) / total }))
  }
  const rank = (n: Need) => (n.reason === 'later-sulphite' ? 0 : 10) + (n.ph ?? 3.5)
  let left = amount
  return [...needs]
    .sort((a, b) => rank(b) - rank(a))
    .map((need) => {
      const given = Math.min(left, need.amount)
      left -= given
      return { need, amount: given }
    })
}

/** Litres follow from the need: yeast is pitched at one rate for all. */
function starterFor(needs: readonly Need[], yeastG: number): StarterPlan {
  return starterPlan(
    Math.min(500, yeastG),
    needs.slice(0, 50).map((n) => Math.max(0.5, n.amount / 0.25))
  )
}
