import type { Upcast } from '.'

/** Version 9 knows steps that are put on a day, and plans that are kept under a name; what version 8 held reads the same. */
export const fromVersion8: Upcast = (older) => ({ ...older, version: 9 })
