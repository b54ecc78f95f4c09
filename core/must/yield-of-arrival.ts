import { assertNever } from '../units'
import { yieldOfFruit, yieldOfVolume } from './yield'

export interface ArrivalYield {
  /** The liquid that doses act on, L, with the band it will lie in. */
  juice: { value: number, low: number, high: number }
  wine: { low: number, high: number }
  /** What the fermenter must hold: juice and skins together where there are skins. */
  mustL: number
}

export type ArrivalStream = 'fresh' | 'frozen' | 'juice' | 'kit' | 'test'

/** Spread of the juice around its middle, as a part: fruit and press decide for grapes, pails are marked. Common practice, no source. */
const JUICE_SPREAD = { fruit: 0.15, pails: 0.03 } as const

/**
 * Juice and wine to expect from what arrives, each with a band; the measured volume replaces it later.
 * @param stream what arrives; crushed: fresh fruit that nobody weighed, as must with its skins
 * @param style reds ferment on their skins
 * @param onSkins of frozen must: whether the skins are in the pails; a red's are unless it is said
 * @param perKg L of wine off the skins for each kg, where this cellar's own fruit says it
 * @param amount kg of fruit for fresh grapes and test ferments, else L (kits: after watering)
 * @throws LimitError
 * @example yieldOfArrival('fresh', 'red', 118).juice // 76.7, from 65 to 88 L
 */
export function yieldOfArrival(
  stream: ArrivalStream | 'crushed',
  style: 'red' | 'rose' | 'white',
  amount: number,
  onSkins = style === 'red',
  perKg?: readonly [low: number, likely: number, high: number]
): ArrivalYield {
  switch (stream) {
    case 'fresh':
    case 'test': {
      const of = yieldOfFruit(amount, stream === 'test' ? 'red' : style)
      const known = perKg && { value: amount * perKg[1], low: amount * perKg[0], high: amount * perKg[2] }
      const more = known ? known.value / of.juiceL : 1
      return {
        juice: known ?? band(of.juiceL, JUICE_SPREAD.fruit),
        wine: { low: of.wineLowL * more, high: of.wineHighL * more },
        mustL: style === 'red' || stream === 'test' ? of.mustL : of.juiceL
      }
    }
    case 'crushed':
    case 'frozen': {
      if (stream === 'frozen' && !onSkins) return yieldOfArrival('juice', style, amount)
      const { wineLowL, wineHighL } = yieldOfVolume(amount, 'skins')
      const juiceL = (wineLowL + wineHighL) / 2
      return {
        juice: band(juiceL, JUICE_SPREAD.fruit),
        wine: { low: wineLowL, high: wineHighL },
        // Fresh white grapes are pressed first, and only their juice needs a fermenter.
        mustL: stream === 'crushed' && style !== 'red' ? juiceL : amount
      }
    }
    case 'juice':
    case 'kit': {
      const of = yieldOfVolume(amount, stream)
      return { juice: band(amount, JUICE_SPREAD.pails), wine: { low: of.wineLowL, high: of.wineHighL }, mustL: amount }
    }
    default:
      return assertNever(stream)
  }
}

/** Whether what arrives lies on its skins, and so is pressed after its ferment. */
export const arrivesOnSkins = (stream: ArrivalStream | 'blend', style: 'red' | 'rose' | 'white', onSkins = style === 'red'): boolean =>
  stream === 'test' || (stream === 'fresh' && style === 'red') || (stream === 'frozen' && onSkins)

const band = (value: number, spread: number) => ({ value, low: value * (1 - spread), high: value * (1 + spread) })
