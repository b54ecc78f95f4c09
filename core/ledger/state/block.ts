import type { EntryOf, Style } from '../entry'

/** A vineyard or a part of one, before its harvest. */
export interface BlockState {
  id: string
  name: string
  style: Style
  variety?: string
  expectKg?: number
  samples: EntryOf<'block-sampled'>[]
  notes: EntryOf<'block-noted'>[]
  /** Sampled or noted before it was added: until then nobody has named it. */
  unnamed?: boolean
}
