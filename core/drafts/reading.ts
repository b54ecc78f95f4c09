import { titrate } from '../acids'
import type { Draft, EntryOf } from '../ledger'
import type { QuantityName } from '../quantities'
import { type Open, said } from './said'

type Reading = EntryOf<'reading'>
interface Read extends Open<Pick<Reading, 'at' | 'instrumentId' | 'by' | 'sampleC' | 'calibrationC' | 'degassed'>> {
  lotId: string
  quantity: QuantityName
  /** As it was typed, and in the quantity's own unit. */
  typed: string
  value: number
}

/** A reading. The sample's temperature belongs to a gravity alone; a refractometer, which minds none, is given none. */
export function reading({ quantity, typed, sampleC, calibrationC, ...rest }: Read): Draft<Reading> {
  const gravity = quantity === 'sg' || quantity === 'brix'
  return said({
    type: 'reading' as const,
    quantity,
    typed: typed.trim().slice(0, 40),
    ...rest,
    sampleC: gravity ? sampleC : undefined,
    calibrationC: gravity && sampleC !== undefined ? calibrationC : undefined
  }) as Draft<Reading>
}

/** TA from a titration: the millilitres are what was read, the grams follow from them. */
export function titration(
  lotId: string,
  parts: NonNullable<Reading['titration']>,
  more: Open<Pick<Reading, 'at' | 'degassed'>> = {}
): Draft<Reading> {
  const { taGPerL } = titrate(parts.sampleMl, parts.titrantMl, parts.normality, parts.stepMl ?? 0.1)
  return said({
    type: 'reading' as const,
    lotId,
    quantity: 'ta' as const,
    typed: `${parts.titrantMl} mL`,
    value: taGPerL,
    titration: parts,
    ...more
  }) as Draft<Reading>
}
