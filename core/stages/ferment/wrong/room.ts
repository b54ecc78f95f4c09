import { vesselFit } from '../../../cellar'
import { pressDay } from '../../../fermentation'
import type { LotView } from '../../../ledger'
import { MUST_PER_JUICE } from '../../../must'
import { isOnSkins } from '../../skins'
import { type CellarView, type LotForecast, hoursSince } from '../../stage'
import { phaseOf, pressAsk } from '../gone'
import type { Found } from './says'

/** A cap or foam wants room while it works; and whether it wants air. */
export function room(lot: LotView, cellar: CellarView, known?: LotForecast): Found[] {
  const phase = phaseOf(lot, known)
  const onSkins = isOnSkins(lot)
  const found: Found[] = phase === 'middle' ? [] : [{ code: 'air', key: `air:${phase}`, phase, urgency: 'note' }]
  if (phase === 'late') return found
  for (const [vesselId, litres] of lot.contents) {
    const vessel = cellar.vessels.get(vesselId)
    if (!vessel) continue
    // Musts of fresh fruit are reckoned by their juice; in the vessel the skins come on top.
    const filled = onSkins && lot.stream !== 'frozen' ? litres * MUST_PER_JUICE : litres
    const { verdict, neededL } = vesselFit(vessel.capacityL, Math.min(100_000, filled), onSkins ? 'cap' : 'foam')
    if (verdict === 'tight' || verdict === 'too-small') {
      const over = verdict === 'too-small'
      found.push({
        code: 'little-room',
        key: `little-room:${vesselId}`,
        vessel: vessel.name,
        neededL,
        over,
        urgency: over ? 'now' : 'soon'
      })
    }
  }
  return found
}

/** Longer on its skins than any method leaves it. */
export function skins(lot: LotView, now: string): Found[] {
  if (!isOnSkins(lot) || !lot.sg || lot.alcoholic === 'none') return []
  const days = hoursSince(lot.startedAt, now) / 24
  if (days > 120 || lot.volume.value < 1) return []
  const long = pressDay(pressAsk(lot, now)).findings
  return long.some((f) => f.code === 'skins-long')
    ? [{ code: 'skins-long', key: 'skins-long', days, urgency: 'soon', evidence: lot.sg.from }]
    : []
}
