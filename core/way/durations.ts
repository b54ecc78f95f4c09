import type { LotPlan, LotView } from '../ledger'

/** Days: earliest, likely, latest. */
export type Span = readonly [earliest: number, likely: number, latest: number]

/** What takes its own time on the way: a kit, or a wine by its colour. */
export type WayKind = LotView['style'] | 'kit'
export const wayKindOf = (lot: Pick<LotView, 'stream' | 'style'>): WayKind => (lot.stream === 'kit' ? 'kit' : lot.style)

/**
 * How long each step of the way takes after the one before, days; meant to hold in four cases of five. Our own: the spans that the simulated
 * seasons of seeds 21 to 26 showed (tests/loop), where handbooks name none. `npm run bench -- loop` measures on other seeds how many hold.
 * What a lot's own readings and its forecast say goes before.
 */
export const SPANS = {
  pitched: { fresh: [0.6, 1.1, 1.8], frozen: [1.5, 3, 6], juice: [0.1, 1, 3], kit: [0, 0.5, 2], blend: [0, 1, 3], test: [0, 1, 2] },
  dry: { red: [6, 10, 18], rose: [8, 15, 28], white: [9, 17, 32] },
  pressed: { 'early': [-6, -3, -1], 'at-dryness': [-3, -2, 0], 'extended': [12, 20, 40] },
  'off-lees': [1, 2, 4],
  malolactic: [31, 90, 125],
  sulphited: [0, 2, 10],
  clear: { red: [78, 132, 205], rose: [78, 128, 176], white: [78, 129, 176], kit: [47, 97, 144] },
  // Counted from the day on which it has rested long enough for the bottle.
  bottled: { red: [5, 11, 20], rose: [8, 36, 84], white: [6, 46, 57], kit: [1, 50, 98] },
  // Counted from the bottling: what is wanted of a test is asked for before it.
  stable: { red: [-20, -12, -8], rose: [-60, -36, -3], white: [-57, -45, -3], kit: [-57, -45, -3] },
  sweetened: [-20, -6, 0],
  'laid-down': [5, 6, 7],
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
