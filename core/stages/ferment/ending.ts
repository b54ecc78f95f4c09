import { DAY_MS } from '../../units'
import { actualAlcohol, residualSugar } from '../../hydrometry'
import { type Dryness, type LotView, type Point, AGREE_SG, DRY_SG, drynessOf, fitsDry, sugarOf } from '../../ledger'

/** Where a ferment's end stands. */
export interface Ending {
  verdict: 'dry' | 'one-look' | 'falls-still' | 'near' | 'sweet'
  dryness?: Dryness
  /** By a test where there is one, else by gravity and alcohol: then good to about ±5 g/L. */
  sugarLeft?: { gPerL: number, measured: boolean }
  /** By the ledger's mass balance; and the methods, which hold only where nothing was added on the way. */
  abv?: { value: number, band: { low: number, high: number } }
  methods?: { code: 'factor131' | 'factor129' | 'oechsle75', abv: number }[]
}

/** From here on the end is worth a look, SG. */
const NEAR_SG = 1.004
/** Within what the formulas hold. */
const LOWEST_SG = 0.97
const HIGHEST_SG = 1.2
const HIGHEST_ABV = 20
const TEST_HOLDS_MS = 4 * DAY_MS

/**
 * Dry or not, with what it rests on; undefined while it is far from its end.
 * @param lot that ferments or has fermented
 */
export function endingOf(lot: LotView): Ending | undefined {
  const sg = lot.sg?.value
  const over = lot.alcoholic === 'stopped' || lot.alcoholic === 'stuck'
  if (lot.alcoholic === 'none' || sg === undefined || !(sg <= NEAR_SG || over || lot.alcoholic === 'dry')) return undefined
  const dryness = drynessOf(lot)
  const falling = dryness?.agreeing.length === 1 && wasHigher(lot, dryness.agreeing[0]!)
  const verdict = dryness?.proven
    ? 'dry'
    : falling ? 'falls-still' : dryness ? 'one-look' : over && sg > DRY_SG ? 'sweet' : 'near'
  // What nobody read is no ground for three decimals.
  const original = lot.originalSg?.origin === 'measured' ? lot.originalSg.value : undefined
  const untouched = original !== undefined && original > Math.max(sg, 1) && original <= HIGHEST_SG && !lot.changedSugarAt
  const methods = untouched ? actualAlcohol(original, Math.max(LOWEST_SG, sg)) : undefined
  const left = sugarLeft(lot, sg)
  const abv = lot.abv && { value: lot.abv.value, band: methods?.band ?? around(lot.abv.value, lot.abv.uncertainty) }
  return {
    verdict,
    ...(dryness && { dryness }),
    ...(left && { sugarLeft: left }),
    ...(abv && { abv }),
    ...(methods && { methods: (['factor131', 'factor129', 'oechsle75'] as const).map((code) => ({ code, abv: methods[code] })) })
  }
}

/** It was as low as wines end before, and has fallen on. */
const wasHigher = (lot: LotView, last: Point): boolean =>
  (lot.series.sg ?? []).some((p) => p.at < last.at && p.value - last.value > AGREE_SG && fitsDry(lot, p.value) !== 'sweet')

const around = (value: number, by: number) => ({ low: Math.max(0, value - by), high: value + by })

/** A test of days ago, before the last sugar went in, or of the must, says nothing of what is left. */
function sugarLeft(lot: LotView, sg: number): Ending['sugarLeft'] {
  const test = lot.others.sugar
  const lastLook = lot.series.sg?.at(-1)?.at
  const holds = test !== undefined
    && (lot.changedSugarAt === undefined || test.at >= lot.changedSugarAt)
    && (lastLook === undefined || Date.parse(lastLook) - Date.parse(test.at) <= TEST_HOLDS_MS)
  if (holds) return { gPerL: test.value, measured: true }
  const abv = lot.abv?.value
  if (abv === undefined || sg < LOWEST_SG || abv > HIGHEST_ABV) return undefined
  return { gPerL: lot.balance ? sugarOf(lot.balance) : residualSugar(sg, abv), measured: false }
}
