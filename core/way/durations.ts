import type { LotView } from '../ledger'

/** Days: earliest, likely, latest. */
export type Span = readonly [earliest: number, likely: number, latest: number]

/** What takes its own time on the way: a kit, or a wine by its colour. */
export type WayKind = LotView['style'] | 'kit'
export const wayKindOf = (lot: Pick<LotView, 'stream' | 'style'>): WayKind => (lot.stream === 'kit' ? 'kit' : lot.style)

/**
 * How long each step of the way takes after the one before, days; meant to hold in four cases of five. Our own: what the simulated
 * seasons of seeds 101 to 130 showed (ten scenarios of the loop), where handbooks name none. A seed is one nature of wine for all
 * scenarios, so that few seeds say little: other seeds are measured by `npm run bench -- loop`. What a lot's own readings and its
 * forecast say goes before.
 */
export const SPANS = {
  pitched: { fresh: [0.6, 1.1, 2], frozen: [1.5, 3, 6], juice: [0.1, 1, 3], kit: [0, 0.5, 2], blend: [0, 1, 3], test: [0, 1, 2] },
  dry: { red: [8, 12, 23], rose: [10, 14, 22], white: [11, 15, 25] },
  pressed: { 'early': [-6, -3, -1], 'at-dryness': [-4, -2, -1], 'extended': [12, 20, 40] },
  'off-lees': [0.5, 2, 3],
  // Counted from the bacteria, or from when they are due.
  malolactic: {
    'with-yeast': [28, 95, 122],
    'on-skins': [48, 85, 124],
    'after-pressing': [46, 80, 124],
    'none': [0, 0, 0],
    'blocked': [0, 0, 0]
  },
  sulphited: [0, 0.5, 2],
  clear: { red: [84, 135, 212], rose: [79, 110, 175], white: [79, 125, 175], kit: [52, 97, 110] },
  // Counted from the day on which it has rested long enough: what is wanted of a test is asked for then.
  stable: { red: [-1, 1, 3], rose: [1, 4, 8], white: [-1, 6, 11], kit: [-1, 6, 11] },
  bottled: { red: [11, 12, 27], rose: [11, 36, 53], white: [11, 20, 52], kit: [3, 51, 56] },
  // Sugar goes in just before the bottle.
  sweetened: [0, 0, 0],
  'laid-down': [6, 6, 6],
  tasted: [60, 120, 240]
} as const satisfies Record<string, Span | Record<string, Span>>
