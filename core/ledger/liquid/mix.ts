import { changeAcids } from '../acid-track'
import { isMust, isWine } from '../facets'
import { abvOf, mixBalance, sgOf } from '../balance'
import { freeSo2At } from '../free-so2'
import { drynessOf } from '../dryness'
import { type Solute, SOLUTES, soluteAt } from './solutes'
import type { CameIn, Figure, LotState, Source } from '../state'
import { restsOn } from '../rests-on'
import { takeOver } from './take-over'

/** A top-up smaller than this part of the lot leaves what was seen and tested of it as it was. */
const NEGLIGIBLE = 0.02
/** How far two wines of one cellar may lie apart in pH and TA, g/L: common practice, no source. */
const UNLIKE = { ph: 0.5, ta: 3 } as const
/** From this part on it is a blend, and no topping up: common practice, no source. */
const BLEND = 0.1
/** Free SO₂ of a wine that nobody measured, mg/L, and how far that may be off: common practice, no source. */
const UNREAD_FREE = { value: 15, uncertainty: 15 } as const
/** What may not change a wine's sugar by more than this unseen, g/L: half of what a sugar test calls dry. Ours. */
const SUGAR_UNSEEN = 1
/** Sugar in a wine whose end nobody proved, g/L: what a stuck wine may hold. Ours. */
const SUGAR_UNPROVEN = 10

interface By { at: string, entryId: string }

/**
 * Wine of one lot comes into another: everything dissolved is mixed by volume, pH and TA by the acid equilibrium, and the
 * sources keep their shares. What either side does not know is not known of the blend.
 * @param into the lot that receives, as it was before
 * @param from the lot that gives
 * @param litres what arrives
 */
export function mixInto(into: LotState, from: LotState, litres: number, at: string, entryId: string): void {
  const before = into.volume.value
  if (before <= 0) {
    takeOver(into, from)
    return
  }
  const share = before / (before + litres)
  const by = { at, entryId }
  const part = 1 - share
  const sweetens = sugarBrought(from) * part > SUGAR_UNSEEN
  into.cameIn = [...into.cameIn, cameFrom(from, share, at)]
  mixAcids(into, from, share, litres / before, by)
  for (const solute of SOLUTES) mixSolute(solute, into, from, share, by)
  mixBalances(into, from, share, by)
  if (part > NEGLIGIBLE) {
    delete into.paper
    delete into.clarity
    delete into.gas
    delete into.heatTest
    delete into.coldTest
  }
  if (sweetens) into.unsettledAt = at
  // Musts are measured before their yeast in any case.
  if (part >= BLEND && isWine(into)) into.blendedAt = at
  mixLiving(into, from, part, at)
  into.sources = mixSources(into.sources, from.sources, share)
}

function cameFrom(from: LotState, share: number, at: string): CameIn {
  const free = from.freeSo2 ? freeSo2At(from.freeSo2, at) : UNREAD_FREE
  return { at, share, broughtMgPerL: Math.max(0, free.value), uncertainty: free.uncertainty, wine: true }
}

/** Sugar that a wine may bring, g/L: none that anybody need look for once its end was proven. */
const sugarBrought = (from: LotState): number =>
  from.others.sugar?.value ?? (isWine(from) && drynessOf(from)?.proven ? 0 : SUGAR_UNPROVEN)

function mixAcids(into: LotState, from: LotState, share: number, litresPerLitre: number, by: By): void {
  if (into.acids && from.acids)
    changeAcids(into, { kind: 'blend', with: from.acids.composition, litresPerLitre }, by.at, by.entryId)
  else if (1 - share >= BLEND) {
    delete into.acids
    delete into.ph
    delete into.ta
  }
  else {
    loosen(into, 'ph', UNLIKE.ph * (1 - share))
    loosen(into, 'ta', UNLIKE.ta * (1 - share))
  }
}

/** Less is known of a figure once a little of what nobody measured came in. */
function loosen(lot: LotState, name: 'ph' | 'ta', by: number): void {
  const figure = lot[name]
  if (figure) lot[name] = { ...figure, uncertainty: Math.hypot(figure.uncertainty, by) }
}

function mixBalances(into: LotState, from: LotState, share: number, { at, entryId }: By): void {
  if (into.balance && from.balance) {
    into.balance = mixBalance(into.balance, from.balance, share)
    const about = { origin: 'estimated', at } as const
    into.sg = { value: sgOf(into.balance), uncertainty: 0.002, ...about, from: restsOn(into.sg?.from, from.sg?.from, entryId) }
    if (into.balance.ethanolGPerL > 0)
      into.abv = { value: abvOf(into.balance), uncertainty: 0.5, ...about, from: restsOn(into.abv?.from, from.abv?.from, entryId) }
  }
  else if (1 - share >= BLEND) {
    delete into.balance
    delete into.abv
    delete into.sg
  }
}

/**
 * By volume. What one side does not know is not known of the blend, unless the other brought little. A topping up leaves a figure that
 * was measured what it is: it was measured then, and is a little more or less now.
 */
function mixSolute(solute: Solute, into: LotState, from: LotState, share: number, { at, entryId }: By): void {
  const [own, other] = [soluteAt(solute, into, at), soluteAt(solute, from, at)]
  if (!own && !other) return
  const [a, b] = [own ?? solute.guess?.(into), other ?? solute.guess?.(from)]
  if (solute.unnoted === 'unknown' && !(a && b)) {
    if (!a || 1 - share >= BLEND) solute.set(into, undefined)
    return
  }
  const part = (f: Figure | undefined, of: 'value' | 'uncertainty', weight: number) => (f?.[of] ?? 0) * weight
  const value = part(a, 'value', share) + part(b, 'value', 1 - share)
  const uncertainty = Math.hypot(part(a, 'uncertainty', share), part(b, 'uncertainty', 1 - share))
  const from_ = restsOn(a?.from, b?.from, entryId)
  const read = solute.get(into)
  const topped = 1 - share < BLEND && own && read && own.value > 0
  solute.set(into, topped
    ? { ...read, value: (read.value * value) / own.value, uncertainty, from: from_ }
    : { value, origin: 'estimated', at, uncertainty, from: from_ })
}

/** Yeast and bacteria come along with the wine they are in; from what only fills a neck they come where they are at work. */
function mixLiving(into: LotState, from: LotState, part: number, at: string): void {
  const earlier = (a: string | undefined, b: string | undefined) => (a !== undefined && b !== undefined ? (a < b ? a : b) : (a ?? b))
  // A must that gets a jug of one that ferments begins with that jug.
  const begins = into.inoculatedAt === undefined && isMust(into) && part < BLEND && from.inoculatedAt !== undefined
  const inoculatedAt = begins ? at : earlier(into.inoculatedAt, from.inoculatedAt)
  if (inoculatedAt !== undefined) into.inoculatedAt = inoculatedAt
  const resting = from.lastSulphiteAt !== undefined && from.bacteriaAt !== undefined && from.lastSulphiteAt > from.bacteriaAt
  if (from.bacteriaAt !== undefined && (part >= BLEND || !resting)) into.bacteriaAt = earlier(into.bacteriaAt, from.bacteriaAt)!
  // What was done to a wine that fills a neck was not done to this one.
  if (part < BLEND) return
  const sulphited = [into.lastSulphiteAt, from.lastSulphiteAt].filter((x) => x !== undefined).sort().at(-1)
  if (sulphited !== undefined) into.lastSulphiteAt = sulphited
}

function mixSources(a: readonly Source[], b: readonly Source[], share: number): Source[] {
  const mixed = new Map(a.map((s) => [s.key, { ...s, share: s.share * share }]))
  for (const s of b) {
    const known = mixed.get(s.key)
    if (known) known.share += s.share * (1 - share)
    else mixed.set(s.key, { ...s, share: s.share * (1 - share) })
  }
  return [...mixed.values()].sort((x, y) => y.share - x.share)
}
