import type { Upcast } from '.'

/** Version 3 knows plans besides; what version 2 held reads the same. */
export const fromVersion2: Upcast = (older) => ({ ...older, version: 3 })
