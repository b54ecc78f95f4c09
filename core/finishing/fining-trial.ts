import { within } from '../units'

export interface TrialGlass {
  /** g of the agent in a litre of wine. */
  rate: number
  stockMl: number
}

/**
 * Millilitres of a stock solution for each glass of a bench trial.
 * @param rates g/L of wine, 0 is the glass to compare with
 * @param stockGPerL strength of the stock solution
 * @param glassMl wine in each glass
 * @throws LimitError
 * @example finingTrial([0, 0.25, 0.5], 50, 100) // 0, 0.5 and 1 mL
 */
export function finingTrial(rates: readonly number[], stockGPerL: number, glassMl: number): { glasses: TrialGlass[] } {
  within('rates', rates.length, 1, 24)
  within('stockGPerL', stockGPerL, 0.1, 500)
  within('glassMl', glassMl, 5, 5000)
  return { glasses: rates.map((rate) => ({ rate, stockMl: (within('rate', rate, 0, 20) * glassMl) / stockGPerL })) }
}

/** A strength of stock solution with which the smallest rate can be pipetted: at least half a millilitre, g/L. */
export function stockFor(rates: readonly number[], glassMl: number, strengths: readonly number[] = [100, 50, 20, 10, 5, 2, 1]): number {
  const least = Math.min(...rates.filter((r) => r > 0))
  return strengths.find((g) => (least * glassMl) / g >= 0.5) ?? strengths.at(-1)!
}

/**
 * Rates for so many glasses: none, and from the least that is usual to the most, evenly.
 * @param glasses 2 or more
 * @example trialRates({ min: 0.25, max: 1 }, 4) // 0, 0.25, 0.63 and 1 g/L
 */
export function trialRates({ min, max }: { min: number, max: number }, glasses: number): number[] {
  const steps = within('glasses', glasses, 2, 24) - 1
  const rate = (i: number) => (steps === 1 ? max : min + ((max - min) * i) / (steps - 1))
  return [0, ...Array.from({ length: steps }, (_, i) => Number(rate(i).toPrecision(2)))]
}
