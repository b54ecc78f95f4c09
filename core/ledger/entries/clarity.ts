/** How clear a wine is: in a glass against a torch, from not to be seen through to bright. Common practice, no source. */
export const CLARITIES = ['cloudy', 'hazy', 'nearly-clear', 'clear', 'bright'] as const
export type Clarity = (typeof CLARITIES)[number]
/** Nothing that racking or time would still take away. */
export const isClear = (clarity: Clarity): boolean => clarity === 'clear' || clarity === 'bright'
