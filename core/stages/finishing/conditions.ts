import { type Clarity, type LotView, DRY_PROOF_H, DRY_SG, drynessOf, isFermenting, isWine, keptAt, molecularOf } from '../../ledger'
import { SORBIC_LEAST, SORBIC_SHARE } from '../../finishing'
import { TOLD_WITHIN } from '../../sulphite'
import type { Action } from '../../findings'
import { isOnSkins } from '../skins'
import { SMELT_STANDS_H, faultOf } from '../smelt'
import { hoursSince } from '../stage'

export const CONDITIONS = [
  'stable-gravity',
  'malic-settled',
  'off-lees',
  'clear',
  'gas-out',
  'protein',
  'cold',
  'sulphite',
  'sulphite-for-bottle',
  'sulphite-low-enough',
  'sweetness-held',
  'no-malolactic-with-sorbate',
  'sorbate-may',
  'no-sorbate',
  'alcohol-for-yeast',
  'acids-known',
  'sound'
] as const
export type ConditionCode = (typeof CONDITIONS)[number]

/** One condition before a step, with what it rests on and the way to settle it. */
export interface Condition {
  code: ConditionCode
  state: 'met' | 'not-met' | 'unknown'
  /** Why, where there is more than one way to be so. */
  because?: string
  /** Figures that the words name. */
  value?: number
  wanted?: number
  /** When what it rests on was seen. */
  at?: string
  evidence: readonly string[]
  settle?: Action
}

/** Sulphite that the air picked up at bottling takes, mg/L free: common practice, no source. */
export const BOTTLING_RESERVE = 10
/** Sugar that yeast could take, by gravity, above which a wine is sweet. */
const SWEET_SG = 0.998
/** What moved up to its last reading may stand by now, h: a ferment's end, and no reading since. Ours. */
const NEWS_H = 14 * 24
/** Two gravities agree within this (craft 3.7). */
const AGREE_SG = 0.0012
/** Gas has gone by itself after so long, h: common practice, no source. */
const GAS_GONE_H = 26 * 168
/** Yeast in a bottle begins below these: common practice, no source. */
const YEAST_CAN = { abv: 12.5, molecular: 0.5 } as const
/** So many days of real cold count as cold stabilised, craft 3.11. */
const COLD_DAYS = 7
/** Sorbic acid that still counts, mg/L: the least dose, less what scales and volumes are off. */
const SORBIC_HOLDS = 0.8 * SORBIC_LEAST
const CLEAR: readonly Clarity[] = ['clear', 'bright']

type Judge = (lot: LotView, now: string) => Omit<Condition, 'code'>
const look = (lot: LotView): Action => ({ to: 'lot', lotId: lot.id, log: 'note' })
const measure = (lot: LotView): Action => ({ to: 'measure', lotId: lot.id })
const met = (evidence: readonly string[] = [], more: Partial<Condition> = {}) => ({ state: 'met' as const, evidence, ...more })

/** How each condition is judged from a lot. What nobody looked at is not known, and never taken for good. */
export const JUDGES: Record<ConditionCode, Judge> = {
  'stable-gravity': (lot, now) => {
    if (isFermenting(lot) || !isWine(lot))
      return { state: 'not-met', because: 'ferments', evidence: lot.sg?.from ?? [], settle: measure(lot) }
    const dry = drynessOf(lot)
    const read = lot.series.sg ?? []
    const last = read.at(-1)
    // What was read since and is not dry counts: sugar that went in, or a ferment that began again.
    const stands = !last || last.value <= DRY_SG || (dry?.by === 'sugar' && last.at <= dry.since)
    if (dry?.proven && stands) {
      const from = dry.agreeing.map((p) => p.entryId)
      return met(from, { because: 'dry', at: dry.since })
    }
    const earlier = last && read.findLast((p) => hoursSince(p.at, last.at) >= DRY_PROOF_H)
    if (!last || !earlier) return { state: 'unknown', evidence: last ? [last.entryId] : [], settle: measure(lot) }
    const same = Math.abs(earlier.value - last.value) <= AGREE_SG
    const evidence = [earlier.entryId, last.entryId]
    if (same) return met(evidence, { because: 'sweet', value: last.value, at: last.at })
    const about = { at: last.at, evidence, settle: measure(lot) }
    return hoursSince(last.at, now) <= NEWS_H ? { state: 'not-met', because: 'moves', ...about } : { state: 'unknown', ...about }
  },
  'malic-settled': (lot) => {
    const { malolactic } = lot
    const from = [...(lot.others.malic?.from ?? []), ...(lot.paper ? [lot.paper.entryId] : [])]
    if (malolactic === 'done') return met(from, { because: 'done' })
    if (malolactic !== 'not-wanted')
      return { state: 'not-met', because: malolactic, evidence: from, settle: { to: 'malolactic', lotId: lot.id } }
    if (lot.stream === 'kit') return met(from, { because: 'kit' })
    // Kept from it: by sulphite at its level. What nobody knows holds nothing.
    const free = lot.freeSo2
    if (!free || !lot.ph) return { state: 'unknown', because: 'blocked', evidence: [], settle: measure(lot) }
    return free.value >= keptAt(lot) - TOLD_WITHIN
      ? met(free.from, { because: 'blocked', at: free.at })
      : {
          state: 'not-met',
          because: 'blocked',
          value: free.value,
          wanted: keptAt(lot),
          evidence: free.from,
          settle: { to: 'sulphite', lotId: lot.id }
        }
  },
  'off-lees': (lot) =>
    lot.stream === 'kit' || (lot.rackedAt !== undefined && !isOnSkins(lot))
      ? met([], { ...(lot.rackedAt && { at: lot.rackedAt }) })
      : { state: 'not-met', evidence: [], settle: { to: 'move', lotId: lot.id, as: 'rack' } },
  'clear': (lot) => {
    const { clarity } = lot
    if (!clarity || (lot.rackedAt && clarity.at < lot.rackedAt)) return { state: 'unknown', evidence: [], settle: look(lot) }
    return CLEAR.includes(clarity.is)
      ? met([clarity.entryId], { because: clarity.is, at: clarity.at })
      : { state: 'not-met', because: clarity.is, at: clarity.at, evidence: [clarity.entryId], settle: { to: 'racking', lotId: lot.id } }
  },
  'gas-out': (lot, now) => {
    const stirred = lot.worked.get('degas')?.at
    const { gas } = lot
    if (gas && !(stirred && stirred > gas.at))
      return gas.is === 'none'
        ? met([gas.entryId], { at: gas.at })
        : { state: 'not-met', because: gas.is, at: gas.at, evidence: [gas.entryId], settle: { to: 'lot', lotId: lot.id, log: 'operation' } }
    const dry = drynessOf(lot)?.first
    return dry !== undefined && hoursSince(dry, now) > GAS_GONE_H
      ? met([], { because: 'time', at: dry })
      : { state: 'unknown', evidence: [], settle: look(lot) }
  },
  'protein': (lot) => {
    // Their tannin takes it out.
    if (lot.style === 'red') return met([], { because: 'red' })
    const test = lot.heatTest
    const settle = { to: 'stability', lotId: lot.id } as const
    if (!test) return { state: 'unknown', evidence: [], settle }
    return test.stable ? met([test.entryId], { at: test.at }) : { state: 'not-met', at: test.at, evidence: [test.entryId], settle }
  },
  'cold': (lot, now) => {
    const test = lot.coldTest
    if (test)
      return test.stable
        ? met([test.entryId], { at: test.at })
        : { state: 'not-met', at: test.at, evidence: [test.entryId], settle: { to: 'cold', lotId: lot.id } }
    if (!lot.plan.cold) return met([], { because: 'accepted' })
    const chilled = lot.worked.get('chill')?.at
    return chilled && hoursSince(chilled, now) >= COLD_DAYS * 24
      ? met([], { because: 'chilled', at: chilled })
      : { state: 'unknown', evidence: [], settle: { to: 'stability', lotId: lot.id } }
  },
  'sulphite': (lot) => level(lot, 0),
  'sulphite-for-bottle': (lot) => level(lot, BOTTLING_RESERVE),
  'sulphite-low-enough': (lot) => {
    const free = lot.freeSo2
    if (!free || !lot.ph) return { state: 'unknown', evidence: [], settle: measure(lot) }
    const molecular = molecularOf(free.value, lot.ph.value)
    const about = { value: molecular, wanted: YEAST_CAN.molecular, at: free.at }
    return molecular <= YEAST_CAN.molecular ? met(free.from, about) : { state: 'not-met', evidence: free.from, ...about }
  },
  'sweetness-held': (lot) => {
    const [sg, sugar] = [lot.sg, lot.others.sugar]
    const sweet = sugar ? sugar.value > 4 : (sg?.value ?? 0) > SWEET_SG
    if (!sg && !sugar) return { state: 'unknown', evidence: [], settle: measure(lot) }
    const from = [...(sugar?.from ?? []), ...(sg?.from ?? [])]
    if (!sweet) return met(from, { because: 'dry' })
    const heated = heatedAt(lot)
    if (heated) return met(from, { because: 'heated', at: heated })
    if (isHeldBySorbate(lot)) return met(from, { because: 'sorbate' })
    return { state: 'not-met', evidence: from, settle: { to: 'sweeten', lotId: lot.id } }
  },
  'no-malolactic-with-sorbate': (lot) =>
    isSorbated(lot) && hadBacteria(lot) ? { state: 'not-met', evidence: lot.others.malic?.from ?? [] } : met(),
  'sorbate-may': (lot) => (hadBacteria(lot) ? { state: 'not-met', evidence: lot.others.malic?.from ?? [] } : met()),
  'no-sorbate': (lot) => (isSorbated(lot) ? { state: 'not-met', evidence: [] } : met()),
  'alcohol-for-yeast': (lot) => {
    if (!lot.abv) return { state: 'unknown', evidence: [], settle: measure(lot) }
    const about = { value: lot.abv.value, wanted: YEAST_CAN.abv, evidence: lot.abv.from }
    return { state: lot.abv.value <= YEAST_CAN.abv ? 'met' : 'not-met', ...about }
  },
  'acids-known': (lot) =>
    lot.ph && lot.ta ? met([...lot.ph.from, ...lot.ta.from], { at: lot.ph.at }) : { state: 'unknown', evidence: [], settle: measure(lot) },
  'sound': (lot, now) => {
    const { smelt } = lot
    const fault = faultOf(lot, now)
    if (smelt && fault) return { state: 'not-met', because: fault, at: smelt.at, evidence: [smelt.entryId], settle: look(lot) }
    return smelt && hoursSince(smelt.at, now) <= SMELT_STANDS_H
      ? met([smelt.entryId], { at: smelt.at })
      : { state: 'unknown', evidence: [], settle: look(lot) }
  }
}

/** However little of it is left by what was bottled or came in from elsewhere. */
export const isSorbated = (lot: LotView): boolean => lot.added.has('potassium-sorbate')
/** Of sorbate enough to hold it; a trace that came in with other wine holds nothing. What is all bottled had what it had. */
const isHeldBySorbate = (lot: LotView): boolean => {
  const grams = lot.added.get('potassium-sorbate')?.actual ?? 0
  return isSorbated(lot) && (lot.volume.value <= 0 || (grams * SORBIC_SHARE * 1000) / lot.volume.value >= SORBIC_HOLDS)
}
/** When it was pasteurised, unless sugar went in or it was racked since: then it is as it was before. */
function heatedAt(lot: LotView): string | undefined {
  const heated = lot.worked.get('pasteurise')?.at
  return heated && [lot.changedSugarAt, lot.rackedAt].every((at) => at === undefined || at <= heated) ? heated : undefined
}
/** Malolactic bacteria have been in it, or are: what they do to sorbate nothing takes out. */
export const hadBacteria = (lot: LotView): boolean =>
  lot.bacteriaAt !== undefined || ['done', 'under-way', 'nearly'].includes(lot.malolactic)

/** Free SO₂ at its level, with a reserve; a wine that is kept without has none to ask for. */
function level(lot: LotView, reserve: number): Omit<Condition, 'code'> {
  if (lot.plan.sulphite === 'none') return met([], { because: 'kept-without' })
  const free = lot.freeSo2
  if (!free || !lot.ph) return { state: 'unknown', evidence: [], settle: measure(lot) }
  const wanted = keptAt(lot) + reserve
  if (free.value >= wanted - TOLD_WITHIN) return met(free.from, { value: free.value, wanted, at: free.at })
  return { state: 'not-met', value: free.value, wanted, at: free.at, evidence: free.from, settle: { to: 'sulphite', lotId: lot.id } }
}
