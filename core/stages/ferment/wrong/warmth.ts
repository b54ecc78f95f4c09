import { standsOf } from '../../../ledger'
import type { LotView } from '../../../ledger'
import { type CellarView, hoursSince } from '../../stage'
import { airBeside } from '../air'
import { bandOfLot } from '../ask'
import { believedTemperatures } from '../doubted'
import type { Found } from './says'

/** Yeast dies from about here on, °C (common practice, no source). */
const DEADLY_C = 35
/** What was read so long ago is no news of a ferment, h: it is asked to be read instead. Ours. */
const TELLS_H = 36
/** So much between two looks of a day or so is no mood of the cellar. */
const MOVES = { byC: 4, withinH: 36 } as const

/** A degree below its band slows a ferment and stops none, and a thermometer is off by half of that. Ours, °C. */
const COLD_EDGE_C = 1.5

/** What was cooled or warmed is read again after so long, h: when a frozen bottle has melted, sooner where yeast would die. Ours. */
const READ_AGAIN_H = { usual: 4, deadly: 1 } as const

/** What is done about each. */
const ANSWERED_BY: Partial<Record<Found['code'], 'cool' | 'warm'>> = {
  'too-hot': 'cool',
  'temperature-rises': 'cool',
  'too-cold': 'warm',
  'temperature-falls': 'warm'
}

/** Too hot, too cold, or moving faster than a cellar does. What was answered is to be read again, not done again. */
export function warmth(lot: LotView, cellar: CellarView, now: string): Found[] {
  return offBand(lot, cellar, now).map((found): Found => {
    const what = ANSWERED_BY[found.code]
    if (!what) return found
    const since = answeredSince(lot, what, now)
    if (since === undefined) return { ...found, logs: [{ type: 'operation', lotId: lot.id, what }] }
    const again = found.urgency === 'stop' ? READ_AGAIN_H.deadly : READ_AGAIN_H.usual
    const urgency = hoursSince(since, now) < again ? 'note' : 'now'
    const read = believedTemperatures(lot).at(-1)!
    return { code: 'temperature-awaited', key: `awaited:${what}:${since}`, what, celsius: read.value, urgency, evidence: [read.entryId] }
  })
}

/** When it was cooled or warmed of late; undefined once its temperature was read after that. */
export function answeredSince(lot: LotView, what: 'cool' | 'warm', now: string): string | undefined {
  const at = lot.worked.get(what)?.at
  const read = believedTemperatures(lot).at(-1)?.at
  return at !== undefined && hoursSince(at, now) <= TELLS_H && (read === undefined || at >= read) ? at : undefined
}

/** Outside its band or on the way there, with what the room beside it has. */
function offBand(lot: LotView, cellar: CellarView, now: string): Found[] {
  const series = believedTemperatures(lot)
  const last = series.at(-1)
  if (!last || hoursSince(last.at, now) > TELLS_H) return []
  const evidence = [last.entryId]
  const { min, max } = bandOfLot(lot, cellar.cards)
  const found: Found[] = []
  const deadly = last.value >= DEADLY_C
  // What has come to a stand is warmed or restarted, and cooled by nobody.
  const standing = standsOf(lot)
  const stands = standing?.proven === true && standing.fits !== 'dry'
  if (last.value > max + 0.5 && (deadly || !stands))
    found.push({ code: 'too-hot', key: `too-hot:${deadly}`, celsius: last.value, max, deadly, urgency: deadly ? 'stop' : 'now', evidence })
  const before = series.findLast((p) => p !== last && hoursSince(p.at, last.at) >= 6)
  const air = airBeside(lot, cellar.vessels, now)
  const moved = before && hoursSince(before.at, last.at) <= MOVES.withinH ? last.value - before.value : 0
  const told = before && {
    from: before.value,
    to: last.value,
    ...(air && { roomC: air.value }),
    urgency: 'now' as const,
    evidence: [before.entryId, last.entryId, ...(air ? [air.entryId] : [])]
  }
  // Where the room is known to be warmer than the must it is not the room that cools it.
  if (told && moved <= -MOVES.byC && !(air && air.value > last.value + 1))
    found.push({ code: 'temperature-falls', key: `falls:${last.entryId}`, ...told })
  else if (told && moved >= MOVES.byC && air && air.value > last.value && last.value > max - 1)
    // Yeast warms its must too, but not to a room that is warmer still.
    found.push({ code: 'temperature-rises', key: `rises:${last.entryId}`, ...told })
  else if (last.value < min - COLD_EDGE_C && !stands)
    found.push({ code: 'too-cold', key: 'too-cold', celsius: last.value, min, urgency: 'soon', evidence })
  return found
}
