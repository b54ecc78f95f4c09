import { type EntryKind, NOTHING_TOUCHED } from './kind'

export const blockAdded: EntryKind<'block-added'> = {
  type: 'block-added',
  touches: () => NOTHING_TOUCHED,
  apply(folding, { blockId, name, style, variety, expectKg }) {
    folding.put(folding.cellar.blocks, blockId, {
      id: blockId,
      name,
      style,
      samples: [],
      notes: [],
      ...(variety !== undefined && { variety }),
      ...(expectKg !== undefined && { expectKg })
    })
  }
}

export const blockSampled: EntryKind<'block-sampled'> = {
  type: 'block-sampled',
  touches: () => NOTHING_TOUCHED,
  apply: (folding, sample) => void folding.block(sample.blockId)?.samples.push(sample)
}

export const blockNoted: EntryKind<'block-noted'> = {
  type: 'block-noted',
  touches: () => NOTHING_TOUCHED,
  apply: (folding, note) => void folding.block(note.blockId)?.notes.push(note)
}
