/** The steps between the fruit and the glass, in their order. */
export const WAY_STEPS = [
  'pitched',
  'dry',
  'pressed',
  'off-lees',
  'malolactic',
  'sulphited',
  'clear',
  'stable',
  'sweetened',
  'bottled',
  'laid-down',
  'tasted'
] as const
export type WayStepCode = (typeof WAY_STEPS)[number]
