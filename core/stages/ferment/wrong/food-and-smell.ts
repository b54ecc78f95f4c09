import type { LotView } from '../../../ledger'
import { FAULTY } from '../../smelt'
import { type CellarView, type LotForecast, hoursSince } from '../../stage'
import { yeastOfLot } from '../ask'
import { wantingNitrogen } from '../feeding'
import { goneShare, phaseOf } from '../gone'
import type { Found } from './says'

/** Less than this is within what a nitrogen estimate is off by, mg/L. */
const SHORT_MG = 40

/** More sugar than the yeast bears, and less nitrogen than it needs when it is too late to give any. */
export function food(lot: LotView, cellar: CellarView): Found[] {
  const yeast = yeastOfLot(lot, cellar.cards)
  const known = cellar.forecasts?.get(lot.id)
  const over = known?.forecast.findings.find((f) => f.code === 'over-tolerance')
  const short = wantingNitrogen(lot, cellar.cards) - (lot.nitrogenGiven?.value ?? 0)
  return [
    ...(over?.code === 'over-tolerance' && yeast
      ? [{ ...over, key: 'over-tolerance', urgency: 'soon' as const, evidence: lot.originalSg?.from ?? [] }]
      : []),
    ...(lot.plan.nutrient === 'by-nitrogen' && goneShare(lot, known) >= 2 / 3 && short > SHORT_MG
      ? [{
          code: 'under-fed' as const,
          key: 'under-fed',
          shortMgPerL: short,
          urgency: 'note' as const,
          evidence: lot.nitrogenGiven?.from ?? []
        }]
      : [])
  ]
}

/** A smell is worth speaking of for so long, h. */
const SMELT_H = 72

/** Faults that were smelt of late. */
export function smells(lot: LotView, now: string, known?: LotForecast): Found[] {
  const { smelt } = lot
  if (!smelt || hoursSince(smelt.at, now) > SMELT_H) return []
  return FAULTY.filter((f) => smelt.smells.includes(f)).map((smell) => ({
    code: 'smells' as const,
    smell,
    phase: phaseOf(lot, known),
    key: `smells:${smell}:${smelt.entryId}`,
    urgency: 'now' as const,
    evidence: [smelt.entryId]
  }))
}
