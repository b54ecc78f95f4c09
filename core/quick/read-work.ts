import { plain } from './lot-named'
import { INSTRUMENT_NAMES, MOVE_NAMES, OPERATION_NAMES, longest } from './names'
import type { Step } from './line'
import { whenSaid } from './when'
import { OBSERVATIONS } from './words'

/** What was smelled or tasted; the rest of the line belongs to it. */
export const observation: Step = ({ cursor, found }) => {
  const what = OBSERVATIONS[cursor.here]
  if (!what) return false
  const text = cursor.typed.slice(cursor.at + 1).join(' ') || cursor.typed[cursor.at]!
  found.observations.push({ what, text })
  cursor.at = cursor.words.length
  return true
}

export const time: Step = (reading) => {
  // "1/4 tsp" is no first of April.
  if (reading.cursor.amount(reading.cursor.at)) return false
  const said = whenSaid(reading.cursor.ahead, reading.context.now)
  if (!said) return false
  reading.when = { ...reading.when, ...said.when }
  reading.cursor.at += said.used
  return true
}

export const work: Step = ({ cursor, found }) => {
  const hit = longest(cursor.ahead, OPERATION_NAMES)
  if (!hit) return false
  found.operations.push(hit.hit.value)
  cursor.at += hit.used
  return true
}

export const move: Step = ({ cursor, found }) => {
  const hit = longest(cursor.ahead, MOVE_NAMES)
  if (!hit) return false
  found.move = { purpose: hit.hit.value }
  cursor.at += hit.used
  return true
}

/** Behind a move: what was left behind. */
export const lees: Step = ({ cursor, found }) => {
  if (!found.move || !/^(leaving|left|lost|lees)$/.test(cursor.here)) return false
  const amount = cursor.amount(cursor.at + 1)
  if (amount?.of !== 'volume') return false
  found.move.leesL = amount.value
  cursor.at += 1 + amount.used
  if (cursor.here === 'lees') cursor.at += 1
  return true
}

/** Behind a move: where it went. */
export const vessel: Step = ({ cursor, found, context }) => {
  if (!found.move) return false
  const hit = longest(cursor.ahead, context.vessels.map((v) => ({ name: plain(v.name), id: v.id })))
  if (!hit) return false
  found.move.toVesselId = hit.hit.id
  cursor.at += hit.used
  return true
}

/** An instrument by its own name; by its kind where there is only one of it. */
export const instrument: Step = ({ cursor, found, context }) => {
  const own = longest(cursor.ahead, context.instruments.map((i) => ({ name: plain(i.name), value: i.id })))
  const hit = own ?? longest(cursor.ahead, INSTRUMENT_NAMES)
  if (!hit) return false
  const ofKind = context.instruments.filter((i) => i.kind === hit.hit.value)
  if (own) found.instrumentId = own.hit.value
  else if (ofKind.length === 1) found.instrumentId = ofKind[0]!.id
  else found.unclear.push(cursor.typed.slice(cursor.at, cursor.at + hit.used).join(' '))
  cursor.at += hit.used
  return true
}
