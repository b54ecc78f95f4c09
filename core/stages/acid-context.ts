import type { AcidReadings } from '../acids'
import type { LotView } from '../ledger'

/**
 * What a lot tells the acid model besides its pH and TA: alcohol, style, where malolactic stands, and malic acid unless bacteria came
 * after it was read.
 */
export function acidContextOf(lot: LotView): Pick<AcidReadings, 'abv' | 'style' | 'malolactic' | 'malicGPerL'> {
  const { abv, style, malolactic, bacteriaAt } = lot
  const malic = lot.others.malic
  const stands = malic && !(bacteriaAt !== undefined && malic.at < bacteriaAt)
  return {
    style,
    malolactic: malolactic === 'done' ? 'after' : malolactic === 'under-way' || malolactic === 'nearly' ? 'under-way' : 'before',
    ...(abv && { abv: Math.min(18, Math.max(0, abv.value)) }),
    ...(stands && { malicGPerL: Math.min(15, Math.max(0, malic.value)) })
  }
}
