import {
  DRY_PROOF_H,
  type LotView,
  drynessOf,
  isClear,
  isFermenting,
  isWine,
  MOST_FREE_ASKED,
  malicSettledOf,
  molecularOf,
  standsOf,
  sugarLeftOf
} from '../../ledger'
import { SORBIC_LEAST, SORBIC_SHARE } from '../../finishing'
import { TOLD_WITHIN } from '../../sulphite'
import type { Action, WayOut } from '../../findings'
import type { Measured } from '../measured-by'
import { finingUnder } from '../fined'
import { isOffLees } from '../off-lees'
import { SMELT_STANDS_H, faultOf, isHelped } from '../smelt'
import { hoursSince, later } from '../stage'
import { doseFor } from '../sulphite-dose'

export const CONDITIONS = [
  'stable-gravity',
  'malic-settled',
  'off-lees',
  'off-fining',
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
  /** The bench or the form that settles it, and gives what it wants. */
  settle?: Action
  /** Looked at before, it could tell nothing new. */
  notBefore?: string
  /** Other ways past it. */
  waysOut?: readonly WayOut[]
}

/** Sugar at its highest estimate that a still bottle may hold with nothing against it, g/L: 4 g/L are 2 bar (craft 3.7). */
const MOST_SUGAR = 4
/** What moved up to its last reading may stand by now, h: a ferment's end, and no reading since. Ours. */
const NEWS_H = 14 * 24
/** Somebody reads in the morning what was read in the evening, h. Ours. */
const SAME_DAY_H = 8
/** Gas has gone by itself after so long, h: common practice, no source. */
const GAS_GONE_H = 26 * 168
/** Yeast in a bottle begins below these: common practice, no source. */
const YEAST_CAN = { abv: 12.5, molecular: 0.5 } as const
/** So many days of real cold count as cold stabilised, craft 3.11. */
const COLD_DAYS = 7
/** Sulphite is lost so slowly that sooner there is nothing to see, days. Ours. */
const WAIT_DAYS = 30
/** Sorbic acid that still counts, mg/L: the least dose, less what scales and volumes are off. */
const SORBIC_HOLDS = 0.8 * SORBIC_LEAST

type Judge = (lot: LotView, now: string) => Omit<Condition, 'code'>
const look = (lot: LotView): Action => ({ to: 'lot', lotId: lot.id, log: 'note' })
const coldTest = (lot: LotView): Action => ({ to: 'stability', lotId: lot.id, cold: true })
const measure = (lot: LotView, what: Measured): Action => ({ to: 'measure', lotId: lot.id, what })
const met = (evidence: readonly string[] = [], more: Partial<Condition> = {}) => ({ state: 'met' as const, evidence, ...more })

/** How each condition is judged from a lot. What nobody looked at is not known, and never taken for good. */
export const JUDGES: Record<ConditionCode, Judge> = {
  'stable-gravity': (lot, now) => {
    if (isFermenting(lot) || !isWine(lot))
      return { state: 'not-met', because: 'ferments', evidence: lot.sg?.from ?? [], settle: measure(lot, 'sg') }
    const dry = drynessOf(lot)
    const standing = standsOf(lot)
    const last = lot.series.sg?.at(-1)
    // What was read since and is another counts: a fall, sugar that went in, or a ferment that began again.
    const moved = standing !== undefined && !standing.proven && lot.series.sg!.some((p) => p.at < standing.since)
    const proofs = [lot.others.sugar?.at, lot.warmGlass?.at, lot.saidDryAt]
    const toldSince = last !== undefined && proofs.some((at) => at !== undefined && at >= last.at)
    if (dry?.proven && (!moved || toldSince)) {
      const from = dry.agreeing.map((p) => p.entryId)
      return met(from, { because: 'dry', at: dry.since })
    }
    // Of two readings that agree the second is as late as a proof wants it: one of the same day tells nothing.
    const notBefore = last && hoursSince(last.at, now) < DRY_PROOF_H - SAME_DAY_H ? { notBefore: later(last.at, DRY_PROOF_H) } : {}
    if (!standing) return { state: 'unknown', evidence: last ? [last.entryId] : [], settle: measure(lot, 'sg'), ...notBefore }
    const evidence = standing.agreeing.slice(-2).map((p) => p.entryId)
    if (standing.proven) return met(evidence, { because: 'sweet', value: standing.sg, at: standing.until })
    const about = { at: standing.until, evidence, settle: measure(lot, 'sg'), ...notBefore }
    const earlier = lot.series.sg!.some((p) => hoursSince(p.at, standing.until) >= DRY_PROOF_H)
    return earlier && hoursSince(standing.until, now) <= NEWS_H
      ? { state: 'not-met', because: 'moves', ...about }
      : { state: 'unknown', ...about }
  },
  'malic-settled': (lot) => {
    const { malolactic } = lot
    const from = [...(lot.others.malic?.from ?? []), ...(lot.paper ? [lot.paper.entryId] : [])]
    const { settled, by, freeMgPerL, wantedMgPerL } = malicSettledOf(lot)
    if (settled) return met(by === 'sulphite' ? (lot.freeSo2?.from ?? []) : from, { because: by === 'sulphite' ? 'blocked' : by })
    if (malolactic === 'not-wanted' && (heatedAt(lot) || lot.plan.hold === 'heat')) return met([], { because: 'heat-planned' })
    if (malolactic !== 'not-wanted')
      return { state: 'not-met', because: malolactic, evidence: from, settle: { to: 'malolactic', lotId: lot.id } }
    const figures = { value: freeMgPerL ?? 0, wanted: wantedMgPerL, evidence: lot.freeSo2?.from ?? [] }
    const about = { evidence: from, waysOut: pastMalic(lot) }
    // Who keeps a wine without sulphite is not asked for a dose of it.
    if (lot.plan.sulphite === 'none')
      return { ...about, state: 'not-met', because: 'kept-without', settle: { to: 'malolactic', lotId: lot.id } }
    const dose = doseFor(lot, 'lock')
    // At its pH no sensible amount locks, or the limit leaves no room for enough: another way is taken.
    const beyond = wantedMgPerL > MOST_FREE_ASKED + TOLD_WITHIN || dose.cappedByLimit
    return beyond
      ? { state: 'not-met', because: 'beyond-sulphite', ...about, ...figures, settle: { to: 'malolactic', lotId: lot.id } }
      : { state: 'not-met', because: 'blocked', ...about, ...figures, settle: { to: 'sulphite', lotId: lot.id, aim: 'lock' } }
  },
  'off-lees': (lot) =>
    isOffLees(lot)
      ? met([], { ...(lot.rackedAt && { at: lot.rackedAt }) })
      : { state: 'not-met', evidence: [], settle: { to: 'move', lotId: lot.id, as: 'rack' } },
  'off-fining': (lot) => {
    const fining = finingUnder(lot)
    return fining ? { state: 'not-met', at: fining.at, evidence: [], settle: { to: 'move', lotId: lot.id, as: 'rack' } } : met()
  },
  'clear': (lot) => {
    const { clarity } = lot
    if (lot.plan.clarity === 'accept') return met([], { because: 'accepted' })
    if (!clarity || (lot.rackedAt && clarity.at < lot.rackedAt)) return { state: 'unknown', evidence: [], settle: look(lot) }
    return isClear(clarity.is)
      ? met([clarity.entryId], { because: clarity.is, at: clarity.at })
      : { state: 'not-met', because: clarity.is, at: clarity.at, evidence: [clarity.entryId], settle: { to: 'racking', lotId: lot.id } }
  },
  'gas-out': (lot, now) => {
    const stirred = lot.worked.get('degas')?.at
    const { gas } = lot
    if (gas && !(stirred && stirred > gas.at))
      return gas.is === 'none'
        ? met([gas.entryId], { at: gas.at })
        : { state: 'not-met', because: gas.is, at: gas.at, evidence: [gas.entryId],
            settle: { to: 'lot', lotId: lot.id, log: 'operation', what: 'degas' } }
    const dry = drynessOf(lot)?.first
    return dry !== undefined && hoursSince(dry, now) > GAS_GONE_H
      ? met([], { because: 'time', at: dry })
      : { state: 'unknown', evidence: [], settle: look(lot) }
  },
  'protein': (lot) => {
    // Their tannin takes it out.
    if (lot.style === 'red') return met([], { because: 'red' })
    if (lot.plan.clarity === 'accept') return met([], { because: 'accepted' })
    const waysOut = [
      { code: 'bentonite', action: { to: 'lot', lotId: lot.id, log: 'addition', what: 'bentonite' } },
      { code: 'accept-haze', drafts: [{ type: 'lot-planned', lotId: lot.id, clarity: 'accept' }] }
    ] as const
    const test = lot.heatTest
    const settle = { to: 'stability', lotId: lot.id } as const
    if (!test) return { state: 'unknown', evidence: [], settle, waysOut }
    // What was fined since may stand the test now.
    const fined = (lot.putIn.get('bentonite') ?? '') > test.at
    if (fined && !test.stable) return { state: 'unknown', at: test.at, evidence: [test.entryId], settle, waysOut }
    // What is known to turn hazy is fined by a trial, not tested again.
    const trial = { to: 'trial', lotId: lot.id } as const
    return test.stable ? met([test.entryId], { at: test.at })
      : { state: 'not-met', at: test.at, evidence: [test.entryId], settle: trial, waysOut }
  },
  'cold': (lot, now) => {
    const test = lot.coldTest
    const inCold = lot.worked.get('chill')?.at
    const chilling = inCold !== undefined && hoursSince(inCold, now) < COLD_DAYS * 24 && !(test?.stable && test.at > inCold)
    if (lot.plan.cold && chilling) return { state: 'unknown', because: 'chilling', at: inCold, evidence: [] }
    if (!lot.plan.cold && !test?.stable) return met(test ? [test.entryId] : [], { because: 'accepted' })
    if (test)
      return test.stable
        ? met([test.entryId], { at: test.at })
        : chilledSince(lot, test.at, now)
          ? met([test.entryId], { because: 'chilled', at: lot.worked.get('chill')!.at })
          : { state: 'not-met', at: test.at, evidence: [test.entryId], settle: { to: 'cold', lotId: lot.id }, waysOut: pastCold(lot) }
    const chilled = lot.worked.get('chill')?.at
    return chilled && hoursSince(chilled, now) >= COLD_DAYS * 24
      ? met([], { because: 'chilled', at: chilled })
      : { state: 'unknown', evidence: [], settle: coldTest(lot), waysOut: pastCold(lot) }
  },
  'sulphite': (lot) => level(lot, 'level'),
  'sulphite-for-bottle': (lot) => level(lot, 'bottle'),
  'sulphite-low-enough': (lot) => {
    const free = lot.freeSo2
    if (!free || !lot.ph) return { state: 'unknown', evidence: [], settle: measure(lot, lot.ph ? 'freeSo2' : 'ph') }
    const molecular = molecularOf(free.value, lot.ph.value)
    const about = { value: molecular, wanted: YEAST_CAN.molecular, at: free.at }
    return molecular <= YEAST_CAN.molecular
      ? met(free.from, about)
      : { state: 'not-met', evidence: free.from, ...about, waysOut: [...keepStill(lot), { code: 'wait', days: WAIT_DAYS }] }
  },
  'sweetness-held': (lot) => {
    const left = sugarLeftOf(lot)
    if (!left) return { state: 'unknown', evidence: [], settle: measure(lot, 'sugar') }
    const about = { value: left.high, wanted: MOST_SUGAR, at: left.at, evidence: left.from }
    if (left.high <= MOST_SUGAR) return met(left.from, { because: 'dry', value: left.high, at: left.at })
    const heated = heatedAt(lot)
    if (heated) return met(left.from, { because: 'heated', at: heated })
    if (isHeldBySorbate(lot)) return met(left.from, { because: 'sorbate' })
    // It is done to the filled bottles; that they wait for it is asked for then.
    if (lot.plan.hold === 'heat') return met(left.from, { because: 'heat-planned' })
    // Where only a gravity says so a test may find next to none; where it is sweet it has to be held.
    return left.by === 'gravity' && left.low <= MOST_SUGAR
      ? { state: 'unknown', because: 'untested', ...about, settle: measure(lot, 'sugar'), waysOut: pastSugar(lot) }
      : { state: 'not-met', ...about, settle: { to: 'sweeten', lotId: lot.id }, waysOut: pastSugar(lot) }
  },
  'no-malolactic-with-sorbate': (lot) =>
    isSorbated(lot) && hadBacteria(lot) ? { state: 'not-met', evidence: lot.others.malic?.from ?? [] } : met(),
  'sorbate-may': (lot) => {
    if (!hadBacteria(lot)) return met()
    if (lot.plan.hold === 'heat') return met([], { because: 'heat-planned' })
    const waysOut = [{ code: 'hold-by-heat', drafts: [{ type: 'lot-planned', lotId: lot.id, hold: 'heat' }] }] as const
    return { state: 'not-met', evidence: lot.others.malic?.from ?? [], waysOut }
  },
  'no-sorbate': (lot) => (isSorbated(lot) ? { state: 'not-met', evidence: [], waysOut: keepStill(lot) } : met()),
  'alcohol-for-yeast': (lot) => {
    if (!lot.abv) return { state: 'unknown', evidence: [], settle: measure(lot, 'sg') }
    const about = { value: lot.abv.value, wanted: YEAST_CAN.abv, evidence: lot.abv.from }
    return lot.abv.value <= YEAST_CAN.abv ? { state: 'met', ...about } : { state: 'not-met', ...about, waysOut: keepStill(lot) }
  },
  'acids-known': (lot) =>
    lot.ph && lot.ta
      ? met([...lot.ph.from, ...lot.ta.from], { at: lot.ph.at })
      : { state: 'unknown', evidence: [], settle: measure(lot, lot.ph ? 'ta' : 'ph') },
  'sound': (lot, now) => {
    const { smelt } = lot
    const fault = faultOf(lot, now)
    if (smelt && fault && isHelped(lot, fault))
      return { state: 'unknown', because: 'helped', at: smelt.at, evidence: [smelt.entryId], settle: look(lot) }
    if (smelt && fault) return { state: 'not-met', because: fault, at: smelt.at, evidence: [smelt.entryId], settle: look(lot) }
    return smelt && hoursSince(smelt.at, now) <= SMELT_STANDS_H
      ? met([smelt.entryId], { at: smelt.at })
      : { state: 'unknown', evidence: [], settle: look(lot) }
  }
}

/** Where no second ferment will begin it is bottled as a still wine. */
const keepStill = (lot: LotView): WayOut[] => [{ code: 'keep-still', drafts: [{ type: 'lot-planned', lotId: lot.id, sparkling: false }] }]
/** What settles malic acid besides sulphite that locks it. */
const pastMalic = (lot: LotView): WayOut[] => [
  { code: 'test-malic', action: { to: 'malolactic', lotId: lot.id } },
  ...(isSorbated(lot) ? []
    : [{ code: 'begin-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'after-pressing' }] } as const]),
  { code: 'filter', action: { to: 'lot', lotId: lot.id, log: 'operation', what: 'filter' } },
  { code: 'hold-by-heat', drafts: [{ type: 'lot-planned', lotId: lot.id, hold: 'heat' }] },
  { code: 'lower-ph', action: { to: 'correct', lotId: lot.id } }
]
/** What settles sugar that may be left: a test, a glass with fresh yeast, or something that holds it. */
const pastSugar = (lot: LotView): WayOut[] => [
  { code: 'sugar-test', action: { to: 'measure', lotId: lot.id, what: 'sugar' } },
  { code: 'warm-glass', action: { to: 'lot', lotId: lot.id, log: 'note', what: 'warm-glass' } },
  ...(hadBacteria(lot) ? [] : [{ code: 'hold-by-sorbate', action: { to: 'sweeten', lotId: lot.id } } as const]),
  { code: 'hold-by-heat', drafts: [{ type: 'lot-planned', lotId: lot.id, hold: 'heat' }] }
]
const pastCold = (lot: LotView): WayOut[] => [
  { code: 'chill', drafts: [{ type: 'operation', lotId: lot.id, what: 'chill' }] },
  { code: 'stability-test', action: coldTest(lot) },
  { code: 'accept-crystals', drafts: [{ type: 'lot-planned', lotId: lot.id, cold: false }] }
]
/** In the cold for long enough since it was tested. */
const chilledSince = (lot: LotView, at: string, now: string): boolean => {
  const chilled = lot.worked.get('chill')?.at
  return chilled !== undefined && chilled > at && hoursSince(chilled, now) >= COLD_DAYS * 24
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

/** Free SO₂ for what is aimed at; a wine that is kept without has none to ask for, and what was never given counts as none. */
function level(lot: LotView, aim: 'level' | 'bottle'): Omit<Condition, 'code'> {
  if (lot.plan.sulphite === 'none') return met([], { because: 'kept-without' })
  const { freeMgPerL, aimMgPerL: wanted, cappedByLimit } = doseFor(lot, aim)
  const about = { value: freeMgPerL, wanted, evidence: lot.freeSo2?.from ?? [], ...(lot.freeSo2 && { at: lot.freeSo2.at }) }
  if (freeMgPerL >= wanted - TOLD_WITHIN) return { state: 'met', ...about }
  // No more may go in: it is bottled with what it has, knowingly.
  return { state: 'not-met', ...(cappedByLimit && { because: 'limit' }), ...about, settle: { to: 'sulphite', lotId: lot.id, aim } }
}
