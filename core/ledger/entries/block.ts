import type { EntryOf } from '../entry'
import type { Folding } from '../fold/folding'
import type { BlockState } from '../state'
import { type EntryKind, NOTHING_TOUCHED } from './kind'

export const blockAdded: EntryKind<'block-added'> = {
  type: 'block-added',
  touches: () => NOTHING_TOUCHED,
  apply(folding, { blockId, name, style, variety, expectKg }) {
    const { samples, notes } = folding.cellar.blocks.get(blockId) ?? { samples: [], notes: [] }
    folding.put(folding.cellar.blocks, blockId, {
      id: blockId,
      name,
      style,
      samples: [...samples],
      notes: [...notes],
      ...(variety !== undefined && { variety }),
      ...(expectKg !== undefined && { expectKg })
    })
  }
}

/** The block to write to; what was noted of it before it was added waits there for its name. */
function blockOf(folding: Folding, { blockId }: EntryOf<'block-sampled'> | EntryOf<'block-noted'>): BlockState {
  return (
    folding.block(blockId)
    ?? folding.put(folding.cellar.blocks, blockId, { id: blockId, name: '', style: 'red', samples: [], notes: [], unnamed: true })
  )
}

export const blockSampled: EntryKind<'block-sampled'> = {
  type: 'block-sampled',
  touches: () => NOTHING_TOUCHED,
  apply: (folding, sample) => void blockOf(folding, sample).samples.push(sample)
}

export const blockNoted: EntryKind<'block-noted'> = {
  type: 'block-noted',
  touches: () => NOTHING_TOUCHED,
  apply: (folding, note) => void blockOf(folding, note).notes.push(note)
}
