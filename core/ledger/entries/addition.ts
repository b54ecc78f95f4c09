import { daysBetween } from '../../units'
import type { AcidChange } from '../../acids'
import type { MaterialCard } from '../../materials'
import { cardOf } from '../../materials'
import type { EntryOf } from '../entry'
import type { Folding } from '../fold/folding'
import { type Act, asItWas, judgeAddition, noteActs } from '../acts'
import { changeAcids } from '../acid-track'
import { NOTHING, abvOf, mixBalance, sgOf } from '../balance'
import { isMust, isWine } from '../facets'
import { freeSo2At } from '../free-so2'
import { dilute, residualOf } from '../liquid'
import { malolacticOf } from '../plan'
import type { Figure, LotState } from '../state'
import { restsOn } from '../rests-on'
import { type EntryKind, ofLot } from './kind'
import { lotOf } from './lot-started'
import { consume } from './stock'

/** Spread of the bound share between musts and wines, as a part of the addition: common practice, no source. */
const BOUND_SPREAD = 0.2
/** How far the nitrogen on a nutrient's label can be trusted, as a part of it: common practice, no source. */
const LABEL_SPREAD = 0.1
/** What an estimated gravity is good for after an addition, SG. */
const ESTIMATED_SG = 0.002

/** The acid model knows changes up to these, g/L: more of one thing in one go is a slip of the pen. */
const MOST_AT_ONCE = { acid: 20, carbonate: 10, sugar: 300 } as const

export const addition: EntryKind<'addition'> = {
  type: 'addition',
  touches: (e) => ofLot(e, { materials: [e.material] }),
  apply(folding, added) {
    const lot = lotOf(folding, added)
    if (!lot) return
    if (added.actual > 0 && !(lot.volume.value > 0)) {
      folding.problem({ code: 'nothing-there', entryId: added.id, lotId: lot.id, material: added.material })
      return
    }
    const before = asItWas(lot)
    const old = oldPackage(folding, added)
    consume(folding, added, lot)
    if ((added.so2Share ?? 0) > 0 && added.actual > 0 && ['under-way', 'nearly'].includes(malolacticOf(lot))) {
      folding.problem({ code: 'sulphite-in-malolactic', entryId: added.id, lotId: lot.id })
    }
    const { cards, instruments } = folding.cellar
    takeAddition(lot, added, cardOf(added.material, cards))
    const step = [...instruments.values()].find((i) => i.kind === 'scale')?.step
    noteActs(lot, added, [...judgeAddition(before, lot, added, cards, step), ...old])
    lot.lastAdded = { material: added.material, actual: added.actual, at: added.at }
  }
}

/** Out of a package that was open for longer than its card gives it, or past its date. */
function oldPackage(folding: Folding, { material, actual, at }: EntryOf<'addition'>): Act[] {
  const card = cardOf(material, folding.cellar.cards)
  const from = folding.cellar.stock.get(material)?.packages.find((p) => p.left > 0 && p.stockedAt <= at)
  if (!card || !from || actual <= 0) return []
  const open = from.opened === undefined ? 0 : daysBetween(from.opened, at)
  const past = from.expires !== undefined && from.expires < at
  return open > card.opened.days || past ? [{ code: 'old-package', material, days: Math.round(open) }] : []
}

/** What of an addition changes a lot. */
export type WentIn = Pick<EntryOf<'addition'>, 'id' | 'at' | 'material' | 'unit' | 'actual' | 'planned' | 'so2Share' | 'stage'>

/** Takes an addition into a lot's state: what went in, not what was planned, by what its card says that it does. */
export function takeAddition(lot: LotState, addition: WentIn, card: MaterialCard | undefined): void {
  const total = lot.added.get(addition.material)
  lot.added = new Map(lot.added).set(addition.material, {
    actual: (total?.actual ?? 0) + addition.actual,
    unit: addition.unit,
    times: (total?.times ?? 0) + 1,
    lastAt: addition.at
  })
  if (addition.actual === 0) return
  lot.putIn = new Map(lot.putIn).set(addition.material, addition.at)
  lot.staged = stagedAfter(lot.staged, addition)
  if (addition.so2Share !== undefined) foldSulphite(lot, addition, addition.so2Share)
  if (!card || lot.volume.value <= 0) return
  const { effect } = card
  const gPerL = addition.actual / lot.volume.value
  switch (effect.on) {
    case 'acids': {
      const change: AcidChange =
        'acid' in effect
          ? { kind: effect.acid, gPerL: Math.min(MOST_AT_ONCE.acid, gPerL * (effect.gPerMl ?? 1)) }
          : { kind: effect.salt, gPerL: Math.min(MOST_AT_ONCE.carbonate, gPerL) }
      changeAcids(lot, change, addition.at, addition.id)
      if ('acid' in effect && effect.gPerMl) thin(lot, addition, addition.actual / 1000)
      return
    }
    case 'volume':
      return thin(lot, addition, addition.unit === 'L' ? addition.actual : addition.actual / 1000)
    case 'sugar':
      return sweeten(lot, addition, effect)
    case 'nitrogen':
      return feed(lot, addition, effect.mgPerG)
    case 'sulphite':
    case 'nothing':
      return
  }
}

/** Water thins everything: sugar, alcohol, acids and sulphite. */
function thin(lot: LotState, addition: WentIn, litres: number): void {
  // The acid model takes at most as much water as there is wine at once; more goes in by steps.
  let [left, there] = [litres, lot.volume.value]
  while (left > 0) {
    const part = Math.min(left, there)
    changeAcids(lot, { kind: 'water', litresPerLitre: part / there }, addition.at, addition.id)
    left -= part
    there += part
  }
  dilute(lot, litres, addition)
  if (lot.balance) lot.balance = mixBalance(lot.balance, NOTHING, 1 - litres / lot.volume.value)
  renewGravity(lot, addition)
}

/** Sugar, honey or concentrate: its sugar, its own water and acid, and the room it takes up. */
function sweeten(lot: LotState, addition: WentIn, effect: Extract<MaterialCard['effect'], { on: 'sugar' }>): void {
  const gPerL = addition.actual / lot.volume.value
  changeAcids(lot, { kind: 'sugar', gPerL: Math.min(MOST_AT_ONCE.sugar, gPerL) }, addition.at, addition.id)
  if (effect.acidShare)
    changeAcids(lot, { kind: 'tartaric', gPerL: Math.min(MOST_AT_ONCE.acid, gPerL * effect.acidShare) }, addition.at, addition.id)
  const litres = addition.actual * effect.litresPerG
  const sugar = isWine(lot) ? residualOf(lot) : undefined
  dilute(lot, litres, addition)
  if (lot.balance) {
    const thinned = mixBalance(lot.balance, NOTHING, 1 - litres / lot.volume.value)
    lot.balance = { ...thinned, extractGPerL: thinned.extractGPerL + (addition.actual * effect.sugarShare) / lot.volume.value }
  }
  renewGravity(lot, addition)
  // What goes into a wine stays in it as sugar: a test before that tells no more of it.
  if (sugar) {
    const before = lot.volume.value - litres
    const value = (sugar.value * before + addition.actual * effect.sugarShare) / lot.volume.value
    const from = restsOn(sugar.from, addition.id)
    lot.others = { ...lot.others, sugar: { value, origin: 'estimated', at: addition.at, uncertainty: sugar.uncertainty, from } }
  }
}

/** The first of several stages opens a plan, the last one closes it. */
function stagedAfter(staged: LotState['staged'], addition: WentIn): LotState['staged'] {
  if (!addition.stage) return staged
  const after = new Map(staged)
  if (addition.stage.number < addition.stage.of)
    after.set(addition.material, {
      at: addition.at,
      actual: addition.actual,
      ...(addition.planned !== undefined && { planned: addition.planned })
    })
  else after.delete(addition.material)
  return after
}

/** Nutrient by the nitrogen on its card; rehydration nutrient has none there, for it never feeds the must. */
function feed(lot: LotState, addition: WentIn, mgPerG: number): void {
  const before = lot.nitrogenGiven
  const given = (addition.actual * mgPerG) / lot.volume.value
  lot.fed = [...lot.fed, { at: addition.at, mgPerL: given, entryId: addition.id }]
  lot.nitrogenGiven = {
    value: (before?.value ?? 0) + given,
    origin: 'estimated',
    at: addition.at,
    uncertainty: (before?.uncertainty ?? 0) + given * LABEL_SPREAD,
    from: restsOn(before?.from, addition.id)
  }
}

/** After water or sugar the gravity is an estimate; in a must it is also the new original one. */
function renewGravity(lot: LotState, addition: WentIn): void {
  if (!isMust(lot)) lot.changedSugarAt = addition.at
  if (!lot.balance || !lot.sg) return
  lot.sg = {
    value: sgOf(lot.balance),
    origin: 'estimated',
    at: addition.at,
    uncertainty: ESTIMATED_SG,
    from: restsOn(lot.sg.from, addition.id)
  }
  if (isMust(lot)) lot.originalSg = lot.sg
  else
    lot.abv = {
      value: abvOf(lot.balance),
      origin: 'estimated',
      at: addition.at,
      uncertainty: 0.5,
      from: restsOn(lot.abv?.from, addition.id)
    }
}

/** Between readings free SO₂ is an estimate: the last one plus the part of the addition that does not bind. */
function foldSulphite(lot: LotState, addition: WentIn, so2Share: number): void {
  const addedMgPerL = (addition.actual * so2Share * 1000) / lot.volume.value
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
  lot.sulphited = [...lot.sulphited, { at: addition.at, mgPerL: addedMgPerL, entryId: addition.id }]
}
