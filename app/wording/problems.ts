import type { CameraProblem } from '~/data/air'
import type { Likelihood } from '~~/core/quantities'
import type { Fact, LedgerProblem, ReadingQuantity } from '~~/core/ledger'
import type { QuantityKind, QuantityProblem, Unit } from '~~/core/units'
import type { StorageError } from '~/data/cellar-storage'
import type { FileProblem } from '~/data/cellar-file'
import type { Issue } from '~/data/draft-issues'
import type { Competing, Doubt } from '~/data/review'
import { sayLongDay } from './days'
import { QUANTITY, QUANTITY_UNIT } from './terms'

/** What is wrong with something typed, in one sentence that says what to do. */
export function sayQuantityProblem(problem: QuantityProblem, kind: QuantityKind): string {
  switch (problem.code) {
    case 'empty':
      return 'This is needed.'
    case 'not-a-number':
      return `“${problem.text}” is not a number. Write it like 12.4 or 12,4.`
    case 'unknown-unit':
      return problem.known.length > 0
        ? `“${problem.unit}” is not a unit for this. Use ${problem.known.join(', ')}.`
        : `Write the number alone, without “${problem.unit}”.`
    case 'which-gallon':
      return 'Which gallon? Write “US gal” (3.785 L) or “imp gal” (4.546 L).'
    case 'too-few-digits':
      return kind === 'sugar'
        ? `“${problem.text}” is too coarse for a gravity. Read three decimals, like 1.092, or type 1092.`
        : `“${problem.text}” has too few digits.`
  }
}

const shown = (quantity: ReadingQuantity, value: number): string =>
  quantity === 'sg' ? value.toFixed(3) : `${Number(value.toPrecision(4))} ${QUANTITY_UNIT[quantity] ?? ''}`.trim()

/** Why a reading is asked about or refused. */
export function sayLikelihood(quantity: ReadingQuantity, value: number, likelihood: Exclude<Likelihood, { verdict: 'fine' }>): string {
  const name = quantity === 'ph' || quantity === 'ta' ? QUANTITY[quantity] : `A ${QUANTITY[quantity]} of`
  const percent = quantity === 'ta' && value < 1.6 ? ' If your kit reads in per cent, multiply by ten.' : ''
  return likelihood.verdict === 'refuse'
    ? `${name} ${shown(quantity, value)} is not possible. It must be between ${shown(quantity, likelihood.min)} and `
      + `${shown(quantity, likelihood.max)}.${percent}`
    : `${name} ${shown(quantity, value)} is unusual.${percent} Is it correct?`
}

/** A number that must be in another unit than its field's. */
export const sayMeant = (typed: string, unit: Unit): string =>
  `${typed} ${unit === 'SG' ? 'is no gravity' : `is not likely in ${unit}`}. Is it in another unit?`

/** An addition far beyond the usual. */
export const sayOverUsual = (name: string, unit: string, { perL, most }: { perL: number, most: number }): string =>
  `That is ${Number(perL.toPrecision(2))} ${unit} of ${name} in a litre; ${Number(most.toPrecision(2))} is the usual maximum. Did a `
    + 'digit slip?'

export function sayStorageProblem(error: StorageError): string {
  switch (error.problem) {
    case 'full':
      return 'The browser’s storage is full, so this was not saved. Nothing stored was lost. Export the cellar, then free some space.'
    case 'blocked':
      return 'This browser does not let Presk store anything here (a private window, perhaps). What you enter now is lost when the tab '
        + 'closes.'
    case 'held':
      return 'Another tab has the cellar open with an older version of Presk. Close that tab, and this one continues by itself.'
    case 'cleared':
      return 'The browser had cleared this cellar while the page was open. Presk has written all of it back. Export it now: the browser '
        + 'may clear it again.'
    case 'worker':
      return 'Part of Presk stopped working and was started again. Check the last entry in the history: what you typed is still in its '
        + 'form, and may not have been saved.'
    case 'stopped':
      return 'You stopped this, and nothing was saved.'
    case 'other':
      return `Presk could not ${error.operation}. Nothing stored was lost. Try again, and export the cellar if it happens twice.`
  }
}

/** Why a camera shows nothing. */
export const CAMERA_PROBLEM: Record<CameraProblem, string> = {
  'insecure': 'Browsers allow the camera only on a secure page (https), or on this computer itself. Copy a file across instead.',
  'not-allowed': 'Presk may not use the camera. Allow it for this page in your browser’s settings, then try again.',
  'none': 'This device has no camera that the browser can use. Copy a file across instead.',
  'other': 'The camera did not start. Another program may be using it. Close that, and try again.'
}

export function sayFileProblem(problem: FileProblem): string {
  switch (problem.code) {
    case 'too-large':
      return `This file has ${Math.round(problem.bytes / 1e6)} MB; the largest Presk reads is ${Math.round(problem.limitBytes / 1e6)} MB.`
    case 'not-json':
      return 'This is not a whole cellar file. It may have been cut short on its way here.'
    case 'foreign':
      return 'This file was not written by Presk: it does not say “presk-cellar”.'
    case 'newer':
      return `This file has format ${problem.version}, from a newer Presk. Update this one first.`
    case 'damaged':
      return `This file is damaged: ${problem.place} `
        + `${problem.reason}.${problem.count > 1 ? ` ${problem.count - 1} more ${problem.count === 2 ? 'place' : 'places'} like it.` : ''}`
  }
}

export function sayLedgerProblem(problem: LedgerProblem): string {
  switch (problem.code) {
    case 'unknown-lot':
      return 'An entry speaks of a lot that is not in this cellar.'
    case 'unknown-vessel':
      return 'An entry speaks of a vessel that is not in this cellar.'
    case 'vessel-taken':
      return 'A vessel was filled while another lot was in it.'
    case 'overfull':
      return `A vessel of ${problem.capacityL} L would hold ${problem.litres.toFixed(1)} L.`
    case 'brim-full':
      return `That fills a vessel to the brim and ${problem.overL < 0.095 ? 'a little' : `${problem.overL.toFixed(1)} L`} over. Take some `
        + 'out first.'
    case 'more-out-than-in':
      return `${problem.outL.toFixed(1)} L were moved out of a vessel that held ${problem.heldL.toFixed(1)} L.`
    case 'contradicts':
      return `${QUANTITY[problem.quantity] === 'pH' ? 'pH' : QUANTITY[problem.quantity].replace(/^./, (c) => c.toUpperCase())} read as `
        + `${shown(problem.quantity, problem.measured)}, but Presk expected ${shown(problem.quantity, problem.estimated)}. The reading `
        + 'counts. Check the instrument, and what went in.'
    case 'sulphite-in-malolactic':
      return 'Sulphite went in during malolactic, which may stop. Stir up the lees, keep the wine at 20 °C, and measure malic '
        + 'acid in a week.'
    case 'more-bottles-than-there':
      return `${problem.count} bottles cannot leave the store: ${problem.there} of that size are there.`
    case 'started-twice':
      return 'A lot was started twice. Presk uses the first start.'
    case 'before-start':
      return 'An entry is dated before its lot began '
        + `(${sayLongDay(problem.startedAt)}). Move the start back, or correct its time.`
    case 'ferments-by-itself':
      return `The gravity fell by ${problem.fell.toFixed(3)} without yeast.`
    case 'brix-in-ferment':
      return `${problem.brix} °Brix were read in a ferment, without naming the instrument. A refractometer reads too high once `
        + 'there is alcohol.'
    case 'expected-volume':
      return `${problem.outL.toFixed(1)} L left where only ${problem.heldL.toFixed(1)} were expected. Presk uses the volume moved and `
        + `calculates the rest from it.`
    case 'unknown-block':
      return 'A sample or a note belongs to a vineyard block that is not in this cellar.'
    case 'unknown-instrument':
      return 'A check belongs to an instrument that is not in this cellar.'
    case 'unknown-supply':
      return 'A count belongs to a package that was not in the store at that time.'
    case 'nothing-there':
      return 'This lot holds no wine, so nothing can go into it. Did you mean another lot?'
    case 'correction-odd':
      return `With the correction from the last instrument check, a reading of ${shown(problem.quantity, problem.shown)} would become `
        + `${problem.corrected === undefined ? 'impossible' : shown(problem.quantity, problem.corrected)}. Presk uses it as you typed it: `
        + 'look at that check.'
    case 'cannot-derive':
      return 'Presk could not work with one entry and left it out. Everything else is counted. Correct the entry, or delete it.'
    case 'cannot-compute':
      return `A reading (${problem.value}) is outside the range Presk can calculate with, and was left out.`
  }
}

/** What the ledger's schema says of a field, as a sentence. */
export const sayIssue = ({ reason }: Issue): string =>
  `It ${reason}${/[.!?]$/.test(reason) ? '' : '.'}`

/** Something in a file that would change or contradict what is here. */
/** @param say a fact as a sentence, with its day */
export function sayDoubt(doubt: Doubt, say: (fact: Fact) => string): string {
  switch (doubt.code) {
    case 'differs':
      return 'An entry already here with different contents'
    case 'second-start':
      return `A second start of a lot already here: ${doubt.name}`
    case 'second-vessel':
      return `A vessel already here, added again: ${doubt.name}`
    case 'unknown-lot':
      return 'An entry of a lot that is neither here nor in the file'
    case 'corrects':
      return sayChange(doubt.change, say)
  }
}

function sayChange({ here, struckHere, becomes, ownAt, counts }: Competing, say: (fact: Fact) => string): string {
  const was = `“${say(here)}”${struckHere ? ' (deleted here)' : ''}`
  const what = becomes === null ? `Deletes ${was}.` : `Changes ${was} to “${say(becomes)}”.`
  if (ownAt === undefined) return what
  return counts
    ? `${what} You corrected this entry too, on ${sayLongDay(ownAt)}; theirs is later and replaces yours.`
    : `${what} You corrected this entry later, on ${sayLongDay(ownAt)}: yours stays.`
}
