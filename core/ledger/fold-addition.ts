import type { AcidChange } from '../acids'
import { NUTRIENTS } from '../yeast'
import type { EntryOf } from './entry'
import { changeAcids } from './acid-track'
import { NOTHING, abvOf, mixBalance, sgOf } from './balance'
import { freeSo2At } from './free-so2'
import type { Figure, LotState } from './state'
import { restsOn } from './rests-on'

/** Spread of the bound share between musts and wines, as a part of the addition: common practice, no source. */
const BOUND_SPREAD = 0.2
/** How far the nitrogen on a nutrient's label can be trusted, as a part of it: common practice, no source. */
const LABEL_SPREAD = 0.1
/** Litres that a gram of dissolved sugar takes up. */
const LITRES_PER_GRAM = 0.00062
/** What an estimated gravity is good for after an addition, SG. */
const ESTIMATED_SG = 0.002

const ACIDS = new Set(['tartaric', 'malic', 'citric', 'lactic'])
const CARBONATES = new Set(['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate'])

/** Takes an addition into a lot's state: what went in, not what was planned. */
export function foldAddition(lot: LotState, addition: EntryOf<'addition'>): void {
  const total = lot.added.get(addition.material)
  lot.added.set(addition.material, { actual: (total?.actual ?? 0) + addition.actual, unit: addition.unit, times: (total?.times ?? 0) + 1, lastAt: addition.at })
  if (addition.actual === 0) return
  lot.staged = stagedAfter(lot.staged, addition)
  if (addition.so2Share !== undefined) foldSulphite(lot, addition, addition.so2Share)
  const gPerL = addition.actual / lot.volume.value
  const { material } = addition
  if (ACIDS.has(material)) changeAcids(lot, { kind: material, gPerL: Math.min(20, gPerL) } as AcidChange, addition.at, addition.id)
  else if (CARBONATES.has(material)) changeAcids(lot, { kind: material, gPerL: Math.min(10, gPerL) } as AcidChange, addition.at, addition.id)
  else if (material === 'water') thin(lot, addition, addition.unit === 'L' ? addition.actual : addition.actual / 1000)
  else if (material === 'sugar') sweeten(lot, addition)
  else feed(lot, addition)
}

/** Water thins everything: sugar, alcohol, acids and sulphite. */
function thin(lot: LotState, addition: EntryOf<'addition'>, litres: number): void {
  changeAcids(lot, { kind: 'water', litresPerLitre: Math.min(1, litres / lot.volume.value) }, addition.at, addition.id)
  dilute(lot, addition, litres)
  if (lot.balance) lot.balance = mixBalance(lot.balance, NOTHING, 1 - litres / lot.volume.value)
  renewGravity(lot, addition)
}

function sweeten(lot: LotState, addition: EntryOf<'addition'>): void {
  changeAcids(lot, { kind: 'sugar', gPerL: Math.min(300, addition.actual / lot.volume.value) }, addition.at, addition.id)
  const litres = addition.actual * LITRES_PER_GRAM
  dilute(lot, addition, litres)
  if (lot.balance) {
    const thinned = mixBalance(lot.balance, NOTHING, 1 - litres / lot.volume.value)
    lot.balance = { ...thinned, extractGPerL: thinned.extractGPerL + addition.actual / lot.volume.value }
  }
  renewGravity(lot, addition)
}

/** The first of several stages opens a plan, the last one closes it. */
function stagedAfter(staged: LotState['staged'], addition: EntryOf<'addition'>): LotState['staged'] {
  if (!addition.stage) return staged
  const after = new Map(staged)
  if (addition.stage.number < addition.stage.of) after.set(addition.material, { at: addition.at, actual: addition.actual, ...(addition.planned !== undefined && { planned: addition.planned }) })
  else after.delete(addition.material)
  return after
}

/** Nutrient by the nitrogen on its card; rehydration nutrient is on none, for it never feeds the must. */
function feed(lot: LotState, addition: EntryOf<'addition'>): void {
  const card = NUTRIENTS.find(n => n.key === addition.material)
  if (!card) return
  const before = lot.nitrogenGiven
  const given = addition.actual * card.nitrogenMgPerG / lot.volume.value
  lot.nitrogenGiven = {
    value: (before?.value ?? 0) + given, origin: 'estimated', at: addition.at, uncertainty: (before?.uncertainty ?? 0) + given * LABEL_SPREAD, from: restsOn(before?.from, addition.id)
  }
}

/** More volume, shared over the vessels as they stand; what was dissolved stays the same in all and is less in each litre. */
function dilute(lot: LotState, addition: EntryOf<'addition'>, litres: number): void {
  const before = lot.volume.value
  const share = before / (before + litres)
  for (const [vesselId, held] of lot.contents) lot.contents.set(vesselId, held / share)
  lot.volume = { ...lot.volume, value: before + litres, at: addition.at, from: restsOn(lot.volume.from, addition.id) }
  for (const key of ['freeSo2', 'totalSo2', 'nitrogenGiven'] as const) {
    const figure = lot[key]
    if (figure) lot[key] = { ...figure, value: figure.value * share, origin: 'estimated', at: addition.at, from: restsOn(figure.from, addition.id) }
  }
}

/** After water or sugar the gravity is an estimate; in a must it is also the new original one. */
function renewGravity(lot: LotState, addition: EntryOf<'addition'>): void {
  if (!lot.balance || !lot.sg) return
  lot.sg = { value: sgOf(lot.balance), origin: 'estimated', at: addition.at, uncertainty: ESTIMATED_SG, from: restsOn(lot.sg.from, addition.id) }
  if (lot.stage === 'must') lot.originalSg = lot.sg
  else lot.abv = { value: abvOf(lot.balance), origin: 'estimated', at: addition.at, uncertainty: 0.5, from: restsOn(lot.abv?.from, addition.id) }
}

/** Between readings free SO₂ is an estimate: the last one plus the part of the addition that does not bind. */
function foldSulphite(lot: LotState, addition: EntryOf<'addition'>, so2Share: number): void {
  const addedMgPerL = addition.actual * so2Share * 1000 / lot.volume.value
  const estimate = (before: Figure | undefined, rise: number, spread: number): Figure => ({
    value: (before?.value ?? 0) + rise,
    origin: 'estimated',
    at: addition.at,
    uncertainty: Math.hypot(before?.uncertainty ?? 0, spread),
    from: restsOn(before?.from, addition.id)
  })
  const standing = lot.freeSo2 && freeSo2At(lot.freeSo2, addition.at)
  lot.pendingDose = lot.pendingDose
    ? { ...lot.pendingDose, addedMgPerL: lot.pendingDose.addedMgPerL + addedMgPerL, at: addition.at }
    : { addedMgPerL, freeBeforeMgPerL: standing?.value ?? 0, at: addition.at }
  lot.freeSo2 = estimate(standing, addedMgPerL * (1 - lot.boundShare), addedMgPerL * BOUND_SPREAD)
  lot.totalSo2 = estimate(lot.totalSo2, addedMgPerL, addedMgPerL * 0.05)
  lot.lastSulphiteAt = addition.at
}
