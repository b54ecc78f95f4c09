import { type Band, READING_UNCERTAINTY, predictAcids } from '../acids'
import { coldFor } from '../finishing'
import { BELIEVED_C, type LotView } from '../ledger'
import { type OwnCards, cardOf } from '../materials'
import { acidContextOf } from './acid-context'
import { hoursSince } from './stage'

const DAY_H = 24
/** Readings of the wine before it are no older than this, days, and those after it not sooner than this. Ours. */
const [BEFORE_D, AFTER_D] = [90, 5] as const
/** Where nobody knows its alcohol, % vol: an ordinary wine's. Ours. */
const USUAL_ABV = 12
/** The model knows cold between these, °C, and for so many weeks. */
const [COLDEST, WARMEST, MOST_WEEKS] = [-5, 20, 26] as const

type Against = 'as-foretold' | 'higher' | 'lower'
interface Compared {
  before: number
  foretold: number
  band: Band
  measured: number
  is: Against
}
export interface ColdCompared {
  chilledAt: string
  readAt: string
  celsius: number
  weeks: number
  ph?: Compared
  taGPerL?: Compared
  /** Something else moved its acids in between: what is compared tells nothing of the cold. */
  disturbed: boolean
}

/**
 * What the cold did to a wine against what was foretold: the last pH and TA before it was chilled, the model's of so cold and so long,
 * and the first that were read after it.
 * @returns undefined before there is anything to compare
 */
export function coldCompared(lot: LotView, cards?: OwnCards): ColdCompared | undefined {
  const chilledAt = lot.worked.get('chill')?.at
  if (!chilledAt) return undefined
  const around = (quantity: 'ph' | 'ta') => {
    const points = lot.series[quantity] ?? []
    const before = points.findLast((p) => p.at <= chilledAt && hoursSince(p.at, chilledAt) <= BEFORE_D * DAY_H)
    const after = points.find((p) => hoursSince(chilledAt, p.at) >= AFTER_D * DAY_H)
    return { before, after }
  }
  const [ph, ta] = [around('ph'), around('ta')]
  const readAt = [ph.after?.at, ta.after?.at].filter((at) => at !== undefined).sort()[0]
  if (!ph.before || !ta.before || !readAt) return undefined
  const context = acidContextOf(lot)
  const read = (lot.series.temperature ?? [])
    .filter((p) => p.at >= chilledAt && p.at <= readAt && p.value >= BELIEVED_C.min)
    .map((p) => p.value)
  const celsius = Math.min(WARMEST, Math.max(COLDEST, read.length > 0 ? Math.min(...read) : coldFor(context.abv ?? USUAL_ABV)))
  const weeks = Math.min(MOST_WEEKS, hoursSince(chilledAt, readAt) / (7 * DAY_H))
  const wine = { ...context, ph: ph.before.value, taGPerL: ta.before.value }
  if (wine.ph < 2.5 || wine.ph > 4.5 || wine.taGPerL < 2 || wine.taGPerL > 20) return undefined
  const { after } = predictAcids(wine, [{ kind: 'cold', celsius, weeks }])
  const since = [ph.before.at, ta.before.at].sort()[0]!
  return {
    chilledAt,
    readAt,
    celsius,
    weeks,
    disturbed: moved(lot, since, readAt, cards),
    ...(ph.after && { ph: compare(ph.before.value, after.ph, after.bands.ph, ph.after.value, READING_UNCERTAINTY.ph) }),
    ...(ta.after && {
      taGPerL: compare(ta.before.value, after.taGPerL, after.bands.taGPerL, ta.after.value, READING_UNCERTAINTY.taGPerL)
    })
  }
}

/** The reading after it has its own error: within it the band holds. */
function compare(before: number, foretold: number, band: Band, measured: number, error: number): Compared {
  const is = measured > band.high + error ? 'higher' : measured < band.low - error ? 'lower' : 'as-foretold'
  return { before, foretold, band, measured, is }
}

/** Acid, carbonate, water or another wine went in, or bacteria were at work. */
function moved(lot: LotView, from: string, to: string, cards?: OwnCards): boolean {
  const within = (at: string | undefined) => at !== undefined && at > from && at <= to
  const put = [...lot.putIn].some(([key, at]) => ['acid', 'carbonate', 'water'].includes(cardOf(key, cards)?.kind ?? '') && within(at))
  const turning = lot.bacteriaAt !== undefined && lot.bacteriaAt <= to && lot.malolactic !== 'done' && lot.malolactic !== 'not-wanted'
  const turned = lot.malolactic === 'done' && (within(lot.bacteriaAt) || within(lot.paper?.at) || within(lot.others.malic?.at))
  return put || turning || turned || lot.cameIn.some((c) => c.wine && within(c.at))
}
