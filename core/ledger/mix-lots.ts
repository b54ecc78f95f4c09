import { changeAcids } from './acid-track'
import { abvOf, mixBalance, sgOf } from './balance'
import type { Figure, LotState, Source } from './state'
import { restsOn } from './rests-on'

/** A top-up smaller than this part of the lot leaves what is known of it standing. */
const NEGLIGIBLE = 0.02

function forget(lot: LotState, key: 'freeSo2' | 'totalSo2'): void {
  if (key === 'freeSo2') delete lot.freeSo2
  else delete lot.totalSo2
}

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
  const mixed = (a: Figure | undefined, b: Figure | undefined): Figure | undefined => a && b && {
    value: a.value * share + b.value * (1 - share), origin: 'estimated', at, uncertainty: Math.hypot(a.uncertainty * share, b.uncertainty * (1 - share)), from: restsOn(a.from, b.from, entryId)
  }
  if (into.acids && from.acids) changeAcids(into, { kind: 'blend', with: from.acids.composition, litresPerLitre: litres / before }, at, entryId)
  else if (1 - share > NEGLIGIBLE) {
    delete into.acids
    delete into.ph
    delete into.ta
  }
  for (const key of ['freeSo2', 'totalSo2'] as const) {
    const figure = mixed(into[key], from[key])
    if (figure) into[key] = figure
    else if (1 - share > NEGLIGIBLE) forget(into, key)
  }
  if (into.balance && from.balance) {
    into.balance = mixBalance(into.balance, from.balance, share)
    into.sg = { value: sgOf(into.balance), origin: 'estimated', at, uncertainty: 0.002, from: restsOn(into.sg?.from, from.sg?.from, entryId) }
    if (into.balance.ethanolGPerL > 0) into.abv = { value: abvOf(into.balance), origin: 'estimated', at, uncertainty: 0.5, from: restsOn(into.abv?.from, from.abv?.from, entryId) }
  }
  else if (1 - share > NEGLIGIBLE) {
    delete into.balance
    delete into.abv
    delete into.sg
  }
  mixNitrogen(into, from, share)
  into.sources = mixSources(into.sources, from.sources, share)
}

/** Nutrient that only one side had is thinned by the other. */
function mixNitrogen(into: LotState, from: LotState, share: number): void {
  const [a, b] = [into.nitrogenGiven, from.nitrogenGiven]
  const base = a ?? b
  if (!base) return
  into.nitrogenGiven = {
    ...base, value: (a?.value ?? 0) * share + (b?.value ?? 0) * (1 - share), uncertainty: (a?.uncertainty ?? 0) * share + (b?.uncertainty ?? 0) * (1 - share), from: restsOn(a?.from, b?.from)
  }
}

/** An empty lot that is filled from another takes over what is known of it. */
function takeOver(into: LotState, from: LotState): void {
  into.sources = from.sources
  into.stage = from.stage
  for (const key of ['ph', 'ta', 'sg', 'originalSg', 'abv', 'freeSo2', 'totalSo2', 'balance', 'acids', 'temperature', 'nitrogenGiven'] as const) {
    if (from[key] !== undefined) Object.assign(into, { [key]: from[key] })
  }
}

function mixSources(a: readonly Source[], b: readonly Source[], share: number): Source[] {
  const mixed = a.map(s => ({ ...s, share: s.share * share }))
  for (const s of b) {
    const known = mixed.find(m => m.key === s.key)
    if (known) known.share += s.share * (1 - share)
    else mixed.push({ ...s, share: s.share * (1 - share) })
  }
  return mixed.sort((x, y) => y.share - x.share)
}
