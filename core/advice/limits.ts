import type { LotState } from '../ledger'
import { TOTAL_LIMIT } from '../sulphite'
import { NUTRIENTS } from '../yeast'

/** An addition that has come near its limit, over the whole life of a lot. */
export interface LimitNear { code: 'total-so2' | 'nutrient', what: string, value: number, limit: number, unit: 'mg/L' | 'g/L', over: boolean }

/** From this part of a limit on it is spoken of. */
const NEAR = 0.9

/** What went into a lot altogether, against the limits there are. */
export function limitsNear(lot: LotState): LimitNear[] {
  const found: LimitNear[] = []
  const note = (code: LimitNear['code'], what: string, value: number, limit: number, unit: LimitNear['unit']) => {
    if (value > NEAR * limit) found.push({ code, what, value, limit, unit, over: value > limit })
  }
  if (lot.totalSo2) note('total-so2', 'total SO₂', lot.totalSo2.value, TOTAL_LIMIT[lot.style], 'mg/L')
  for (const nutrient of NUTRIENTS) {
    const given = lot.added.get(nutrient.key)
    if (given) note('nutrient', nutrient.name.toLowerCase(), given.actual / lot.volume.value, nutrient.limitGPerL, 'g/L')
  }
  return found
}
