import type { Material, MustQuantity, Reason, TargetResult } from '~~/core/must'
import { MUST_MATERIAL } from './acids'
import { capital } from './findings/say'

export interface Planned {
  malolactic: boolean
  cold: boolean
}

const NAME: Record<MustQuantity, string> = { brix: 'sugar', ph: 'the pH', ta: 'TA' }
const DECIMALS: Record<MustQuantity, number> = { brix: 1, ph: 2, ta: 1 }
const UNIT: Record<MustQuantity, string> = { brix: ' °Brix', ph: '', ta: ' g/L' }
const figure = (q: MustQuantity, value: number): string => `${value.toFixed(DECIMALS[q])}${UNIT[q]}`

/** "malolactic and cold", as far as they are planned. */
export const sayPlanned = ({ malolactic, cold }: Planned): string =>
  [malolactic && 'malolactic', cold && 'cold'].filter(Boolean).join(' and ')

const over = (side: 'high' | 'low'): string => (side === 'high' ? 'over' : 'under')

/** Why something is added or left, one sentence each; what is planned is named where it decides. */
export function sayFinderReason(reason: Reason, planned: Planned): string {
  const later = sayPlanned(planned)
  switch (reason.code) {
    case 'in-windows':
      return `Sugar, pH and TA are in range${later ? `, now and after ${later}` : ''}. Taste it.`
    case 'brings-in': {
      const { quantity, now, end, edge, side } = reason
      const moves = quantity !== 'brix' && later && Math.abs(end - now) >= 0.005
      return moves
        ? `${capital(NAME[quantity])} is ${figure(quantity, now)} and would end at ${figure(quantity, end)} after ${later}, ${over(side)} `
          + `${edge}.`
        : `${capital(NAME[quantity])} is ${figure(quantity, now)}, ${over(side)} ${edge}.`
    }
    case 'course-mends':
      return `${capital(NAME[reason.quantity])} is ${figure(reason.quantity, reason.now)}, ${over(reason.side)} ${reason.edge}; ${later} `
        + `will bring it to ${figure(reason.quantity, reason.end)} by itself.`
    case 'too-near-to-tell': {
      const { quantity, now, end, edge } = reason
      return quantity === 'brix' || !later || Math.abs(end - now) < 0.005
        ? `${capital(NAME[quantity])} is ${figure(quantity, now)}: too close to ${edge} to tell which side it is on.`
        : `After ${later} ${NAME[quantity]} should be about ${figure(quantity, end)}; the limit is ${edge}, and a forecast is not `
          + 'that precise. Measure again then.'
    }
    case 'usual-fall':
      return `TA will fall to about ${figure('ta', reason.end)} with ${later}. That is usual. Taste it then.`
    case 'would-harm':
      return `What would correct ${NAME[reason.quantity]} would push ${NAME[reason.other]} out of what is usual, or further out.`
    case 'low-ph-low-ta':
      return 'Its pH is low and it has little acid: carbonate would take more away, acid would make it sharper. Check the '
        + 'titration, then leave it, or blend.'
    case 'high-ph-high-ta':
      return 'A high pH together with much acid comes from potassium. Check both readings. Cold reduces both a little.'
    case 'nothing-at-hand':
      return `Nothing that is ticked ${reason.side === 'high' ? 'lowers' : 'raises'} ${NAME[reason.quantity]}.`
  }
}

/** The finder's answer in a line or two. */
export function sayAdvice(found: Pick<TargetResult, 'verdict' | 'additions' | 'reasons'>, planned: Planned): string {
  const reasons = found.reasons.map((r) => sayFinderReason(r, planned)).join(' ')
  if (found.verdict === 'leave') return `No correction needed. ${reasons}`
  const materials = found.additions.map((a) => MUST_MATERIAL[a.material].toLowerCase())
  return `It needs ${materials.join(' and ')}. ${reasons}`
}

const FOR: Record<Material, readonly MustQuantity[]> = {
  water: ['brix'],
  sucrose: ['brix'],
  tartaric: ['ph', 'ta'],
  malic: ['ph', 'ta'],
  citric: ['ph', 'ta'],
  'potassium-bicarbonate': ['ph', 'ta'],
  'potassium-carbonate': ['ph', 'ta'],
  'calcium-carbonate': ['ph', 'ta']
}

/** Why one material is proposed: the reasons that it answers. */
export function sayWhy(material: Material, reasons: readonly Reason[], planned: Planned): string {
  return reasons
    .filter((r) => r.code === 'brings-in' && FOR[material].includes(r.quantity))
    .map((r) => sayFinderReason(r, planned))
    .join(' ')
}
