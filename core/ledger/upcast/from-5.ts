import type { Upcast } from '.'

/** Version 6 knows costs, prices, riddling and disgorging; what version 5 held reads the same. */
export const fromVersion5: Upcast = (older) => ({ ...older, version: 6 })
