import { quantityTyped } from '../quantities'
import { Cursor } from './cursor'
import type { QuickContext, QuickLine, Reading, Step } from './line'
import { lotNamed, secondLot } from './lot-named'
import { INSTRUMENT_NAMES, MOVE_NAMES, OPERATION_NAMES, PITCHED_NAMES, longest, namesOf } from './names'
import { material, pitched, weighed } from './read-additions'
import { named, number } from './read-readings'
import { instrument, lees, move, observation, time, vessel, work } from './read-work'
import { instantOf } from './when'
import { JOINING, OBSERVATIONS, SULPHITE } from './words'

/** In the order in which a word is tried. */
const STEPS: readonly Step[] = [observation, time, work, move, lees, vessel, instrument, named, weighed, pitched, material, number]

/**
 * Understands a typed line: a lot (or the vessel it is in), when it was, then readings, additions, work and moves in any order, then
 * what was smelled or tasted. Nothing is logged here; what was understood is shown first, and no word is dropped.
 * @param line as typed
 * @param context what there is in the cellar, the person's units and clock
 * @returns what was understood, and what was not
 * @example readQuickLine('tempranillo yesterday 12.4 brix 26C smells fine', context).readings // brix 12.4, temperature 26
 */
export function readQuickLine(line: string, context: QuickContext): QuickLine {
  const words = line.split(/\s+/).filter((w) => w !== '')
  const { lotIds, rest } = lotNamed(words, context, means)
  const second = secondLot(rest, lotIds, context.lots, (word) => word in OBSERVATIONS)
  const reading: Reading = {
    cursor: new Cursor(rest, context.gallon),
    found: { lotIds, readings: [], additions: [], pitched: [], operations: [], observations: [], unclear: [], unknown: [] },
    when: {},
    context,
    materials: namesOf(context.cards)
  }
  while (!reading.cursor.done) {
    if (!STEPS.some((step) => step(reading))) keepUnknown(reading)
  }
  const at = instantOf(reading.when, context.now)
  return { ...reading.found, ...(second !== undefined && { secondLot: second }), ...(at && { at }) }
}

/** A word that means nothing here is kept and said, unless it only joins others. */
function keepUnknown({ cursor, found }: Reading): void {
  if (!JOINING.has(cursor.here)) found.unknown.push(cursor.typed[cursor.at]!)
  cursor.at += 1
}

/** Whether a word has a meaning of its own, and so is no beginning of a lot's name in the middle of a line. */
const means = (word: string): boolean =>
  /^[-+.\d]/.test(word) ||
  [OPERATION_NAMES, PITCHED_NAMES, MOVE_NAMES, INSTRUMENT_NAMES].some((names) => longest([word], names)) ||
  word in OBSERVATIONS ||
  (SULPHITE as readonly string[]).includes(word) ||
  quantityTyped(word) !== undefined
