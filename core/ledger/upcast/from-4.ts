import type { Upcast } from '.'

/** Version 5 knows retired vessels, the care of barrels, gas in a wine and how a wine was moved; what version 4 held reads the same. */
export const fromVersion4: Upcast = (older) => ({ ...older, version: 5 })
