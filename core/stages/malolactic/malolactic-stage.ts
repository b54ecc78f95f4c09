import type { Finding } from '../../findings'
import { isHeld, isWine } from '../../ledger'
import { type Stage, hoursSince, later } from '../stage'

export type MalolacticSays = { code: 'start-malolactic' } | { code: 'follow-malolactic', weeksSince: number, nearly: boolean }

/** Malic acid is looked at so often while bacteria work, h (craft 3.9, common practice). */
const LOOK_H = 7 * 24

/** Nothing is sulphited before or during a malolactic that is wanted: it is asked for, or followed, instead. */
export const malolacticStage: Stage<MalolacticSays> = {
  code: 'malolactic',
  appliesTo: (lot) => isWine(lot) && isHeld(lot) && ['to-come', 'under-way', 'nearly'].includes(lot.malolactic),
  tasks(lot, _cellar, now): Finding<MalolacticSays>[] {
    if (lot.malolactic === 'to-come') {
      return [
        {
          code: 'start-malolactic',
          key: 'start-malolactic',
          urgency: 'soon',
          task: true,
          lotId: lot.id,
          minutes: 20,
          evidence: lot.sg?.from ?? [],
          action: { to: 'lot', lotId: lot.id, log: 'yeast' }
        }
      ]
    }
    const looked = lot.others.malic && lot.others.malic.at > lot.bacteriaAt! ? lot.others.malic.at : lot.bacteriaAt!
    const hours = hoursSince(looked, now)
    return [
      {
        code: 'follow-malolactic',
        key: 'follow-malolactic',
        weeksSince: hours / LOOK_H,
        nearly: lot.malolactic === 'nearly',
        urgency: hours >= LOOK_H ? 'soon' : 'wait',
        task: true,
        lotId: lot.id,
        minutes: 15,
        evidence: lot.others.malic?.from ?? [],
        window: { from: later(looked, LOOK_H), due: later(looked, LOOK_H) },
        action: { to: 'measure', lotId: lot.id }
      }
    ]
  },
  findings: () => []
}
