import type { Draft, EntryOf } from '../ledger'
import { type OwnCards, cardOf, materialKey } from '../materials'
import { type Open, said } from './said'

type Addition = EntryOf<'addition'>
interface Added extends Open<Pick<Addition, 'at' | 'planned' | 'purpose' | 'stage'>> {
  lotId: string
  /** Key of a card, or what another part calls it. */
  material: string
  /** In the card's unit; of a stock solution mL. */
  actual: number
  /** Measured out as a stock solution, of the strength on the card. */
  byStock?: boolean
}

/** Four digits: what a plan says beyond that, no scale weighs. */
const rounded = (amount: number): number => Number(amount.toPrecision(4))

/**
 * What went into a lot. Its card says in which unit, and how much SO₂ a sulphite brings; a stock solution is logged in grams of
 * what is in it, sulphite in the millilitres of the solution.
 * @param cards people's own
 */
export function addition({ material, planned, actual, byStock, ...rest }: Added, cards?: OwnCards): Draft<Addition> {
  const card = cardOf(material, cards)
  const share = card?.effect.on === 'sulphite' ? card.effect.so2Share : undefined
  const strength = byStock ? (card?.stockGPerL ?? 0) : 0
  const common = { type: 'addition' as const, ...rest }
  if (strength > 0 && share !== undefined) {
    return said({
      ...common,
      material: 'sulphite-stock',
      unit: 'mL' as const,
      planned: planned === undefined ? undefined : rounded((planned / strength) * 1000),
      actual,
      so2Share: (share * strength) / 1000
    }) as Draft<Addition>
  }
  return said({
    ...common,
    material: materialKey(material),
    unit: card?.unit === 'mL' || card?.unit === 'L' ? card.unit : ('g' as const),
    planned: planned === undefined ? undefined : rounded(planned),
    actual: strength > 0 ? (actual * strength) / 1000 : actual,
    so2Share: share
  }) as Draft<Addition>
}
