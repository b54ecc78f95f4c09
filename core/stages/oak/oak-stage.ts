import type { Finding } from '../../findings'
import { type LotView, isHeld, isWine } from '../../ledger'
import { type OwnCards, cardOf } from '../../materials'
import type { Stage } from '../stage'
import { steeping } from '../steeping'

export type OakSays =
  | { code: 'taste-oak', daysIn: number, outInDays: number, material?: string }
  | { code: 'oak-out', daysIn: number, days: number, material?: string }

const DAY_H = 24
/** Where no card says how long it steeps, days: chips, craft 3.11 "for weeks". */
const USUAL_DAYS = 28
/** It is tasted for the first time after this part of its time, and then more often the nearer its end, days. Common practice. */
const FIRST = 0.25
const EVERY = { most: 7, least: 2, ofRest: 1 / 3 } as const

/** Loose oak in a wine: since when, and for how long such pieces usually stay; undefined when none is in it. */
export function steepOf(lot: LotView, cards?: OwnCards): { since: string, days: number, material?: string } | undefined {
  const oak = [...lot.putIn].filter(([material]) => cardOf(material, cards)?.kind === 'oak').sort((a, b) => (a[1] < b[1] ? 1 : -1))[0]
  const put = lot.worked.get('oak-in')?.at
  const since = [oak?.[1], put]
    .filter((at) => at !== undefined)
    .sort()
    .at(-1)
  // Racked off it, or fished out; what was put in while it fermented came off with the lees.
  const out = [lot.worked.get('oak-out')?.at, lot.rackedAt, lot.pressedAt]
    .filter((at) => at !== undefined)
    .sort()
    .at(-1)
  if (!since || (out !== undefined && out >= since)) return undefined
  const material = oak && oak[1] === since ? oak[0] : undefined
  const days = (material && cardOf(material, cards)?.steepDays) || USUAL_DAYS
  return { since, days, ...(material && { material }) }
}

/** While oak steeps in a wine: tasted, more often toward the end, and out in time. Stands beside what else the lot asks for. */
export const oakStage: Stage<OakSays> = {
  code: 'oak',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && (lot.worked.has('oak-in') || lot.putIn.size > 0),
  tasks(lot, cellar, now): Finding<OakSays>[] {
    const steep = steepOf(lot, cellar.cards)
    if (!steep) return []
    const { since, days, material } = steep
    const about = { task: true, lotId: lot.id, evidence: [], ...(material && { material }) } as const
    const again = (restH: number) => Math.min(EVERY.most * DAY_H, Math.max(EVERY.least * DAY_H, restH * EVERY.ofRest))
    const { inH, over, taste } = steeping(lot, { since, hours: days * DAY_H, firstH: days * DAY_H * FIRST, againH: again }, now)
    const daysIn = inH / DAY_H
    if (over) return [{
      code: 'oak-out',
      key: 'oak-out',
      daysIn,
      days,
      logs: [{ type: 'operation', lotId: lot.id, what: 'oak-out' }],
      action: { to: 'lot', lotId: lot.id, log: 'operation', what: 'oak-out' },
      ...over,
      ...about
    }]
    return [{ code: 'taste-oak', key: 'taste-oak', daysIn, outInDays: days - daysIn, ...taste, ...about }]
  },
  findings: () => []
}
