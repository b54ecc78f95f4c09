import { titrate } from '../acids'
import { correctHydrometer, sgFromBrix } from '../hydrometry'
import { learnSulphite } from '../sulphite'
import { LimitError, assertNever } from '../units'
import { anchorAcids, changeAcids } from './acid-track'
import { abvOf, balanceOfMust, fermentedTo } from './balance'
import type { EntryOf, ReadingQuantity } from './entry'
import { freeSo2At, freeSo2Consumed } from './free-so2'
import { trueValue } from './instrument-check'
import type { CellarState, Figure, LotState } from './state'
import { restsOn } from './rests-on'

/** How far a reading can be trusted when the instrument does not say: common practice, no source. */
const UNCERTAINTY = { sg: 0.001, brix: 0.2, ph: 0.05, ta: 0.3, temperature: 0.5, freeSo2: 5, totalSo2: 10, malic: 0.1, yan: 20, sugar: 1, abv: 0.3 } as const

/** SG at or below which a ferment may be called dry, craft 3.7. */
export const DRY_SG = 0.996
/** A fall in SG from the first gravity that shows that the ferment is under way. */
const UNDER_WAY_FALL = 0.004
/** Days after an addition within which a free SO₂ reading still tells of its binding. */
const DOSE_TELLS_DAYS = 14

/** Takes a reading into a lot's state; what cannot be computed is reported and left out. */
export function foldReading(cellar: CellarState, lot: LotState, reading: EntryOf<'reading'>): void {
  const instrument = reading.instrumentId ? cellar.instruments.get(reading.instrumentId) : undefined
  const value = trueValue(instrument, reading.value, reading.at)
  const measured = (v: number, uncertainty: number): Figure => {
    (lot.series[reading.quantity === 'brix' ? 'sg' : reading.quantity] ??= []).push({ at: reading.at, value: v, entryId: reading.id })
    return { value: v, origin: 'measured', at: reading.at, uncertainty, from: [reading.id] }
  }
  try {
    switch (reading.quantity) {
      case 'sg': case 'brix': return foldGravity(cellar, lot, reading, value, measured)
      case 'ph':
        contradiction(cellar, lot, reading, lot.ph, value, UNCERTAINTY.ph)
        lot.ph = measured(value, UNCERTAINTY.ph)
        return anchorAcids(lot, reading.at, reading.id)
      case 'ta': {
        const uncertainty = titrationUncertainty(reading)
        contradiction(cellar, lot, reading, lot.ta, value, uncertainty)
        lot.ta = measured(value, uncertainty)
        return anchorAcids(lot, reading.at, reading.id)
      }
      case 'temperature': lot.temperature = measured(value, UNCERTAINTY.temperature); return
      case 'freeSo2': return foldFreeSo2(cellar, lot, reading, value, measured)
      case 'totalSo2': lot.totalSo2 = measured(value, UNCERTAINTY.totalSo2); return
      case 'volume': return foldVolume(lot, value, measured(value, value * 0.02))
      case 'malic': return foldMalic(lot, reading, measured(value, UNCERTAINTY.malic))
      case 'abv':
        lot.abv = measured(value, UNCERTAINTY.abv)
        if (lot.balance) lot.balance = { ...lot.balance, ethanolGPerL: value * 7.8924 }
        return
      case 'yan': case 'sugar':
        lot.others[reading.quantity] = measured(value, UNCERTAINTY[reading.quantity])
        return
      default: return assertNever(reading.quantity)
    }
  }
  catch (error) {
    if (!(error instanceof LimitError)) throw error
    cellar.problems.push({ code: 'cannot-compute', entryId: reading.id, lotId: lot.id, argument: error.argument, value: error.value })
  }
}

/** A reading that lies outside both bands is taken, because measured beats estimated, but not silently. */
function contradiction(cellar: CellarState, lot: LotState, reading: EntryOf<'reading'>, estimate: Figure | undefined, measured: number, uncertainty: number, quantity: ReadingQuantity = reading.quantity): void {
  if (estimate?.origin !== 'estimated') return
  const band = estimate.uncertainty + uncertainty
  if (Math.abs(measured - estimate.value) > band) cellar.problems.push({ code: 'contradicts', entryId: reading.id, lotId: lot.id, quantity, measured, estimated: estimate.value, band })
}

function foldGravity(cellar: CellarState, lot: LotState, reading: EntryOf<'reading'>, value: number, measured: (v: number, u: number) => Figure): void {
  const sg = gravityOf(reading, value)
  const figure = measured(sg, UNCERTAINTY.sg)
  // Only a fall between two readings shows a ferment: after water or sugar the first gravity is an estimate, and may be wrong.
  const fell = lot.originalSg?.origin === 'measured' && lot.originalSg.value - sg > UNDER_WAY_FALL
  const before = lot.sg
  lot.sg = figure
  if (lot.stage === 'must' && !fell) {
    if (before?.origin === 'estimated') contradiction(cellar, lot, reading, before, sg, UNCERTAINTY.sg, 'sg')
    lot.originalSg = figure
    // A must is measured again and again; only what ferments has a balance to keep.
    lot.balance = { ...balanceOfMust(Math.max(0.99, sg)), ethanolGPerL: lot.balance?.ethanolGPerL ?? 0 }
  }
  else {
    lot.originalSg ??= figure
    const balance = lot.balance ?? balanceOfMust(Math.max(0.99, sg))
    const fermented = fermentedTo(balance, sg)
    const band = UNCERTAINTY.sg + (before?.uncertainty ?? UNCERTAINTY.sg)
    if (fermented.riseSg > band) cellar.problems.push({ code: 'contradicts', entryId: reading.id, lotId: lot.id, quantity: 'sg', measured: sg, estimated: sg - fermented.riseSg, band })
    lot.balance = fermented.balance
    if (lot.stage === 'must') {
      lot.stage = 'fermenting'
      freeSo2Consumed(lot, reading.at, reading.id)
    }
  }
  if (lot.balance.ethanolGPerL > 0) {
    lot.abv = { value: abvOf(lot.balance), origin: 'estimated', at: reading.at, uncertainty: 0.5, from: restsOn(lot.originalSg.from, lot.abv?.from, reading.id) }
  }
  if (lot.stage === 'fermenting' && sg <= DRY_SG) lot.stage = 'wine'
}

function foldFreeSo2(cellar: CellarState, lot: LotState, reading: EntryOf<'reading'>, value: number, measured: (v: number, u: number) => Figure): void {
  const dose = lot.pendingDose
  if (dose && (Date.parse(reading.at) - Date.parse(dose.at)) / 86_400_000 <= DOSE_TELLS_DAYS && dose.addedMgPerL >= 1) {
    lot.doses = [...lot.doses, { addedMgPerL: Math.min(300, dose.addedMgPerL), freeBeforeMgPerL: Math.min(300, dose.freeBeforeMgPerL), freeAfterMgPerL: Math.min(300, Math.max(0, value)) }]
    lot.boundShare = learnSulphite(lot.doses, []).boundShare
  }
  lot.pendingDose = undefined
  contradiction(cellar, lot, reading, lot.freeSo2 && freeSo2At(lot.freeSo2, reading.at), value, UNCERTAINTY.freeSo2)
  lot.freeSo2 = measured(value, UNCERTAINTY.freeSo2)
}

/** Malic acid after bacteria tells how far malolactic has come; before, it sharpens the fit. */
function foldMalic(lot: LotState, reading: EntryOf<'reading'>, figure: Figure): void {
  lot.others.malic = figure
  const before = lot.acids ? lot.acids.composition.acids.malic * 134.087 : 0
  if (lot.bacteriaAt && before > figure.value) changeAcids(lot, { kind: 'malolactic', toMalicGPerL: Math.max(0, figure.value) }, reading.at, reading.id)
  else anchorAcids(lot, reading.at, reading.id)
}

/**
 * SG 20/20 of a gravity reading: a hydrometer (or a Brix hydrometer) is corrected for the sample's temperature, a
 * refractometer compensates by itself or was brought to its temperature.
 */
export function gravityOf(reading: EntryOf<'reading'>, value = reading.value): number {
  const scale = reading.quantity === 'brix' ? 'brix' : 'sg'
  if (reading.sampleC === undefined) return scale === 'sg' ? value : sgFromBrix(value)
  return correctHydrometer(value, scale, reading.sampleC, reading.calibrationC ?? 20).sg
}

function titrationUncertainty(reading: EntryOf<'reading'>): number {
  const t = reading.titration
  return t ? Math.max(0.1, titrate(t.sampleMl, t.titrantMl, t.normality, t.stepMl ?? 0.1).uncertaintyGPerL) : UNCERTAINTY.ta
}

/** A measured volume scales what the vessels hold, so that the parts still add up to the whole. */
function foldVolume(lot: LotState, volumeL: number, figure: Figure): void {
  const before = lot.volume.value
  // What was dosed on an expected volume is now known to stand in more or less of it; wine that was lost took its share along.
  if (lot.volume.origin === 'estimated') {
    for (const key of ['freeSo2', 'totalSo2', 'nitrogenGiven'] as const) {
      const dosed = lot[key]
      if (dosed?.origin === 'estimated') lot[key] = { ...dosed, value: dosed.value * before / volumeL, from: restsOn(dosed.from, figure.from.at(-1)) }
    }
  }
  if (lot.contents.size === 0) lot.contents.set('', volumeL)
  else for (const [vesselId, litres] of lot.contents) lot.contents.set(vesselId, litres * volumeL / before)
  lot.volume = figure
}
