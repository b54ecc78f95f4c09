import type { Foretold, ForetoldFigure } from '~~/core/score'

/** What the forecasts are held against: names, units and digits. */
export const SCORED: Record<ForetoldFigure, { name: string, unit: string, decimals: number }> = {
  'gravity': { name: 'Next gravity in a ferment', unit: 'SG', decimals: 3 },
  'free-so2': { name: 'Next free SO₂ of a wine', unit: 'mg/L', decimals: 0 },
  'ripe-brix': { name: 'Sugar of the next berry sample', unit: '°Brix', decimals: 1 },
  'ripe-ph': { name: 'pH of the next berry sample', unit: '', decimals: 2 },
  'ripe-ta': { name: 'TA of the next berry sample', unit: 'g/L', decimals: 1 }
}

/** A range as it was foretold. */
export function sayRange({ figure, low, high }: Foretold): string {
  const { decimals, unit } = SCORED[figure]
  return `${Math.max(0, low).toFixed(decimals)} to ${high.toFixed(decimals)}${unit && ` ${unit}`}`
}
export const sayCame = ({ figure, came }: Foretold): string => came.toFixed(SCORED[figure].decimals)
export const sayHeld = ({ held, came, low }: Foretold): string => (held ? 'in the range' : came < low ? 'below it' : 'above it')

/** What a tally says of the ranges: with so few it is luck. */
export function sayTally(count: number, held: number): string {
  const usual = count * 0.8
  const spread = 2 * Math.sqrt(count * 0.16)
  if (count < 10) return 'too few to judge'
  if (held < usual - spread) return 'fewer than there should be: do not rely on these ranges'
  return held > usual + spread ? 'more than there should be: the ranges are wider than they need to be' : 'as it should be'
}
