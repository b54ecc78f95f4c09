/** Gas in a wine: half a jar of it shaken under the thumb or a lid, opened at once. Common practice, no source. */
export const GASES = ['none', 'sigh', 'puff'] as const
export type Gas = (typeof GASES)[number]
