import type { LotView } from '../ledger'
import type { StageFinding } from './index'

/** One thing to measure out: for which lot, and for which of its tasks. */
export interface WeighingLine {
  lot: LotView
  task: StageFinding
  material: string
  amount: number
  unit: NonNullable<StageFinding['amounts']>[number]['unit']
  /** By what is in each vessel, where the lot is in several: all of it in one of them would be several times too much. */
  shares: { vesselId: string, amount: number }[]
}
export interface WeighingSum { material: string, amount: number, unit: WeighingLine['unit'] }

/** Their dose follows from an answer that only the person has. */
const WORKED_OUT: ReadonlySet<string> = new Set<StageFinding['code']>(['sulphite-must', 'pitch'])

const sharesOf = (lot: LotView, amount: number): WeighingLine['shares'] => {
  const held = [...lot.contents].filter(([, litres]) => litres > 0)
  const litres = held.reduce((sum, [, l]) => sum + l, 0)
  return held.length > 1 ? held.map(([vesselId, l]) => ({ vesselId, amount: (amount * l) / litres })) : []
}

/**
 * What today's tasks want measured out, in their order, and how much of a thing that several want. What waits for another day is left out:
 * its amount follows readings that are still to come.
 */
export function weighingOf(floor: readonly { lot: LotView, tasks: readonly StageFinding[] }[]): {
  lines: WeighingLine[]
  sums: WeighingSum[]
  /** Tasks that put something in too, once their dose is worked out. */
  open: { lot: LotView, task: StageFinding }[]
} {
  const today = floor.flatMap(({ lot, tasks }) => tasks.filter((task) => task.urgency !== 'wait').map((task) => ({ lot, task })))
  const lines = today.flatMap(({ lot, task }) => (task.amounts ?? []).map((of) => ({ lot, task, ...of, shares: sharesOf(lot, of.amount) })))
  const sums = new Map<string, WeighingSum & { of: number }>()
  for (const { material, amount, unit } of lines) {
    const before = sums.get(`${material} ${unit}`)
    sums.set(`${material} ${unit}`, {
      material, unit, amount: (before?.amount ?? 0) + amount, of: (before?.of ?? 0) + 1
    })
  }
  return {
    lines,
    sums: [...sums.values()].flatMap(({ of, ...sum }) => (of > 1 ? [sum] : [])),
    open: today.filter(({ task }) => WORKED_OUT.has(task.code) && !task.amounts?.length)
  }
}
