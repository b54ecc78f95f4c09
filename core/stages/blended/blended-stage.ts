import type { Finding } from '../../findings'
import { type LotView, isHeld, isWine } from '../../ledger'
import { type CellarView, type Stage, hoursSince, later } from '../stage'

export type BlendedSays = { code: 'measure-blend', daysSince: number, ph?: number, taGPerL?: number }

const DAY_H = 24
/** It stands mixed and rid of its gas after a day; within a week it is known; after two months nobody compares any more. Ours. */
const [MIXED_D, DUE_D, ASKED_D] = [1, 7, 60] as const
/** What the arithmetic of a blend says of it, and a meter can hold against that: craft 3.12. */
const COMPARED = [['ph', 'ph-meter'], ['ta', 'acid-kit']] as const

/** What of it nobody has read since another wine came in, and the household can read. */
const unread = (lot: LotView, since: string, owned: CellarView['equipment']) =>
  COMPARED.filter(([quantity, by]) => owned?.[by] !== false && (lot.series[quantity]?.at(-1)?.at ?? '') <= since)

/** After a blend: measured, and held against what its parts come to. Stands beside what else the lot asks for. */
export const blendedStage: Stage<BlendedSays> = {
  code: 'blended',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && lot.blendedAt !== undefined,
  tasks(lot, cellar, now): Finding<BlendedSays>[] {
    const since = lot.blendedAt!
    const days = hoursSince(since, now) / DAY_H
    const wanted = unread(lot, since, cellar.equipment)
    if (days < 0 || days > ASKED_D || wanted.length === 0) return []
    return [{
      code: 'measure-blend',
      key: 'measure-blend',
      task: true,
      lotId: lot.id,
      urgency: days < MIXED_D ? 'wait' : 'soon',
      window: { from: later(since, MIXED_D * DAY_H), due: later(since, DUE_D * DAY_H) },
      minutes: 15,
      evidence: [],
      daysSince: Math.floor(days),
      ...(lot.ph && { ph: lot.ph.value }),
      ...(lot.ta && { taGPerL: lot.ta.value }),
      action: { to: 'measure', lotId: lot.id },
      waysRound: [{ code: 'no-instrument', drafts: [{ type: 'equipment-said', has: { [wanted[0]![1]]: false } }] }]
    }]
  },
  findings: () => []
}
