import { USUAL_BRIX, titrate } from '../../acids'
import { correctRefractometer, sgFromBrix } from '../../hydrometry'
import { cardOf } from '../../materials'
import { QUANTITIES } from '../../quantities'
import { learnSulphite } from '../../sulphite'
import { ABV_PER_SG, LimitError, assertNever, daysBetween, hoursBetween } from '../../units'
import { asItWas, judgeReading, noteActs } from '../acts'
import { anchorAcids, ofOneSample, takeMalic } from '../acid-track'
import { abvOf, balanceOfMust, fermentedTo } from '../balance'
import type { EntryOf, ReadingQuantity } from '../entry'
import { becomes, isFermenting, isMust } from '../facets'
import type { Folding } from '../fold/folding'
import { freeSo2At, freeSo2Consumed } from '../free-so2'
import { BELIEVED_C, DRY_SUGAR_G_PER_L, gravityOf } from '../gravity-read'
import { trueValue } from '../instrument-check'
import { loseGiven } from '../liquid'
import type { Figure, InstrumentState, LotState } from '../state'
import { reckonedBrix } from '../reckoned'
import { restsOn } from '../rests-on'
import { fitsDry } from '../sugar-left'
import type { ReadByEye } from './equipment'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'

/**
 * A fall in SG from the first gravity, with no yeast in it, that shows that it ferments by itself; a smaller one is asked
 * about, because a must that was stirred better the second time reads lower too. Common practice, no source.
 */
const BY_ITSELF = { sure: 0.012, asked: 0.005 } as const
/** Below this, less what a home hydrometer may be off, no must reads, SG. */
const WATER_SG = 0.9985
/** First read so long after its yeast, h, a ferment has fallen already: what was read is no gravity of the must. Common practice. */
const FALLEN_H = 36
/** Half of the width in which four musts of five lie, SG: about 3 °Brix, our own from the same windows. */
const USUAL_SG_SPREAD = 0.013
const ABV_SPREAD = 0.5
/** What a must that was read, or read and then watered or sweetened, is known to, SG: the spread above has it in it. */
const READ_SG = 0.002
/** Days after an addition within which a free SO₂ reading still tells of its binding. */
const DOSE_TELLS_DAYS = 14

export const reading: EntryKind<'reading'> = {
  type: 'reading',
  touches: (e) => ofLot(e),
  apply(folding, read) {
    const lot = lotOf(folding, read)
    if (!lot) return
    const before = asItWas(lot)
    takeReading(folding, lot, read)
    noteActs(lot, read, judgeReading(before, lot, read))
  }
}

/** Takes a reading into a lot's state; what cannot be computed is reported and left out. */
function takeReading(folding: Folding, lot: LotState, reading: EntryOf<'reading'>): void {
  const instrument = reading.instrumentId ? folding.cellar.instruments.get(reading.instrumentId) : undefined
  const measured = (v: number, uncertainty: number): Figure => {
    ;(lot.series[reading.quantity === 'brix' ? 'sg' : reading.quantity] ??= []).push({ at: reading.at, value: v, entryId: reading.id })
    return { value: v, origin: 'measured', at: reading.at, uncertainty, from: [reading.id] }
  }
  try {
    const value = believable(folding, lot, reading, instrument)
    switch (reading.quantity) {
      case 'sg':
      case 'brix':
        return foldGravity(folding, lot, reading, sgRead(folding, lot, reading, value, instrument), measured)
      case 'ph':
        contradiction(folding, lot, reading, lot.ph, value, spreadOf(folding, 'ph'))
        lot.ph = measured(value, spreadOf(folding, 'ph'))
        return anchorAcids(lot, reading.at, reading.id)
      case 'ta': {
        const uncertainty = titrationUncertainty(folding, reading)
        contradiction(folding, lot, reading, lot.ta, value, uncertainty)
        lot.ta = measured(value, uncertainty)
        return anchorAcids(lot, reading.at, reading.id)
      }
      case 'temperature':
      {
        // What cannot be stands in the ledger as it was typed, and nothing is reckoned with it.
        const figure = measured(value, QUANTITIES.temperature.spread)
        if (value >= BELIEVED_C.min && value <= BELIEVED_C.max) lot.temperature = figure
        return
      }
      case 'freeSo2':
        return foldFreeSo2(folding, lot, reading, value, measured)
      case 'totalSo2':
        lot.totalSo2 = measured(value, QUANTITIES.totalSo2.spread)
        return
      case 'volume':
        return foldVolume(lot, value, measured(value, value * QUANTITIES.volume.spread))
      case 'malic':
        return takeMalic(lot, measured(value, QUANTITIES.malic.spread), reading.id)
      case 'abv':
        lot.abv = measured(value, QUANTITIES.abv.spread)
        if (lot.balance) lot.balance = { ...lot.balance, ethanolGPerL: value * 7.8924 }
        return
      case 'yan':
      case 'sugar':
        lot.others[reading.quantity] = measured(value, QUANTITIES[reading.quantity].spread)
        if (reading.quantity === 'sugar' && isFermenting(lot) && value <= DRY_SUGAR_G_PER_L) becomes(lot, 'dry', reading.at)
        return
      default:
        return assertNever(reading.quantity)
    }
  }
  catch (error) {
    if (!(error instanceof LimitError)) throw error
    folding.problem({ code: 'cannot-compute', entryId: reading.id, lotId: lot.id, argument: error.argument, value: error.value })
  }
}

/** What was typed, the check of its instrument reckoned in; as it was typed where that cannot be. */
function believable(folding: Folding, lot: LotState, reading: EntryOf<'reading'>, instrument: InstrumentState | undefined): number {
  const { quantity, value: shown } = reading
  const odd = (corrected?: number) => {
    folding.problem({
      code: 'correction-odd',
      entryId: reading.id,
      lotId: lot.id,
      quantity,
      shown,
      ...(corrected !== undefined && { corrected })
    })
    return shown
  }
  try {
    const corrected = trueValue(instrument, quantity, shown, reading.at)
    // What was typed may itself lie beyond: that is no fault of the check.
    const { min, max } = QUANTITIES[quantity]
    return corrected === shown || (corrected >= min && corrected <= max) ? corrected : odd(corrected)
  }
  catch (error) {
    if (!(error instanceof LimitError)) throw error
    return odd()
  }
}

/** A reading that lies outside both bands is taken, because measured beats estimated, but not silently. */
function contradiction(
  folding: Folding,
  lot: LotState,
  reading: EntryOf<'reading'>,
  estimate: Figure | undefined,
  measured: number,
  uncertainty: number,
  quantity: ReadingQuantity = reading.quantity
): void {
  // What another reading of the same sample led to expect is no second opinion.
  if (estimate?.origin !== 'estimated' || ofOneSample(estimate.at, reading.at)) return
  const band = estimate.uncertainty + uncertainty
  if (Math.abs(measured - estimate.value) > band)
    folding.problem({ code: 'contradicts', entryId: reading.id, lotId: lot.id, quantity, measured, estimated: estimate.value, band })
}

/** How far off a reading usually is: as this household found of itself, or as people usually are. */
const spreadOf = (folding: Folding, quantity: ReadByEye): number => folding.cellar.ownErrors[quantity] ?? QUANTITIES[quantity].spread

/** SG 20/20 with its half-width. */
interface Gravity { sg: number, spread: number }

/**
 * SG of a gravity reading of this lot: in a ferment a refractometer sees alcohol as well as sugar, and is corrected from this lot's own
 * original gravity.
 */
function sgRead(folding: Folding, lot: LotState, reading: EntryOf<'reading'>, value: number, instrument?: InstrumentState): Gravity {
  const refractometer = instrument?.kind === 'refractometer' || (!instrument && reading.by === 'refractometer')
  const whole = lot.originalSg ?? (reading.quantity === 'brix' ? assumedOriginal(lot, reading, sgFromBrix(value)) : undefined)
  const fermented = !isMust(lot) && whole !== undefined
  if (reading.quantity === 'brix' && fermented && refractometer) {
    const original = reckonedBrix(whole.value)
    if (value >= original) return { sg: sgFromBrix(value), spread: QUANTITIES.sg.spread }
    const { sg, uncertaintySg } = correctRefractometer(original, value)
    return { sg, spread: uncertaintySg }
  }
  if (reading.quantity === 'brix' && fermented && !instrument && !reading.by)
    folding.problem({ code: 'brix-in-ferment', entryId: reading.id, lotId: lot.id, brix: value })
  return { sg: gravityOf(reading, value, instrument), spread: spreadOf(folding, 'sg') }
}

/**
 * The gravity of a must that nobody read before it fermented, as an estimate with its width: what was read where that may well be it, what
 * is usual for its kind where it has clearly fallen, and in between from the one to the other.
 */
function assumedOriginal(lot: LotState, { id, at }: EntryOf<'reading'>, sg: number): Figure | undefined {
  if (lot.originalSg || !lot.inoculatedAt || hoursBetween(lot.inoculatedAt, at) < FALLEN_H) return undefined
  const usual = lot.kit?.targetSg ?? sgFromBrix(USUAL_BRIX[lot.style])
  const fallen = Math.min(1, (usual - sg) / USUAL_SG_SPREAD - 0.5)
  if (fallen <= 0) return undefined
  const uncertainty = QUANTITIES.sg.spread + fallen * (USUAL_SG_SPREAD - QUANTITIES.sg.spread)
  return { value: sg + fallen * (usual - sg), origin: 'estimated', at, uncertainty, from: [id] }
}

/** What of an addition moves a gravity by itself. */
const CHANGES_GRAVITY: ReadonlySet<string> = new Set(['sugar', 'volume'])

/** The higher of the last two gravities before a reading, as long as nothing came in since: one of the two may have been off. */
function readJustBefore({ cellar }: Folding, lot: LotState, { id, at }: EntryOf<'reading'>): number | undefined {
  const changes = [...lot.putIn].filter(([material]) => CHANGES_GRAVITY.has(cardOf(material, cellar.cards)?.effect.on ?? ''))
  const changedAt = [...changes.map(([, last]) => last), ...lot.cameIn.map((came) => came.at)].sort().at(-1)
  const before: number[] = []
  const read = lot.series.sg ?? []
  for (let i = read.length - 1; i >= 0 && before.length < 2; i--) {
    const point = read[i]!
    if (point.entryId === id || point.at > at) continue
    if (changedAt !== undefined && point.at <= changedAt) break
    before.push(point.value)
  }
  return before.length > 0 ? Math.max(...before) : undefined
}

function foldGravity(
  folding: Folding,
  lot: LotState,
  reading: EntryOf<'reading'>,
  { sg, spread }: Gravity,
  measured: (v: number, u: number) => Figure
): void {
  const figure = measured(sg, spread)
  // Only a fall between two readings shows a ferment: after water or sugar the first gravity is an estimate, and may be wrong.
  const fall = lot.originalSg?.origin === 'measured' ? lot.originalSg.value - sg : 0
  const fell = fall > BY_ITSELF.sure
  if (isMust(lot) && fall > BY_ITSELF.asked && !fell)
    folding.problem({ code: 'ferments-by-itself', entryId: reading.id, lotId: lot.id, fell: fall })
  const before = lot.sg
  lot.sg = figure
  if (isMust(lot) && !fell) {
    if (before?.origin === 'estimated') contradiction(folding, lot, reading, before, sg, QUANTITIES.sg.spread, 'sg')
    lot.originalSg = figure
    // A must is measured again and again; only what ferments has a balance to keep.
    lot.balance = { ...balanceOfMust(Math.max(0.99, sg)), ethanolGPerL: lot.balance?.ethanolGPerL ?? 0 }
  }
  else {
    const assumed = assumedOriginal(lot, reading, sg)
    lot.originalSg ??= assumed ?? figure
    const balance = (assumed ? undefined : lot.balance) ?? balanceOfMust(Math.max(0.99, lot.originalSg.value))
    const fermented = fermentedTo(balance, sg, readJustBefore(folding, lot, reading))
    const band = QUANTITIES.sg.spread + (before?.uncertainty ?? QUANTITIES.sg.spread)
    if (fermented.riseSg > band)
      folding.problem({
        code: 'contradicts',
        entryId: reading.id,
        lotId: lot.id,
        quantity: 'sg',
        measured: sg,
        estimated: sg - fermented.riseSg,
        band
      })
    lot.balance = fermented.balance
    if (isMust(lot)) {
      becomes(lot, 'active', reading.at)
      freeSo2Consumed(lot, reading.at, reading.id)
    }
  }
  if (lot.balance.ethanolGPerL > 0) {
    lot.abv = {
      value: abvOf(lot.balance),
      origin: 'estimated',
      at: reading.at,
      uncertainty: Math.hypot(ABV_SPREAD, ABV_PER_SG * Math.max(0, lot.originalSg.uncertainty - READ_SG)),
      from: restsOn(lot.originalSg.from, lot.abv?.from, reading.id)
    }
  }
  if (isFermenting(lot) && fitsDry(lot, sg) === 'dry') becomes(lot, 'dry', reading.at)
  // No must reads below water: what was never read before came here as a wine.
  else if (isMust(lot) && sg < WATER_SG) becomes(lot, fitsDry(lot, sg) === 'dry' ? 'dry' : 'stopped', reading.at)
}

function foldFreeSo2(
  folding: Folding,
  lot: LotState,
  reading: EntryOf<'reading'>,
  value: number,
  measured: (v: number, u: number) => Figure
): void {
  const dose = lot.pendingDose
  if (dose && daysBetween(dose.at, reading.at) <= DOSE_TELLS_DAYS && dose.addedMgPerL >= 1) {
    lot.doses = [
      ...lot.doses,
      {
        addedMgPerL: Math.min(300, dose.addedMgPerL),
        freeBeforeMgPerL: Math.min(300, dose.freeBeforeMgPerL),
        freeAfterMgPerL: Math.min(300, Math.max(0, value))
      }
    ]
    lot.boundShare = learnSulphite(lot.doses, []).boundShare
  }
  lot.pendingDose = undefined
  contradiction(folding, lot, reading, lot.freeSo2 && freeSo2At(lot.freeSo2, reading.at), value, spreadOf(folding, 'freeSo2'))
  lot.freeSo2 = measured(value, spreadOf(folding, 'freeSo2'))
}

function titrationUncertainty(folding: Folding, reading: EntryOf<'reading'>): number {
  const t = reading.titration
  return t ? Math.max(0.1, titrate(t.sampleMl, t.titrantMl, t.normality, t.stepMl ?? 0.1).uncertaintyGPerL) : spreadOf(folding, 'ta')
}

/** A measured volume scales what the vessels hold, so that the parts still add up to the whole. */
function foldVolume(lot: LotState, volumeL: number, figure: Figure): void {
  const before = lot.volume.value
  // What was dosed on an expected volume is now known to stand in more or less of it; wine that was lost took its share along.
  if (lot.volume.origin === 'estimated' && before > 0) {
    for (const key of ['freeSo2', 'totalSo2', 'nitrogenGiven'] as const) {
      const dosed = lot[key]
      if (dosed?.origin === 'estimated')
        lot[key] = { ...dosed, value: (dosed.value * before) / volumeL, from: restsOn(dosed.from, figure.from.at(-1)) }
    }
  }
  else loseGiven(lot, before > 0 ? volumeL / before : 1)
  if (lot.contents.size === 0) lot.contents.set('', volumeL)
  else if (before > 0) for (const [vesselId, litres] of lot.contents) lot.contents.set(vesselId, (litres * volumeL) / before)
  else for (const vesselId of lot.contents.keys()) lot.contents.set(vesselId, volumeL / lot.contents.size)
  lot.volume = figure
}
