import { type EntryOf, type LotState, type Style, isFermenting, isHeld, isMust, isWine, reckonedAmount, reckonedBrix } from '../ledger'
import { materialKey } from '../materials'
import { ENZYME_G_PER_L, testFerment, yieldOfArrival } from '../must'
import { MOLECULAR_TARGET, PH_TOO_HIGH, SO2_SHARE, type SulphiteSalt, TYPICAL_BOUND_SHARE, firstDose, freeSo2For } from '../sulphite'
import { ASSUMED_YAN, PITCH, nutrientPlan, nutrientsLeft } from '../yeast'
import { correctionOf } from '../stages'

export type NeedReason =
  | 'first-sulphite'
  | 'later-sulphite'
  | 'acid'
  | 'sugar'
  | 'carbonate'
  | 'yeast'
  | 'rehydration'
  | 'nutrient'
  | 'enzyme'
  | 'staged-rest'

export interface Need {
  /** The lot, or the arrival that is still to come. */
  of: string
  name: string
  material: string
  unit: 'g' | 'mL'
  amount: number
  reason: NeedReason
  /** From this lot's readings, or from what is usual while nothing is known. */
  basis: 'readings' | 'assumed'
  /** pH, where it decides who comes first when something is short. */
  ph?: number
}

/** What is taken while nothing is measured: tartaric g/L, pH, °Brix. Common practice, no source. */
const USUAL: Record<Style, { tartaric: number, ph: number, brix: number }> = {
  red: { tartaric: 1, ph: 3.6, brix: 24 },
  rose: { tartaric: 0.5, ph: 3.4, brix: 22 },
  white: { tartaric: 0.5, ph: 3.3, brix: 21.5 }
}
/** Additions after the ferment until it is bottled, and what each brings: common practice, no source. */
const UPKEEP = { times: 3, mgPerL: 15 } as const
/** Wine that is left of the must after press and lees: common practice, no source. */
const WINE_OF_MUST = 0.92

interface Who {
  of: string
  name: string
  ph?: number
}

/** A last cup wants nothing that anybody buys, L. */
const LEAST_L = 0.1

/**
 * What an open lot will still need until it is bottled: from its readings and plans where there are some, from what is usual
 * where not. Kits bring their own packets and need nothing here.
 * @param lot its state
 * @param salt the sulphite in this house
 */
export function needsOfLot(lot: LotState, salt: SulphiteSalt): Need[] {
  if (!isHeld(lot) || lot.volume.value < LEAST_L || lot.stream === 'kit') return []
  const who: Who = { of: lot.id, name: lot.name, ...(lot.ph && { ph: lot.ph.value }) }
  if (lot.stream === 'test') return lot.inoculatedAt ? [] : needsOfTest(who, lot.massKg ?? 5, salt)
  const litres = lot.volume.value
  const needs: Need[] = []
  if (isMust(lot)) {
    if (!lot.lastSulphiteAt) needs.push(first(who, litres, lot.style, salt, lot.ph?.value))
    needs.push(...corrections(lot, who), ...forYeast(who, litres, lot.sg && reckonedBrix(lot.sg.value), lot.style, 0))
    if (!lot.added.has('pectic-enzyme') && lot.style !== 'red' && lot.stream !== 'juice')
      needs.push({ ...who, material: 'pectic-enzyme', unit: 'g', amount: litres * ENZYME_G_PER_L, reason: 'enzyme', basis: 'readings' })
  }
  if (isFermenting(lot)) needs.push(...stillToFeed(lot, who))
  const wineL = isWine(lot) ? litres : litres * WINE_OF_MUST
  needs.push(later(who, wineL, lot.style, salt, lot.ph?.value, isWine(lot) ? (lot.freeSo2?.value ?? 0) : 0))
  return needs.filter((n) => n.amount > 1e-6)
}

/** What fruit or pails that are still to come will need, by what is usual. */
export function needsOfArrival(arrival: EntryOf<'arrival-expected'>, salt: SulphiteSalt): Need[] {
  const { stream, style } = arrival
  const amount = arrival.massKg ?? arrival.volumeL
  if (amount === undefined || stream === 'kit' || stream === 'blend') return []
  const who: Who = { of: arrival.arrivalId, name: arrival.name }
  if (stream === 'test') return needsOfTest(who, Math.min(25, Math.max(1, amount)), salt)
  const litres = yieldOfArrival(stream, style, reckonedAmount(amount)).juice.value
  return [
    first(who, litres, style, salt),
    { ...who, material: 'tartaric', unit: 'g', amount: USUAL[style].tartaric * litres, reason: 'acid', basis: 'assumed' },
    ...forYeast(who, litres, undefined, style, 0),
    ...(style === 'red' || stream === 'juice'
      ? []
      : [
          {
            ...who,
            material: 'pectic-enzyme',
            unit: 'g' as const,
            amount: litres * ENZYME_G_PER_L,
            reason: 'enzyme' as const,
            basis: 'assumed' as const
          }
        ]),
    later(who, litres * WINE_OF_MUST, style, salt)
  ]
}

function first(who: Who, litres: number, style: Style, salt: SulphiteSalt, ph?: number): Need {
  const known = ph !== undefined && ph >= 2.5 && ph <= 4.5
  return {
    ...who,
    material: salt,
    unit: 'g',
    amount: firstDose(litres, 'sound', style, salt, known ? ph : undefined).grams,
    reason: 'first-sulphite',
    basis: known ? 'readings' : 'assumed'
  }
}

/** After the ferment up to the level for its pH, then upkeep until it is bottled. */
function later(who: Who, litres: number, style: Style, salt: SulphiteSalt, ph?: number, freeMgPerL = 0): Need {
  const free = freeSo2For(MOLECULAR_TARGET[style], Math.min(PH_TOO_HIGH, Math.max(2.8, ph ?? USUAL[style].ph)))
  const mgPerL = (Math.max(0, free - freeMgPerL) + UPKEEP.times * UPKEEP.mgPerL) / (1 - TYPICAL_BOUND_SHARE)
  return {
    ...who,
    material: salt,
    unit: 'g',
    amount: (mgPerL * litres) / 1000 / SO2_SHARE[salt],
    reason: 'later-sulphite',
    basis: ph === undefined ? 'assumed' : 'readings'
  }
}

/** Acid, carbonate and sugar by the finder when the must is measured; else what is usual. What was left out stays out. */
function corrections(lot: LotState, who: Who): Need[] {
  if (lot.endedTasks.has('crush:correct')) return []
  const found = correctionOf(lot)
  if (!found) {
    return lot.added.has('tartaric')
      ? []
      : [
          {
            ...who,
            material: 'tartaric',
            unit: 'g',
            amount: USUAL[lot.style].tartaric * lot.volume.value,
            reason: 'acid',
            basis: 'assumed'
          }
        ]
  }
  return found.additions.flatMap((a): Need[] =>
    a.unit === 'L'
      ? []
      : [
          {
            ...who,
            material: materialKey(a.material),
            unit: 'g',
            amount: a.total,
            reason: lot.staged.has(materialKey(a.material))
              ? 'staged-rest'
              : a.material === 'sucrose'
                ? 'sugar'
                : a.material === 'tartaric'
                  ? 'acid'
                  : 'carbonate',
            basis: 'readings'
          }
        ]
  )
}

function forYeast(
  who: Who,
  litres: number,
  brix: number | undefined,
  style: Style,
  givenMgPerL: number,
  givenGPerL: Record<string, number> = {}
): Need[] {
  const yeastG = litres * PITCH.gPerL
  const plan = nutrientPlan(
    Math.max(0.5, litres),
    Math.min(40, Math.max(5, brix ?? USUAL[style].brix)),
    'medium',
    ASSUMED_YAN + givenMgPerL,
    nutrientsLeft(givenGPerL)
  )
  const basis = brix === undefined ? 'assumed' : 'readings'
  const nutrients = new Map<string, number>()
  for (const a of plan.additions) nutrients.set(a.nutrient, (nutrients.get(a.nutrient) ?? 0) + a.grams)
  return [
    { ...who, material: 'yeast', unit: 'g', amount: yeastG, reason: 'yeast', basis: 'readings' },
    { ...who, material: 'rehydration-nutrient', unit: 'g', amount: yeastG * PITCH.nutrientPerG, reason: 'rehydration', basis: 'readings' },
    ...[...nutrients].map(([material, amount]): Need => ({ ...who, material, unit: 'g', amount, reason: 'nutrient', basis }))
  ]
}

/** None is given after two thirds of the sugar (craft 3.6). */
function stillToFeed(lot: LotState, who: Who): Need[] {
  const { originalSg, sg } = lot
  if (!originalSg || !sg || originalSg.value < 1.02 || (originalSg.value - sg.value) / (originalSg.value - 1) > 2 / 3) return []
  return forYeast(who, lot.volume.value, reckonedBrix(originalSg.value), lot.style, lot.nitrogenGiven?.value ?? 0, givenTo(lot)).filter(
    (n) => n.reason === 'nutrient'
  )
}

/** g/L of each material that went in, of the present volume. */
const givenTo = (lot: LotState): Record<string, number> =>
  Object.fromEntries([...lot.added].map(([material, { actual }]) => [material, actual / lot.volume.value]))

function needsOfTest(who: Who, massKg: number, salt: SulphiteSalt): Need[] {
  const reason = (material: string): NeedReason => (material === 'yeast' ? 'yeast' : material === salt ? 'first-sulphite' : 'nutrient')
  return testFerment(Math.min(25, Math.max(1, massKg)), salt)
    .days.flatMap((d) => d.additions)
    .map((a) => ({ ...who, material: a.material, unit: 'g', amount: a.grams, reason: reason(a.material), basis: 'assumed' }))
}
