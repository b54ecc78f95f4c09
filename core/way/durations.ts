import type { LotView } from '../ledger'

/** Days: earliest, likely, latest. */
export type Span = readonly [earliest: number, likely: number, latest: number]

/** What takes its own time on the way: a kit, or a wine by its colour. */
export type WayKind = LotView['style'] | 'kit'
export const wayKindOf = (lot: Pick<LotView, 'stream' | 'style'>): WayKind => (lot.stream === 'kit' ? 'kit' : lot.style)

/**
 * How long each step of the way takes after the one before, days; meant to hold in four cases of five. Our own: what the simulated
 * seasons of seeds 21 to 46 showed (tests/loop), where handbooks name none. `npm run bench -- loop` measures on other seeds how many
 * hold. What a lot's own readings and its forecast say goes before.
 */
export const SPANS = {
  pitched: { fresh: [0.6, 1.1, 2], frozen: [1.5, 3, 6], juice: [0.1, 1, 3], kit: [0, 0.5, 2], blend: [0, 1, 3], test: [0, 1, 2] },
  dry: { red: [8, 12, 19], rose: [9, 14, 21], white: [10, 15, 23] },
  pressed: { 'early': [-6, -3, -1], 'at-dryness': [-4, -2, -1], 'extended': [12, 20, 40] },
  'off-lees': [0.5, 2, 3],
  // Counted from the bacteria, or from when they are due.
  malolactic: {
    'with-yeast': [75, 110, 165],
    'on-skins': [31, 65, 95],
    'after-pressing': [38, 80, 122],
    'none': [0, 0, 0],
    'blocked': [0, 0, 0]
  },
  sulphited: [0, 0.5, 2],
  clear: { red: [98, 135, 200], rose: [79, 110, 160], white: [79, 125, 172], kit: [49, 97, 99] },
  // Counted from the day on which it has rested long enough: what is wanted of a test is asked for then.
  stable: { red: [-1, 1, 3], rose: [1, 4, 8], white: [-1, 6, 11], kit: [-1, 6, 11] },
  bottled: { red: [8, 11, 27], rose: [8, 36, 55], white: [7, 20, 53], kit: [3, 51, 57] },
  // Sugar goes in just before the bottle.
  sweetened: [0, 0, 0],
  'laid-down': [6, 6, 6],
  tasted: [60, 120, 240]
} as const satisfies Record<string, Span | Record<string, Span>>
