/** What a wine can have that spoils it, by what it tastes or looks like: the names of the trade. */
export const FAULTS = [
  'oxidised',
  'volatile',
  'ethyl-acetate',
  'reduced',
  'brett',
  'cork-taint',
  'mousy',
  'geranium',
  'sulphite',
  'prickle',
  'haze',
  'crystals',
  'bitter',
  'green',
  'cooked',
  'thin'
] as const
export type Fault = (typeof FAULTS)[number]
