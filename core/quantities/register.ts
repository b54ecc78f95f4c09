/** What is read from a must or a wine. Adding one: a line here, a word in `app/wording/terms.ts`, its place in the fold. */
export const QUANTITY_NAMES = [
  'sg',
  'brix',
  'ph',
  'ta',
  'temperature',
  'freeSo2',
  'totalSo2',
  'malic',
  'volume',
  'yan',
  'sugar',
  'abv'
] as const
export type QuantityName = (typeof QUANTITY_NAMES)[number]

export interface Quantity {
  /** In which it is stored. */
  unit: string
  /** Outside min…max it cannot be, wherever it comes from: a screen, a file, a table or the API. */
  min: number
  max: number
  /** Outside the likely range it is asked about. */
  likelyMin: number
  likelyMax: number
  /** How far a home reading can be trusted when its instrument does not say, half-width; of a volume, the part of it. */
  spread: number
  /** What people type for it, on the quick line before the number. */
  aliases: readonly string[]
}

/** One entry for each quantity. Limits and spreads: common practice, no source. */
export const QUANTITIES: Record<QuantityName, Quantity> = {
  sg: { unit: 'SG', min: 0.98, max: 1.2, likelyMin: 0.988, likelyMax: 1.14, spread: 0.001, aliases: ['sg'] },
  brix: { unit: '°Brix', min: -5, max: 45, likelyMin: -3, likelyMax: 32, spread: 0.2, aliases: ['brix'] },
  ph: { unit: '', min: 2.5, max: 4.5, likelyMin: 2.8, likelyMax: 4.1, spread: 0.05, aliases: ['ph'] },
  ta: { unit: 'g/L', min: 0.5, max: 25, likelyMin: 3, likelyMax: 14, spread: 0.3, aliases: ['ta'] },
  temperature: { unit: '°C', min: -30, max: 250, likelyMin: 0, likelyMax: 38, spread: 0.5, aliases: ['temp', 'temperature'] },
  freeSo2: { unit: 'mg/L', min: 0, max: 300, likelyMin: 0, likelyMax: 100, spread: 5, aliases: ['free', 'fso2'] },
  totalSo2: { unit: 'mg/L', min: 0, max: 500, likelyMin: 0, likelyMax: 250, spread: 10, aliases: ['total'] },
  malic: { unit: 'g/L', min: 0, max: 15, likelyMin: 0, likelyMax: 8, spread: 0.1, aliases: ['malic'] },
  volume: { unit: 'L', min: 0.1, max: 100_000, likelyMin: 0.5, likelyMax: 5000, spread: 0.02, aliases: ['volume'] },
  yan: { unit: 'mg N/L', min: 0, max: 1000, likelyMin: 20, likelyMax: 500, spread: 20, aliases: ['yan'] },
  sugar: { unit: 'g/L', min: 0, max: 600, likelyMin: 0, likelyMax: 400, spread: 1, aliases: ['residual'] },
  abv: { unit: '% vol', min: 0, max: 25, likelyMin: 0, likelyMax: 17, spread: 0.3, aliases: ['alcohol', 'abv'] }
}

/** The quantity that a typed word stands for. */
export const quantityTyped = (word: string): QuantityName | undefined =>
  QUANTITY_NAMES.find((name) => QUANTITIES[name].aliases.includes(word))
