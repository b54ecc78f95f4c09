import { type LotState, type LotView, drynessOf, isFermenting, isMust } from '../../ledger'
import { daysBetween, withinLimits } from '../../units'
import { type LadleReuse, type LeesReuse, type LeesSource, type LeesTarget, ladleReuse, leesReuse } from '../../yeast'

/** A smell is in the yeast of a lot for so long after it was smelled, days. Common practice, no source. */
const SMELT_DAYS = 10

export interface YeastOfLot<Reuse> { from: LotView, reuse: Reuse }

/**
 * Lots that have fermented, as the yeast of a must by their lees; the one that was dry last comes first.
 * @param now ISO UTC
 * @param potentialAbv of the must, % vol
 */
export const leesFor = (must: LotView, lots: readonly LotView[], now: string, potentialAbv?: number): YeastOfLot<LeesReuse>[] =>
  lots
    .filter((l) => l.id !== must.id && !isMust(l) && l.inoculatedAt !== undefined)
    .sort((a, b) => (drynessOf(b)?.first ?? '').localeCompare(drynessOf(a)?.first ?? ''))
    .flatMap((from) => {
      const dry = drynessOf(from)
      const source = {
        ...broughtBy(from, now),
        ended: endedAs(from, dry !== undefined),
        ...(dry && { daysDry: daysBetween(dry.first, now) }),
        ...(from.freeSo2 && { freeSo2MgPerL: from.freeSo2.value })
      }
      const reuse = withinLimits(() => leesReuse(source, targetOf(must, potentialAbv)))
      return reuse ? [{ from, reuse }] : []
    })

const RANK = { 'good': 0, 'with-care': 1, 'never': 2 } as const
/** Lots that are fermenting, as the yeast of a must by a jug of them; what nothing speaks against comes first. */
export const ladlesFor = (must: LotView, lots: readonly LotView[], now: string, potentialAbv?: number): YeastOfLot<LadleReuse>[] =>
  lots
    .filter((l) => l.id !== must.id && isFermenting(l) && l.volume.value > 0)
    .flatMap((from) => {
      const source = {
        ...broughtBy(from, now),
        heldL: from.volume.value,
        ...(from.originalSg && { originalSg: from.originalSg.value }),
        ...(from.sg && { sg: from.sg.value })
      }
      const reuse = withinLimits(() => ladleReuse(source, targetOf(must, potentialAbv)))
      return reuse ? [{ from, reuse }] : []
    })
    .sort((a, b) => RANK[a.reuse.verdict] - RANK[b.reuse.verdict])

const broughtBy = (from: LotView, now: string) => ({
  style: from.style,
  bacteria: from.bacteriaAt !== undefined,
  ...(from.abv && { abv: from.abv.value }),
  ...(from.smelt && daysBetween(from.smelt.at, now) < SMELT_DAYS && { smelt: from.smelt.smells })
})
const targetOf = (must: LotView, potentialAbv: number | undefined): LeesTarget => ({
  mustL: Math.max(1, must.volume.value),
  style: must.style,
  malolacticWanted: !['none', 'blocked'].includes(must.plan.malolactic),
  ...(potentialAbv !== undefined && { potentialAbv })
})

/** One that was read dry once and then left alone is dry for this question: its lees are old. */
const endedAs = (lot: LotState, dry: boolean): LeesSource['ended'] =>
  lot.alcoholic === 'stuck' || (lot.alcoholic === 'stopped' && !dry) ? 'stuck' : isFermenting(lot) ? 'fermenting' : 'dry'
