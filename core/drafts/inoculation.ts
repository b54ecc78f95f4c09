import type { Draft, EntryOf } from '../ledger'
import { type Open, said } from './said'

type Inoculation = EntryOf<'inoculation'>

/** Yeast or bacteria, as the packet calls them. */
export function inoculation({
  culture,
  ...rest
}: Pick<Inoculation, 'lotId' | 'organism' | 'culture'> & Open<Pick<Inoculation, 'at' | 'cardKey' | 'grams'>>): Draft<Inoculation> {
  return said({ type: 'inoculation' as const, culture: culture.trim().slice(0, 80), ...rest }) as Draft<Inoculation>
}
