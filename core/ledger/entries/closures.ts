/** What a bottle is closed with; wired holds pressure, crown some. */
export const CLOSURES = ['cork', 'screw', 'crown', 'wired', 'swing'] as const
export type Closure = (typeof CLOSURES)[number]
