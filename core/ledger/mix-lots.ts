import { changeAcids } from './acid-track'
import { abvOf, mixBalance, sgOf } from './balance'
import type { Figure, LotState, Source } from './state'

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
    value: a.value * share + b.value * (1 - share), origin: 'estimated', at, uncertainty: Math.hypot(a.uncertainty * share, b.uncertainty * (1 - share)), from: [...a.from, ...b.from, entryId]
  }
  if (into.acids && from.acids) changeAcids(into, { kind: 'blend', with: from.acids.composition, litresPerLitre: litres / before }, at, entryId)
  else if (1 - share > 0.02) {
    delete into.acids
    delete into.ph
    delete into.ta
  }
  for (const key of ['freeSo2', 'totalSo2'] as const) {
    const figure = mixed(into[key], from[key])
    if (figure) into[key] = figure
    else if (1 - share > 0.02) delete into[key]
  }
  if (into.balance && from.balance) {
    into.balance = mixBalance(into.balance, from.balance, share)
    into.sg = { value: sgOf(into.balance), origin: 'estimated', at, uncertainty: 0.002, from: [...(into.sg?.from ?? []), ...(from.sg?.from ?? []), entryId] }
    if (into.balance.ethanolGPerL > 0) into.abv = { value: abvOf(into.balance), origin: 'estimated', at, uncertainty: 0.5, from: [...(into.abv?.from ?? []), ...(from.abv?.from ?? []), entryId] }
  }
  else if (1 - share > 0.02) {
    delete into.balance
    delete into.abv
    delete into.sg
  }
  into.sources = mixSources(into.sources, from.sources, share)
}

/** An empty lot that is filled from another takes over what is known of it. */
function takeOver(into: LotState, from: LotState): void {
  into.sources = from.sources
  into.stage = from.stage
  for (const key of ['ph', 'ta', 'sg', 'originalSg', 'abv', 'freeSo2', 'totalSo2', 'balance', 'acids', 'temperature'] as const) {
    if (from[key] !== undefined) Object.assign(into, { [key]: from[key] })
  }
}

function mixSources(a: readonly Source[], b: readonly Source[], share: number): Source[] {
  const byKey = new Map<string, Source>()
  for (const [sources, weight] of [[a, share], [b, 1 - share]] as const) {
    for (const s of sources) {
      const key = `${s.variety}|${s.vintage ?? ''}|${s.origin ?? ''}`
      const known = byKey.get(key)
      byKey.set(key, { ...s, share: (known?.share ?? 0) + s.share * weight })
    }
  }
  return [...byKey.values()].sort((x, y) => y.share - x.share)
}
