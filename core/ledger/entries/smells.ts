/** What a ferment smells of, by a tap: nothing wrong, and what each fault smells of. */
export const SMELLS = ['clean', 'bread', 'fruit', 'rotten-egg', 'vinegar', 'nail-varnish', 'other'] as const
export type Smell = (typeof SMELLS)[number]
