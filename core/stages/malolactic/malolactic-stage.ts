import type { Urgency } from '../../findings'
import { type LotView, isHeld, isWine, malicSettledOf } from '../../ledger'
import { TOLD_WITHIN } from '../../sulphite'
import { isOffLees } from '../off-lees'
import type { Stage } from '../stage'
import { sulphiteAfter, unprotected } from './after'
import { begin, early, hopeless, start, strongLater, timeIsNow } from './begin'
import { goesOn } from './going-on'
import { conditionsOf, malolacticCourseOf } from './of-lot'
import type { MalolacticSays } from './says'
import { type Says, benchOf } from './ways'

/** Below this what holds bacteria up is worth a word. Ours. */
const POOR = 0.6
/** How cold a wine is kept so that bacteria do not begin, °C. Common practice, no source. */
const BLOCKING_C = 12

/** Nothing is sulphited before or during a malolactic that is wanted: it is asked for, followed, ended, and then sulphited. */
export const malolacticStage: Stage<MalolacticSays> = {
  code: 'malolactic',
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && (isOpen(lot) || unprotected(lot) || isBlocked(lot)),
  tasks(lot, cellar, now): Says[] {
    if (lot.malolactic === 'done') return unprotected(lot) ? [sulphiteAfter(lot, cellar, now)] : []
    if (lot.malolactic === 'to-come') return [begin(lot, cellar, now)]
    return lot.bacteriaAt === undefined || lot.malolactic === 'not-wanted' ? [] : [goesOn(lot, cellar, now, lot.bacteriaAt)]
  },
  findings(lot, cellar): Says[] {
    if (isBlocked(lot)) return [blocked(lot)]
    if (lot.malolactic === 'done' || lot.malolactic === 'not-wanted') return []
    const found = conditionsOf(lot, cellar.cards)
    const course = malolacticCourseOf(lot, cellar.cards)
    return [
      ...(course?.findings ?? []).map((wrong) => about(lot, `malolactic:${wrong.code}`, 'soon', { code: 'malolactic-course', wrong })),
      ...(found && found.score < POOR ? found.findings : [])
        .filter((by) => by.code !== 'others-thrive')
        .map((by) => about(lot, `held-up:${by.code}`, 'soon', { code: 'malolactic-held-up', by, score: found!.score })),
      ...(found?.findings ?? [])
        .filter((by) => by.code === 'others-thrive')
        .map((by) => about(lot, 'held-up:others-thrive', 'note', { code: 'malolactic-held-up', by, score: found!.score }))
    ]
  }
}

/** Bacteria that go in with the yeast or on the skins are asked for beside what the ferment asks for. */
export const malolacticEarlyStage: Stage<MalolacticSays> = {
  code: 'malolactic-early',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && (timeIsNow(lot) || strongLater(lot) !== undefined),
  tasks: (lot, cellar) => (hopeless(lot, cellar) ? [] : [timeIsNow(lot) ? start(lot, cellar) : early(lot, strongLater(lot)!)]),
  findings: () => []
}

const isOpen = (lot: LotView): boolean => ['to-come', 'under-way', 'nearly'].includes(lot.malolactic)

const about = (lot: LotView, key: string, urgency: Urgency, says: MalolacticSays): Says => ({
  ...says,
  key,
  urgency,
  task: false,
  lotId: lot.id,
  evidence: lot.others.malic?.from ?? lot.ph?.from ?? [],
  action: benchOf(lot)
})

const isBlocked = (lot: LotView): boolean => lot.plan.malolactic === 'blocked' && lot.malolactic === 'not-wanted'

function blocked(lot: LotView): Says {
  const { settled, by, wantedMgPerL, freeMgPerL = 0 } = malicSettledOf(lot)
  const racked = isOffLees(lot)
  const cold = lot.temperature !== undefined && lot.temperature.value <= BLOCKING_C
  const [free, filtered] = [freeMgPerL >= wantedMgPerL - TOLD_WITHIN, by === 'filter']
  return about(lot, `malolactic-blocked:${[free, racked, cold, filtered].map(Number).join('')}`, settled && racked ? 'note' : 'soon', {
    code: 'malolactic-blocked',
    free,
    racked,
    cold,
    filtered,
    wantedMgPerL
  })
}
