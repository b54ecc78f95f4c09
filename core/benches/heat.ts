import { fact } from '../drafts'
import { type HeatBalance, heatBalance, learnLoss } from '../fermentation'
import { gravityOf } from '../hydrometry'
import { isFermenting } from '../ledger'
import { airBeside, answeredSince, bandOfLot, believedTemperatures, expectedAt } from '../stages'
import { withinLimits, HOUR_MS } from '../units'
import { type Bench, type BenchContext, known, usual } from './bench'

/** A cellar of which nothing was read, °C: our own, a cool room of a house. */
const USUAL_ROOM_C = 16
/** Extract that goes for each gram of ethanol (Balling 1843). */
const EXTRACT_PER_ETHANOL = 2.0665
/** Fall of gravity by a gram of sugar in a litre, in the middle of a ferment. */
const SG_PER_GRAM = (gravityOf(220, 0) - gravityOf(20, 200 / EXTRACT_PER_ETHANOL)) / 200
/** Gravity at which a ferment has no sugar left that makes heat. */
const SG_OF_DRY = 0.99
/** Temperatures that a vessel's walls are learnt from, at least. */
const LOOKS_TO_LEARN = 3
/** Less than this is not worth a bottle of ice, or a heater: L a day, L once, W. Our own. */
const WORTH = { icePerDayL: 0.3, iceOnceL: 0.2, heaterW: 3 } as const

export type HeatNumber = 'volume' | 'pace' | 'must' | 'target' | 'room'
export interface HeatAnswer {
  balance?: HeatBalance | undefined
  /** Learnt from this vessel's own temperatures; the usual by its size is used where it is missing. */
  lossWPerK?: number | undefined
  /** What holds it where it should be. */
  holds?: 'ice' | 'heater' | 'nothing' | undefined
  /** What is to be done, of a ferment for which nobody said that it is being done. */
  wants?: 'cool' | 'warm' | undefined
  /** What somebody said to be doing. */
  doing?: { what: 'cool' | 'warm', since: string } | undefined
}

/** What the forecast expects it to ferment over the next day, g/L. */
function paceOf({ forecast, now }: BenchContext): number | undefined {
  const today = expectedAt(forecast, now)
  const tomorrow = expectedAt(forecast, new Date(Date.parse(now) + 24 * HOUR_MS).toISOString())
  return today && tomorrow ? Math.max(0, (today.mid - tomorrow.mid) / SG_PER_GRAM) : undefined
}

function lossOf({ lot, forecast }: BenchContext, roomC: number | undefined): number | undefined {
  if (!lot || !forecast || roomC === undefined) return undefined
  const began = Date.parse(forecast.startAt)
  const looks = believedTemperatures(lot).map((p) => ({ hours: (Date.parse(p.at) - began) / HOUR_MS, celsius: p.value }))
  if (looks.length < LOOKS_TO_LEARN) return undefined
  const sgAt = (hours: number) => expectedAt(forecast, new Date(began + hours * HOUR_MS).toISOString())?.mid ?? 1
  return withinLimits(() => learnLoss(looks, (h) => (sgAt(h) - SG_OF_DRY) / SG_PER_GRAM, roomC, lot.volume.value))
}

/** Ice or warmth for a vessel: the heat of its ferment at the pace of its forecast, against its walls as its own readings show them. */
export const heat: Bench<HeatNumber, object, HeatAnswer> = {
  choices: () => ({}),
  fill(context) {
    const { lot, cellar, now } = context
    if (!lot) return { room: usual(USUAL_ROOM_C) }
    const air = airBeside(lot, cellar.vessels, now)
    const warm = believedTemperatures(lot).at(-1)?.value
    const band = bandOfLot(lot, cellar.cards)
    const held = warm === undefined ? (band.min + band.max) / 2 : Math.min(band.max - 1, Math.max(band.min + 2, warm))
    const pace = paceOf(context)
    return {
      volume: known(lot.volume),
      must: warm === undefined ? undefined : { value: warm, origin: 'measured' },
      target: usual(held),
      room: air ? { value: air.value, origin: 'measured' } : usual(USUAL_ROOM_C),
      pace: pace === undefined ? undefined : { value: pace, origin: 'forecast' }
    }
  },
  answer({ volume, pace, must, target, room }, context) {
    const { lot, now } = context
    const lossWPerK = lossOf(context, room)
    const balance = volume === undefined || pace === undefined || must === undefined || target === undefined || room === undefined
      ? undefined
      : withinLimits(() => heatBalance({
          volumeL: volume,
          sugarGPerLDay: pace,
          celsius: must,
          targetC: target,
          roomC: room,
          ...(lossWPerK !== undefined && { lossWPerK })
        }))
    const [cool, warm] = [lot && answeredSince(lot, 'cool', now), lot && answeredSince(lot, 'warm', now)]
    const doing = cool ? { what: 'cool' as const, since: cool } : warm ? { what: 'warm' as const, since: warm } : undefined
    const holds = balance
      && (balance.iceLPerDay > WORTH.icePerDayL ? 'ice' : balance.heaterW > WORTH.heaterW ? 'heater' : 'nothing')
    const cools = holds === 'ice' || (balance && balance.iceLToBring > WORTH.iceOnceL)
    const wants = cools ? 'cool' : holds === 'heater' ? 'warm' : undefined
    return { balance, lossWPerK, holds, doing, wants: lot && isFermenting(lot) && !doing ? wants : undefined }
  },
  drafts: (_, { wants }, { lot }) => (wants ? [fact('operation', { lotId: lot.id, what: wants })] : [])
}
