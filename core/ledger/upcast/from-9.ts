import type { Upcast } from '.'

/** Version 10 knows how exactly a household reads; what version 9 held reads the same. */
export const fromVersion9: Upcast = (older) => ({ ...older, version: 10 })
