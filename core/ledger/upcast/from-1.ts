import type { Upcast } from '.'

/** Version 2 knows blocks, arrivals and supplies besides; what version 1 held reads the same. */
export const fromVersion1: Upcast = (older) => ({ ...older, version: 2 })
