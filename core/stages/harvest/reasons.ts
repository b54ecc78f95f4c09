import { DAY_MS, daysBetween } from '../../units'
import type { Crossing, Ripening } from '../../harvest'
import { PH_LIMIT } from '../../harvest'
import { type BlockState, reckonedAmount } from '../../ledger'
import { MUST_WINDOWS, yieldOfArrival } from '../../must'
import { ROOM } from '../../cellar'

export type HarvestReason =
  | { leans: 'wait', code: 'sugar-low', value: number, target: number, day?: number }
  | { leans: 'pick', code: 'sugar-high', value: number, limit: number }
  | { leans: 'neither', code: 'sugar-within', value: number }
  | { leans: 'pick', code: 'ph-over', value: number, limit: number }
  | { leans: 'pick', code: 'ph-soon', value: number, limit: number, day: number }
  | { leans: 'wait', code: 'ta-high', value: number, target: number }
  | { leans: 'pick', code: 'ta-low', value: number, limit: number }
  | { leans: 'wait', code: 'no-vessel', neededL: number, largestFreeL: number }
  | { leans: 'neither', code: 'vessel-free', neededL: number, largestFreeL: number }
  | { leans: 'neither', code: 'sample-again', daysSince?: number, count: number }
  | { leans: 'wait' | 'pick' | 'neither', code: 'noted', id: string, about: BlockState['notes'][number]['about'], text: string, at: string }

/** A limit that is passed within so many days is near. */
const SOON_DAYS = 5
/** A sample older than this says little: every few days (craft 3.1). */
const STALE_DAYS = 5
/** Notes older than this are not argued with. */
const NOTE_DAYS = 10

/**
 * What argues for waiting and what for picking: sugar, pH, acidity, vessels that are free, and what was noted of weather,
 * pests and hands. It weighs nothing up; the person decides.
 * @param block with its samples and notes
 * @param ripe its trends
 * @param freeL capacities of the vessels that are empty, L
 * @param now ISO UTC
 */
export function reasonsForBlock(block: BlockState, ripe: Ripening, freeL: readonly number[], now: string): HarvestReason[] {
  const windows = MUST_WINDOWS[block.style]
  const reasons: HarvestReason[] = []
  const today = (quantity: 'brix' | 'ph' | 'ta') =>
    ripe.trends.find((t) => t.quantity === quantity)?.ahead[0]?.value ?? latest(block, quantity)
  const [brix, ph, ta] = [today('brix'), today('ph'), today('ta')]
  if (brix !== undefined) {
    const target = find(ripe, 'brix', 'target')
    if (brix < windows.brix.min)
      reasons.push({
        leans: 'wait',
        code: 'sugar-low',
        value: brix,
        target: windows.brix.min,
        ...(target?.day !== undefined && { day: target.day })
      })
    else if (brix > windows.brix.max) reasons.push({ leans: 'pick', code: 'sugar-high', value: brix, limit: windows.brix.max })
    else reasons.push({ leans: 'neither', code: 'sugar-within', value: brix })
  }
  if (ph !== undefined) {
    const limit = PH_LIMIT[block.style]
    const day = find(ripe, 'ph', 'limit')?.day
    if (ph >= limit) reasons.push({ leans: 'pick', code: 'ph-over', value: ph, limit })
    else if (day !== undefined && day <= SOON_DAYS) reasons.push({ leans: 'pick', code: 'ph-soon', value: ph, limit, day })
  }
  if (ta !== undefined) {
    if (ta > windows.ta.max) reasons.push({ leans: 'wait', code: 'ta-high', value: ta, target: windows.ta.max })
    else if (ta < windows.ta.min) reasons.push({ leans: 'pick', code: 'ta-low', value: ta, limit: windows.ta.min })
  }
  if (block.expectKg) reasons.push(roomFor(block.style, block.expectKg, freeL))
  for (const note of block.notes) {
    if (Date.parse(now) - Date.parse(note.at) <= NOTE_DAYS * DAY_MS)
      reasons.push({ leans: note.leans, code: 'noted', id: note.id, about: note.about, text: note.text, at: note.at })
  }
  const last = block.samples.at(-1)
  const daysSince = last && Math.floor(daysBetween(last.at, now))
  if (block.samples.length < 3 || daysSince === undefined || daysSince > STALE_DAYS)
    reasons.push({ leans: 'neither', code: 'sample-again', count: block.samples.length, ...(daysSince !== undefined && { daysSince }) })
  return reasons
}

const find = (ripe: Ripening, quantity: Crossing['quantity'], kind: Crossing['kind']): Crossing | undefined =>
  ripe.crossings.find((c) => c.quantity === quantity && c.kind === kind)

const latest = (block: BlockState, quantity: 'brix' | 'ph' | 'ta'): number | undefined =>
  block.samples.findLast((s) => s[quantity] !== undefined)?.[quantity]

/** One free vessel for all of it, with room for the cap or the foam. */
function roomFor(style: BlockState['style'], massKg: number, freeL: readonly number[]): HarvestReason {
  const neededL = yieldOfArrival('fresh', style, reckonedAmount(massKg)).mustL / (1 - (style === 'red' ? ROOM.cap : ROOM.foam))
  const largestFreeL = Math.max(0, ...freeL)
  return largestFreeL >= neededL
    ? { leans: 'neither', code: 'vessel-free', neededL, largestFreeL }
    : { leans: 'wait', code: 'no-vessel', neededL, largestFreeL }
}
