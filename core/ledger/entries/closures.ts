/** What a bottle is closed with; wired holds pressure, crown some. */
export const CLOSURES = ['cork', 'screw', 'crown', 'wired', 'swing'] as const
/** What is taken from the store for each: what wires and swing tops are, no card says. */
export const CLOSURE_MATERIAL: Partial<Record<(typeof CLOSURES)[number], string>> = { cork: 'cork', screw: 'screw-cap', crown: 'crown-cap' }
export type Closure = (typeof CLOSURES)[number]
