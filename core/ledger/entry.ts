import type { z } from 'zod'
import type {
  cellarFileSchema,
  entrySchema,
  factSchema,
  packetStepSchema,
  readingQuantitySchema,
  streamSchema,
  styleSchema
} from './schema'

/** One line of the ledger. */
export type Entry = z.infer<typeof entrySchema>
/** An entry that tells of something that happened, so anything but a correction. */
export type Fact = z.infer<typeof factSchema>
export type EntryOf<T extends Entry['type']> = Extract<Entry, { type: T }>
export type CellarFile = z.infer<typeof cellarFileSchema>
export type Style = z.infer<typeof styleSchema>
export type Stream = z.infer<typeof streamSchema>
export type PacketStep = z.infer<typeof packetStepSchema>
export type ReadingQuantity = z.infer<typeof readingQuantitySchema>
/** What is written of an entry before it gets its id, device and instant of writing. */
export type Draft<E extends Entry = Entry> = E extends Entry ? Omit<E, 'id' | 'device' | 'written' | 'at'> & { at?: string } : never
