import type { Finding } from '../../findings'
import { isHeld, isWine } from '../../ledger'
import { LEAST_FREE, MOLECULAR_TARGET, freeSo2For } from '../../sulphite'
import { type Stage, hoursSince, later } from '../stage'

export type KeepingSays =
  | { code: 'measure-wine' }
  | { code: 'measure-free' }
  | { code: 'sulphite-low', freeMgPerL: number, targetFreeMgPerL: number }
  | { code: 'check-sulphite', weeksSince: number }

/** Hours after which free SO₂ wants a look, craft 3.10 (common practice, no source). */
const LOOK_H = 5 * 7 * 24
/** mg/L below target that is worth an addition; a titration cannot tell less. */
const SLACK = 5

/** A wine that rests: its sulphite. Not before its malolactic is through, nor for those who keep it without. */
export const keepingStage: Stage<KeepingSays> = {
  code: 'keeping',
  appliesTo: (lot) =>
    isWine(lot) && isHeld(lot) && (lot.malolactic === 'done' || lot.malolactic === 'not-wanted') && lot.plan.sulphite !== 'none',
  tasks(lot, _cellar, now): Finding<KeepingSays>[] {
    const about = { task: true, lotId: lot.id, urgency: 'soon' } as const
    const measure = { ...about, minutes: 15, action: { to: 'measure', lotId: lot.id } } as const
    if (!lot.ph) return [{ code: 'measure-wine', key: 'measure-must', evidence: [], ...measure, urgency: 'now' }]
    if (!lot.freeSo2) return [{ code: 'measure-free', key: 'confirm-dry', evidence: [], ...measure }]
    const targetFreeMgPerL = Math.max(LEAST_FREE, freeSo2For(MOLECULAR_TARGET[lot.style], Math.min(4.5, Math.max(2.5, lot.ph.value))))
    const { value: freeMgPerL, at, from } = lot.freeSo2
    if (freeMgPerL < targetFreeMgPerL - SLACK) {
      return [
        {
          code: 'sulphite-low',
          key: 'sulphite-low',
          freeMgPerL,
          targetFreeMgPerL,
          evidence: [...lot.ph.from, ...from],
          minutes: 15,
          ...about,
          action: { to: 'sulphite', lotId: lot.id }
        }
      ]
    }
    const hours = hoursSince(at, now)
    return hours <= LOOK_H
      ? []
      : [
          {
            code: 'check-sulphite',
            key: 'check-sulphite',
            weeksSince: hours / 168,
            evidence: from,
            ...measure,
            window: { from: later(at, LOOK_H), due: later(at, LOOK_H) }
          }
        ]
  },
  findings: () => []
}
