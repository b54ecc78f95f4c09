import type { LotView } from '../ledger'

/** Days: earliest, likely, latest. */
export type Span = readonly [earliest: number, likely: number, latest: number]

/** What takes its own time on the way: a kit, or a wine by its colour. */
export type WayKind = LotView['style'] | 'kit'
export const wayKindOf = (lot: Pick<LotView, 'stream' | 'style'>): WayKind => (lot.stream === 'kit' ? 'kit' : lot.style)

/**
 * How long each step of the way takes after the one before, days; meant to hold in four cases of five. Our own: what the simulated
 * seasons of seeds 101 to 175 and 206 to 240 showed (ten scenarios of the loop), where handbooks name none. A seed is one nature of
 * wine for all scenarios, so that few seeds say little: shares over thirty of them differ by 0.06 from those over thirty others. Over
 * all 110: dry 0.84, sulphited and stable 0.82, clear 0.84. The malolactic was set over seeds 401 to 492, and held 0.83 over the 53 to
 * 545 that set nothing. Windows are whole days as they are shown; a step that comes within a day or two of the one before is held more
 * often, for no window is shorter: pitched 0.99, pressed 0.96, off its lees 0.90; and most reds are bottled on one of three days or
 * months later, so that no window of theirs holds between 0.72 and 0.90.
 * `npm run bench -- loop` measures other seeds. What a lot's own readings and its forecast say goes before.
 */
export const SPANS = {
  pitched: { fresh: [0.8, 1.1, 1.4], frozen: [1.5, 3, 6], juice: [0.1, 0.6, 1.1], kit: [0, 0.3, 0.6], blend: [0, 1, 3], test: [0, 1, 2] },
  dry: { red: [8.5, 12, 23], rose: [10, 14, 20.3], white: [11, 15, 25] },
  pressed: { 'early': [-6, -3, -1], 'at-dryness': [-2.5, -2, -1], 'extended': [12, 20, 40] },
  'off-lees': [0.5, 2, 3.5],
  // Counted from the bacteria, or from when they are due.
  malolactic: {
    'with-yeast': [32, 95, 162],
    'on-skins': [41, 85, 146],
    'after-pressing': [43, 80, 134],
    'none': [0, 0, 0],
    'blocked': [0, 0, 0]
  },
  sulphited: [-0.5, 1, 3],
  clear: { red: [84, 135, 192], rose: [78, 110, 141], white: [79, 125, 172], kit: [58, 97, 103] },
  // Counted from the day on which it has rested long enough: what is wanted of a test is asked for then.
  stable: { red: [0, 1, 1.8], rose: [1, 4, 8.4], white: [0.5, 6, 10.2], kit: [-1, 6, 11] },
  bottled: { red: [11.5, 13, 21], rose: [12, 36, 70], white: [10, 20, 40], kit: [5, 51, 56] },
  // Sugar goes in just before the bottle.
  sweetened: [0, 0, 0],
  'laid-down': [6, 6, 6],
  tasted: [60, 120, 240]
} as const satisfies Record<string, Span | Record<string, Span>>
