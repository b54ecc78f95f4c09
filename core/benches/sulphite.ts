import { addition } from '../drafts'
import { SULPHITE_AIMS, type SulphiteAim } from '../findings'
import { type LotView, isMust, molecularKept, usedPh } from '../ledger'
import { MATERIALS } from '../materials'
import { doseFor, firstDoseOf, isKept, sulphiteToCome } from '../stages'
import {
  type FruitHealth,
  type SulphiteDose,
  type SulphiteMethod,
  type SulphiteSalt,
  MOLECULAR_TARGET,
  TOTAL_LIMIT,
  TYPICAL_BOUND_SHARE,
  freeSo2For,
  methodAdvice,
  stockSolutionMl,
  sulphiteDose,
  sulphurousPka,
  tabletsFor
} from '../sulphite'
import { withinLimits } from '../units'
import { type Bench, type BenchContext, type BenchValues, known, usual } from './bench'

/** Of what is said of a dose, what counts for a must: no target for a wine does. */
const OF_MUST: ReadonlySet<string> = new Set(['below-scale', 'near-total-limit', 'over-total-limit', 'ph-too-high'])
const METHODS: readonly SulphiteMethod[] = ['by-ph', 'tablets', 'double', 'minimal', 'none']
/** A wine of which neither was read, for the other pKa: % vol and °C. Our own, a table wine in a cool room. */
const USUAL_WINE = { abv: 12, celsius: 18 } as const
/** To which the relations reach. */
const MOST = { abv: 18, bound: 0.8, byTabletsMgPerL: 300 } as const
/** Strength of the stock solution that is proposed, g/L: 10 g made up to 100 mL. */
const STOCK_G_PER_L = MATERIALS['potassium-metabisulphite'].stockGPerL!
/** Why it went in, as the ledger keeps it. */
const PURPOSE: Record<SulphiteAim, string> = {
  'level': 'to its level',
  'next-round': 'to last until the next round',
  'bottle': 'for bottling',
  'lock': 'to lock the malic acid'
}

export type SulphiteNumber = 'ph' | 'volume' | 'free' | 'bound' | 'tablet' | 'actual'
export interface SulphiteChoices {
  salt: SulphiteSalt
  /** mg/L. */
  targetMolecular: number
  /** Of the fruit of a must. */
  health: FruitHealth
  /** By the pKa at this wine's alcohol and temperature. */
  byWine: boolean
  /** Bacteria are at work, and it goes in all the same. */
  knowing: boolean
}
type Values = BenchValues<SulphiteNumber, SulphiteChoices>
type LotDose = ReturnType<typeof doseFor>
type FirstOfLot = ReturnType<typeof firstDoseOf>

export interface SulphiteAnswer {
  /** A must gets its first sulphite by the health of its fruit, as on crush day. */
  must?: LotView | undefined
  first?: FirstOfLot | undefined
  /** Bacteria at work, or wanted, want no sulphite. */
  malolactic?: LotView['malolactic'] | undefined
  bacteriaWork: boolean
  /** What a kit's packet is still to bring, mg/L. */
  toComeMgPerL: number
  /** A wine is dosed for an aim; what is no lot, for a level alone. */
  aim: SulphiteAim
  /** The same wine for each aim, side by side. */
  aims: { aim: SulphiteAim, dose: LotDose | undefined }[]
  ofLot?: LotDose | undefined
  dose?: SulphiteDose | undefined
  usesStock: boolean
  stockMl?: number | undefined
  /** In the unit that it is measured out in: g, or mL of the stock solution. */
  planned?: number | undefined
  tablets?: ReturnType<typeof tabletsFor> | undefined
  methods: ReturnType<typeof methodAdvice>[]
  /** What the other pKa changes, mg/L free. */
  otherPka?: { abv: number, celsius: number, pka: number, freeBy: number, freeUsual: number } | undefined
}

/** Where a wine stands, as it is typed. */
function levelsOf({ ph, volume, free = 0, bound = 0, targetMolecular }: Values) {
  return ph === undefined || volume === undefined || Number.isNaN(free + bound)
    ? undefined
    : { ph, volumeL: volume, freeMgPerL: free, boundShare: bound / 100, molecular: targetMolecular }
}

const wineOf = (lot: LotView | undefined) => ({
  abv: Math.min(MOST.abv, lot?.abv?.value ?? USUAL_WINE.abv),
  celsius: lot?.temperature?.value ?? USUAL_WINE.celsius
})

/** What is added to a must, with what is to be said of that amount. */
function doseOfMust(must: LotView, first: FirstOfLot, { ph, volume, salt }: Values, scaleStepG: number): SulphiteDose | undefined {
  const dose = withinLimits(() =>
    sulphiteDose({
      ph: ph ?? usedPh(must).value,
      volumeL: volume!,
      targetFreeMgPerL: first.toAddMgPerL,
      salt,
      scaleStepG,
      totalMgPerL: must.totalSo2?.value ?? 0,
      limitTotalMgPerL: TOTAL_LIMIT[must.style]
    })
  )
  return dose && { ...dose, findings: dose.findings.filter((x) => OF_MUST.has(x.code)) }
}

/** What is added to a wine, or to what is no lot: for the aim of the lot, else for the level. */
function doseOfWine(values: Values, ofLot: LotDose | undefined, { lot, owns }: BenchContext): SulphiteDose | undefined {
  const typed = levelsOf(values)
  if (!typed) return undefined
  const { molecular, ...levels } = typed
  const dose = withinLimits(() =>
    sulphiteDose({
      ...levels,
      ...(ofLot ? { targetFreeMgPerL: ofLot.aimMgPerL } : { targetMolecularMgPerL: molecular }),
      salt: values.salt,
      scaleStepG: owns.scaleStepG,
      ...(values.byWine && wineOf(lot)),
      ...(lot && { totalMgPerL: lot.totalSo2?.value ?? 0, limitTotalMgPerL: TOTAL_LIMIT[lot.style] })
    })
  )
  if (!dose || !ofLot) return dose
  // Where its limit leaves room for less, that is said in its place.
  const findings = dose.findings.filter((x) => x.code !== 'over-total-limit' || !ofLot.cappedByLimit)
  return { ...dose, addMgPerL: ofLot.addMgPerL, grams: ofLot.grams, findings }
}

function otherPka({ ph, targetMolecular }: Values, lot: LotView | undefined): SulphiteAnswer['otherPka'] {
  if (ph === undefined) return undefined
  const wine = wineOf(lot)
  return withinLimits(() => {
    const pka = sulphurousPka(wine.abv, wine.celsius)
    return { ...wine, pka, freeBy: freeSo2For(targetMolecular, ph, pka), freeUsual: freeSo2For(targetMolecular, ph) }
  })
}

/** The dose of a lot: of a wine the one that the round, a racking and every task would give for the same aim. */
export const sulphite: Bench<SulphiteNumber, SulphiteChoices, SulphiteAnswer> = {
  choices: ({ lot, owns }) => ({
    salt: owns.salt,
    targetMolecular: !lot ? MOLECULAR_TARGET.white : isMust(lot) ? MOLECULAR_TARGET[lot.style] : molecularKept(lot),
    health: 'sound',
    byWine: false,
    knowing: false
  }),
  fill: ({ lot }) => ({
    ph: known(lot?.ph),
    volume: known(lot?.volume),
    free: known(lot?.freeSo2) ?? usual(0),
    bound: lot ? { value: lot.boundShare * 100, origin: lot.doses.length ? 'measured' : 'usual' } : usual(TYPICAL_BOUND_SHARE * 100)
  }),
  answer(values, context) {
    const { ph, volume, tablet, salt, targetMolecular, health, byWine } = values
    const { lot, owns, cameFor } = context
    const must = lot && isMust(lot) ? lot : undefined
    const wine = lot && !must && !byWine ? lot : undefined
    const first = must && volume !== undefined
      ? withinLimits(() => firstDoseOf(must, health, salt, { volumeL: volume, ...(ph !== undefined && { ph }) }))
      : undefined
    const levels = levelsOf(values)
    const doseOf = (aim: SulphiteAim) => wine && levels && withinLimits(() => doseFor(wine, aim, salt, levels))
    const aim = SULPHITE_AIMS.find((a) => a === cameFor) ?? (wine && isKept(wine) ? 'next-round' : 'level')
    const ofLot = doseOf(aim)
    const dose = must ? first && doseOfMust(must, first, values, owns.scaleStepG) : doseOfWine(values, ofLot, context)
    const usesStock = dose?.findings.some((x) => x.code === 'below-scale') ?? false
    const stockMl = dose && stockSolutionMl(dose.grams, STOCK_G_PER_L)
    const malolactic = lot && !must ? lot.malolactic : undefined
    const now = lot && levels && {
      freeMgPerL: levels.freeMgPerL,
      totalMgPerL: lot.totalSo2?.value ?? 0,
      boundShare: Math.min(MOST.bound, levels.boundShare),
      limitMgPerL: TOTAL_LIMIT[lot.style]
    }
    return {
      must,
      first,
      malolactic,
      bacteriaWork: malolactic === 'under-way' || malolactic === 'nearly',
      toComeMgPerL: lot ? sulphiteToCome(lot) : 0,
      aim,
      aims: SULPHITE_AIMS.map((a) => ({ aim: a, dose: doseOf(a) })),
      ofLot,
      dose,
      usesStock,
      stockMl,
      planned: usesStock ? stockMl : dose?.grams,
      tablets: dose && tablet !== undefined && volume !== undefined
        ? withinLimits(() => tabletsFor(Math.min(MOST.byTabletsMgPerL, dose.addMgPerL), volume, { weightG: tablet, salt }))
        : undefined,
      methods: (ph === undefined || (!must && !levels)
        ? undefined
        : withinLimits(() => METHODS.map((m) => methodAdvice(m, ph, targetMolecular, undefined, now)))) ?? [],
      otherPka: otherPka(values, lot)
    }
  },
  figure: ({ dose }) => dose?.grams,
  drafts({ actual, salt, targetMolecular, knowing }, { dose, must, ofLot, aim, usesStock, bacteriaWork }, { lot }) {
    if (!dose || actual === undefined) return { refused: 'nothing' }
    if (bacteriaWork && !knowing) return { refused: 'bacteria-work' }
    const purpose = must ? 'first sulphite' : ofLot ? PURPOSE[aim] : `for ${targetMolecular} mg/L molecular`
    return [addition({ lotId: lot.id, material: salt, planned: dose.grams, actual, byStock: usesStock, purpose })]
  }
}
