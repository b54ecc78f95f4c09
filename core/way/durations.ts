import type { LotPlan } from '../ledger'

/** Days: earliest, likely, latest. */
export type Span = readonly [earliest: number, likely: number, latest: number]

/**
 * How long each step of the way takes after the one before, in days, four times in five. Common practice, no source; how often these
 * windows hold is measured by `npm run bench -- loop`. What a lot's own readings and its forecast say goes before.
 */
export const SPANS = {
  pitched: { fresh: [0.6, 1.2, 4], frozen: [1.5, 3, 6], juice: [0.1, 1, 3], kit: [0, 0.5, 2], blend: [0, 1, 3], test: [0, 1, 2] },
  dry: { red: [6, 10, 18], rose: [8, 15, 28], white: [9, 17, 32] },
  pressed: { 'early': [-4, -2, 0], 'at-dryness': [-2, 1, 5], 'extended': [12, 20, 40] },
  'off-lees': [1, 3, 6],
  malolactic: [26, 55, 125],
  sulphited: [0, 2, 10],
  clear: [32, 75, 150],
  stable: [6, 16, 40],
  'laid-down': [3, 4, 8],
  tasted: [60, 120, 240]
} as const satisfies Record<string, Span | Record<string, Span>>

/** Bacteria that go in with the yeast or on the skins end sooner after it. */
export const EARLIER: Record<LotPlan['malolactic'], number> = {
  'with-yeast': 0.6,
  'on-skins': 0.8,
  'after-pressing': 1,
  'none': 0,
  'blocked': 0
}
