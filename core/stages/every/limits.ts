import { type OwnCards, cardOf } from '../../materials'
import type { LotState } from '../../ledger'
import { TOTAL_LIMIT } from '../../sulphite'

/** An addition that has come near its limit, over the whole life of a lot. */
export interface LimitNear {
  code: 'total-so2' | 'material'
  material: string
  value: number
  limit: number
  unit: 'mg/L' | 'g/L'
  over: boolean
}

/** From this part of a limit on it is spoken of. */
const NEAR = 0.9
/** What was weighed to a limit is not over it by the error of a scale, or of the volume it went into. Ours. */
const WEIGHED_TO = 1.02

/** What went into a lot altogether, against the limits there are: that of its style for SO₂, those of the cards for the rest. */
export function limitsNear(lot: LotState, own?: OwnCards): LimitNear[] {
  const found: LimitNear[] = []
  const note = (code: LimitNear['code'], material: string, value: number, limit: number, unit: LimitNear['unit']) => {
    if (value > NEAR * limit) found.push({ code, material, value, limit, unit, over: value > limit * WEIGHED_TO })
  }
  if (lot.totalSo2) note('total-so2', '', lot.totalSo2.value, TOTAL_LIMIT[lot.style], 'mg/L')
  if (lot.volume.value <= 0) return found
  for (const [material, { actual }] of lot.added) {
    const card = cardOf(material, own)
    // Water, acid and sugar have limits for one proposal, not a life: blends and stages may add up.
    if (card?.limit && (card.kind === 'nutrient' || card.kind === 'stabiliser'))
      note('material', material, actual / lot.volume.value, card.limit.perL, 'g/L')
  }
  return found
}
