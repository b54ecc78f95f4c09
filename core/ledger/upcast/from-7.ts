import type { Upcast } from '.'

/**
 * Version 8 knows more answers to a task, what a packet holds, must that came sulphited, marbles and gas over a wine, a glass kept warm
 * with yeast, and how free SO₂ was read; what version 7 held reads the same.
 */
export const fromVersion7: Upcast = (older) => ({ ...older, version: 8 })
