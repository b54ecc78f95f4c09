import { changeAcids } from '../acid-track'
import { isWine } from '../facets'
import { abvOf, mixBalance, sgOf } from '../balance'
import { type Solute, SOLUTES } from './solutes'
import type { Figure, LotState, Source } from '../state'
import { restsOn } from '../rests-on'

/** A top-up smaller than this part of the lot leaves what is known of it standing. */
const NEGLIGIBLE = 0.02
/** From this part on it is a blend, and no topping up: common practice, no source. */
const BLEND = 0.1

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
  if (into.acids && from.acids)
    changeAcids(into, { kind: 'blend', with: from.acids.composition, litresPerLitre: litres / before }, at, entryId)
  else if (1 - share > NEGLIGIBLE) {
    delete into.acids
    delete into.ph
    delete into.ta
  }
  for (const solute of SOLUTES) mixSolute(solute, into, from, share, { at, entryId })
  if (into.balance && from.balance) {
    into.balance = mixBalance(into.balance, from.balance, share)
    into.sg = {
      value: sgOf(into.balance),
      origin: 'estimated',
      at,
      uncertainty: 0.002,
      from: restsOn(into.sg?.from, from.sg?.from, entryId)
    }
    if (into.balance.ethanolGPerL > 0)
      into.abv = {
        value: abvOf(into.balance),
        origin: 'estimated',
        at,
        uncertainty: 0.5,
        from: restsOn(into.abv?.from, from.abv?.from, entryId)
      }
  }
  else if (1 - share > NEGLIGIBLE) {
    delete into.balance
    delete into.abv
    delete into.sg
  }
  if (1 - share > NEGLIGIBLE) {
    if (into.freeSo2) into.freeMixed = { at, mgPerL: into.freeSo2.value }
    delete into.paper
    delete into.clarity
    delete into.gas
    delete into.heatTest
    delete into.coldTest
  }
  // Musts are measured before their yeast in any case.
  if (1 - share >= BLEND && isWine(into)) into.blendedAt = at
  mixLiving(into, from)
  into.sources = mixSources(into.sources, from.sources, share)
}

/** By volume. What one side does not know is not known of the blend, unless the other brought next to nothing. */
function mixSolute(solute: Solute, into: LotState, from: LotState, share: number, by: { at: string, entryId: string }): void {
  const noted = [solute.get(into), solute.get(from)]
  if (!noted[0] && !noted[1]) return
  const [a, b] = [noted[0] ?? solute.guess?.(into), noted[1] ?? solute.guess?.(from)]
  if (solute.unnoted === 'unknown' && !(a && b)) {
    if (!a || 1 - share > NEGLIGIBLE) solute.set(into, undefined)
    return
  }
  const part = (f: Figure | undefined, of: 'value' | 'uncertainty', weight: number) => (f?.[of] ?? 0) * weight
  solute.set(into, {
    value: part(a, 'value', share) + part(b, 'value', 1 - share),
    origin: 'estimated',
    at: by.at,
    uncertainty: Math.hypot(part(a, 'uncertainty', share), part(b, 'uncertainty', 1 - share)),
    from: restsOn(a?.from, b?.from, by.entryId)
  })
}

/** Yeast and bacteria come along with the wine they are in. */
function mixLiving(into: LotState, from: LotState): void {
  const earlier = (a: string | undefined, b: string | undefined) => (a !== undefined && b !== undefined ? (a < b ? a : b) : (a ?? b))
  const [inoculatedAt, bacteriaAt] = [earlier(into.inoculatedAt, from.inoculatedAt), earlier(into.bacteriaAt, from.bacteriaAt)]
  if (inoculatedAt !== undefined) into.inoculatedAt = inoculatedAt
  if (bacteriaAt !== undefined) into.bacteriaAt = bacteriaAt
  const sulphited = [into.lastSulphiteAt, from.lastSulphiteAt]
    .filter((x) => x !== undefined)
    .sort()
    .at(-1)
  if (sulphited !== undefined) into.lastSulphiteAt = sulphited
}

/** An empty lot that is filled from another takes over what is known of it. */
function takeOver(into: LotState, from: LotState): void {
  into.sources = from.sources
  if (Object.keys(into.planned).length === 0) into.planned = from.planned
  into.alcoholic = from.alcoholic
  if (from.yeast) into.yeast = from.yeast
  if (from.pressedAt) into.pressedAt = from.pressedAt
  into.fed = from.fed
  for (const key of ['ph', 'ta', 'sg', 'originalSg', 'abv', 'balance', 'acids', 'temperature'] as const) {
    if (from[key] !== undefined) Object.assign(into, { [key]: from[key] })
  }
  for (const solute of SOLUTES) solute.set(into, solute.get(from))
  into.boundShare = from.boundShare
  into.doses = from.doses
  into.sulphited = from.sulphited
  for (const key of [
    'bacteria',
    'rackedAt',
    'paper',
    'clarity',
    'gas',
    'heatTest',
    'coldTest',
    'freeMixed',
    'blendedAt',
    'bubbled'
  ] as const) if (from[key] !== undefined) Object.assign(into, { [key]: from[key] })
  mixLiving(into, from)
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
