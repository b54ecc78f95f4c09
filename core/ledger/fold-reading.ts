import { titrate } from '../acids'
import { correctHydrometer, sgFromBrix } from '../hydrometry'
import { LimitError, assertNever } from '../units'
import type { EntryOf } from './entry'
import { offsetAt } from './instrument-offset'
import type { CellarState, Figure, LotState } from './state'

/** How far a reading can be trusted when the instrument does not say: common practice, no source. */
const UNCERTAINTY = { sg: 0.001, brix: 0.2, ph: 0.05, ta: 0.3, temperature: 0.5, freeSo2: 5, totalSo2: 10, malic: 0.1, yan: 20, sugar: 1, abv: 0.3 } as const

/** SG at or below which a ferment may be called dry, craft 3.7. */
export const DRY_SG = 0.996
/** A fall in SG from the first gravity that shows that the ferment is under way. */
const UNDER_WAY_FALL = 0.004

/** Takes a reading into a lot's state; what cannot be computed is reported and left out. */
export function foldReading(cellar: CellarState, lot: LotState, reading: EntryOf<'reading'>): void {
  const instrument = reading.instrumentId ? cellar.instruments.get(reading.instrumentId) : undefined
  const value = reading.value - offsetAt(instrument, reading.at)
  const measured = (v: number, uncertainty: number): Figure => ({ value: v, origin: 'measured', at: reading.at, uncertainty, from: [reading.id] })
  try {
    switch (reading.quantity) {
      case 'sg': case 'brix': return foldGravity(lot, reading, value, measured)
      case 'ph': lot.ph = measured(value, UNCERTAINTY.ph); return
      case 'ta': lot.ta = measured(value, titrationUncertainty(reading)); return
      case 'temperature': lot.temperature = measured(value, UNCERTAINTY.temperature); return
      case 'freeSo2': lot.freeSo2 = measured(value, UNCERTAINTY.freeSo2); return
      case 'totalSo2': lot.totalSo2 = measured(value, UNCERTAINTY.totalSo2); return
      case 'volume': return foldVolume(lot, value, measured(value, value * 0.02))
      case 'malic': case 'yan': case 'sugar': case 'abv':
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

function foldGravity(lot: LotState, reading: EntryOf<'reading'>, value: number, measured: (v: number, u: number) => Figure): void {
  const sg = gravityOf(reading, value)
  lot.sg = measured(sg, UNCERTAINTY.sg)
  if (lot.stage === 'must') {
    if (lot.originalSg && lot.originalSg.value - sg > UNDER_WAY_FALL) lot.stage = 'fermenting'
    else lot.originalSg = lot.sg
  }
  lot.originalSg ??= lot.sg
  if (lot.stage === 'fermenting' && sg <= DRY_SG) lot.stage = 'wine'
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
  lot.so2AddedMgPerL *= before / volumeL
  if (lot.contents.size === 0) lot.contents.set('', volumeL)
  else for (const [vesselId, litres] of lot.contents) lot.contents.set(vesselId, litres * volumeL / before)
  lot.volume = figure
}
