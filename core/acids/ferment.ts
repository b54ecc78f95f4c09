import { bitartrateExcess, fermentShare, withoutBitartrate } from './bitartrate'
import type { Composition } from './charge'
import { ACIDS, BITARTRATE_MOLAR_MASS, POTASSIUM_MOLAR_MASS } from './constants'
import type { WineStyle } from './usual'

/**
 * What yeast does to the acids on the way to 12 % vol, with its spread (one standard deviation), in proportion for other
 * strengths: from memory after Ribéreau-Gayon et al., Handbook of Enology 1 and 2, and Boulton et al. g/L unless a share.
 */
export const YEAST_MAKES = {
  succinic: { mean: 1, sd: 0.36 },
  acetic: { mean: 0.33, sd: 0.12 },
  lactic: { mean: 0.26, sd: 0.1 },
  /** Share of the malic acid that yeast takes. */
  malicTaken: { mean: 0.13, sd: 0.11 },
  aminoTaken: { mean: 0.4, sd: 0.15 },
  phosphoricTaken: { mean: 0.25, sd: 0.1 },
  /** Ammonium goes into the yeast and leaves its acid behind, mol/L. */
  ammonium: { mean: 0.0035, sd: 0.0015 }
} as const
/**
 * What malolactic bacteria do besides: arginine gives ammonia (mol/L of base, as far as there is malic acid to live on), citric acid goes
 * and leaves acetic acid, a little lactic acid goes into other things. From memory after the same book, with one standard deviation.
 */
export const BACTERIA_MAKE = {
  ammonia: { mean: 0.0002, sd: 0.0016 },
  citricTaken: { mean: 0.65, sd: 0.22 },
  /** mol of acetic acid for a mol of citric acid. */
  aceticPerCitric: 1.3,
  lacticKept: { mean: 0.985, sd: 0.012 },
  /** g/L of malic acid that feeds a full crew. */
  fullCrewMalic: 1.2
} as const
/** Potassium that comes out of the skins while they ferment, g/L: from memory. */
const FROM_SKINS: Record<WineStyle, { mean: number, sd: number }> = {
  red: { mean: 0.1, sd: 0.1 },
  rose: { mean: 0.03, sd: 0.05 },
  white: { mean: 0, sd: 0.04 }
}
/** Temperature at which the young wine stands, °C. */
const CELLAR_C = 18

/** How each unknown of a change falls out, in standard deviations; nought is the usual. */
export interface Luck {
  succinic: number
  acetic: number
  lactic: number
  malic: number
  amino: number
  ions: number
  falls: number
  cold: number
  bacteria: number
  citric: number
}
export const USUAL_LUCK: Luck = {
  succinic: 0, acetic: 0, lactic: 0, malic: 0, amino: 0, ions: 0, falls: 0, cold: 0, bacteria: 0, citric: 0
}

/**
 * What malolactic does to the acids beside turning malic into lactic acid.
 * @param before mol/L
 * @param turned mol/L of malic acid that goes
 */
export function bacteriaAcids(before: Composition, turned: number, luck = USUAL_LUCK): Composition {
  const { ammonia, citricTaken, aceticPerCitric, lacticKept, fullCrewMalic } = BACTERIA_MAKE
  const crew = 1 - Math.exp((-2 * turned * ACIDS.malic.molarMass) / fullCrewMalic)
  const citric = before.acids.citric * Math.min(1, Math.max(0, citricTaken.mean + citricTaken.sd * luck.citric)) * crew
  const kept = Math.min(1, lacticKept.mean + lacticKept.sd * luck.citric)
  return {
    ...before,
    strongIon: before.strongIon + Math.max(-0.0005, ammonia.mean + ammonia.sd * luck.bacteria) * crew,
    acids: {
      ...before.acids,
      malic: before.acids.malic - turned,
      lactic: before.acids.lactic + turned * kept,
      citric: before.acids.citric - citric,
      acetic: before.acids.acetic + citric * aceticPerCitric
    }
  }
}

/**
 * What the ferment does to the acids: succinic, acetic and some lactic acid come, some malic acid, amino acids and ammonium go,
 * skins give potassium, and bitartrate falls because alcohol holds less of it.
 * @param before mol/L
 * @param toAbv % vol reached; at or below what there is, nothing happens
 * @returns the young wine and what fell, g/L
 */
export function fermentAcids(
  before: Composition,
  toAbv: number,
  style: WineStyle = 'white',
  luck = USUAL_LUCK
): { composition: Composition, fallenGPerL: number } {
  const part = Math.max(0, toAbv - before.abv) / 12
  if (part === 0) return { composition: before, fallenGPerL: 0 }
  const makes = (name: 'succinic' | 'acetic' | 'lactic') =>
    before.acids[name] + (Math.max(0, YEAST_MAKES[name].mean + YEAST_MAKES[name].sd * luck[name]) * part) / ACIDS[name].molarMass
  const keeps = (name: 'malic' | 'amino' | 'phosphoric', taken: { mean: number, sd: number }, z: number) =>
    before.acids[name] * Math.min(1, Math.max(0, 1 - (taken.mean + taken.sd * z) * part))
  const skins = FROM_SKINS[style]
  const ions =
    (skins.mean + skins.sd * luck.ions) / POTASSIUM_MOLAR_MASS - (YEAST_MAKES.ammonium.mean + YEAST_MAKES.ammonium.sd * luck.amino)
  const young: Composition = {
    ...before,
    abv: toAbv,
    strongIon: before.strongIon + ions * part,
    acids: {
      ...before.acids,
      succinic: makes('succinic'),
      acetic: makes('acetic'),
      lactic: makes('lactic'),
      malic: keeps('malic', YEAST_MAKES.malicTaken, luck.malic),
      amino: keeps('amino', YEAST_MAKES.aminoTaken, luck.amino),
      phosphoric: keeps('phosphoric', YEAST_MAKES.phosphoricTaken, luck.amino)
    }
  }
  // The falling goes along with the ferment, most of it early.
  const fallen = (bitartrateExcess(young, CELLAR_C) * fermentShare(luck.falls) * (1 - Math.exp(-3 * part))) / (1 - Math.exp(-3))
  return { composition: withoutBitartrate(young, fallen), fallenGPerL: fallen * BITARTRATE_MOLAR_MASS }
}
