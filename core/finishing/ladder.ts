import { within } from '../units'

/** Sugar in a millilitre of a syrup of equal weights of sugar and water, g: 50 °Brix by ICUMSA SPS-4, density 1.230. */
const SYRUP_G_PER_ML = 0.615
/** From dry to sweet, g/L: common practice, no source. */
const STEPS = [0, 5, 10, 15, 20, 30, 40] as const

/**
 * Glasses of a trial from dry to sweet: millilitres of syrup into each.
 * @param glassMl wine in each glass
 * @throws LimitError
 * @example sweetLadder(100)[2] // { gPerL: 10, syrupMl: 1.6 }
 */
export const sweetLadder = (glassMl: number): { gPerL: number, syrupMl: number }[] =>
  STEPS.map((gPerL) => ({ gPerL, syrupMl: (gPerL * within('glassMl', glassMl, 5, 5000)) / 1000 / SYRUP_G_PER_ML }))
