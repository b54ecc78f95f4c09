import type { Upcast } from '.'

/**
 * Version 7 knows cards of bottles and closures, heat and cold tests that were begun, how oak was made ready and the faults that were
 * tasted; what version 6 held reads the same.
 */
export const fromVersion6: Upcast = (older) => ({ ...older, version: 7 })
