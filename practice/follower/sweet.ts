import { sorbateDose } from '../../core/finishing'
import { type LotView, usedPh } from '../../core/ledger'

/** Potassium sorbate as the bench gives it, g; undefined where it refuses. */
export function sweetAim(lot: LotView): number | undefined {
  const dose = sorbateDose({
    volumeL: lot.volume.value,
    abv: lot.abv?.value ?? 12,
    ph: usedPh(lot).value,
    style: lot.style,
    freeSo2MgPerL: lot.freeSo2?.value ?? 0,
    malolacticDone: lot.malolactic === 'done',
    fermenting: false
  })
  return dose.grams > 0 ? dose.grams : undefined
}
