import type { Draft, Fact, LotView } from '../../core/ledger'
import type { StageFinding } from '../../core/stages'
import { DO } from '../../simulator'
import type { Hand } from './hand'
import { lotId } from './scenarios'

/** Into vessels that it fills, largest first, the rest into the smallest that holds it. */
export function rack(hand: Hand, lot: LotView, splashed = false, purpose: 'rack' | 'press' = 'rack'): void {
  const before = hand.wine.litres
  if (purpose === 'press') DO.press(hand.wine)
  else DO.rack(hand.wine, splashed)
  const share = hand.wine.litres / before
  const held = [...lot.contents]
  // A must wants room for its foam, a wine a vessel that it fills.
  const kind = lot.standing === 'must' ? 'bin' : 'demijohn'
  const empty = [...hand.history.cellar.vessels.values()].filter((v) => !v.lotId && v.kind === kind).sort((a, b) =>
    b.capacityL - a.capacityL)
  let rest = lot.volume.value * share
  const targets: { id: string, litres: number }[] = []
  for (const v of empty) {
    if (rest < 0.05) break
    if (v.capacityL <= rest + 1e-6) {
      targets.push({ id: v.id, litres: v.capacityL })
      rest -= v.capacityL
    }
  }
  if (rest >= 0.05) {
    const last = empty.filter((v) => !targets.some((t) => t.id === v.id) && v.capacityL >= rest).at(-1)
    if (last) targets.push({ id: last.id, litres: rest })
  }
  hand.marblesL = 0
  if (targets.length === 0) return
  const drafts: Draft<Fact>[] = []
  const sources = held.map(([id, litres]) => ({ id, litres }))
  for (const target of targets) {
    let wanted = target.litres / share
    while (wanted > 1e-4 && sources.length > 0) {
      const from = sources[0]!
      const outL = Math.min(from.litres, wanted)
      drafts.push({
        type: 'transfer', purpose, from: { lotId, vesselId: from.id }, to: { lotId, vesselId: target.id }, outL, inL: outL * share,
        air: splashed ? 'splashed' : 'quiet'
      })
      from.litres -= outL
      wanted -= outL
      if (from.litres < 1e-4) sources.shift()
    }
  }
  hand.log(...drafts)
  const used = new Set(held.map(([id]) => id))
  for (const vesselId of used) hand.log({ type: 'vessel-cared', vesselId, what: 'cleaned' })
}

export function top(hand: Hand, task: StageFinding & { code: 'top-up' | 'top-barrel' }, lot: LotView): void {
  const airL = task.airL
  if (hand.toppingL >= airL && airL > 0.02) {
    // A wine of the kind that was bought, poured in: in the ledger a lot of its own that is poured over.
    const vesselId = task.key.split(':')[1]!
    const other = `lot-topping-${hand.count}`
    const litres = Math.min(airL, hand.toppingL)
    const bought: Draft<Fact>[] = [
      { type: 'lot-started', lotId: other, name: 'Bought', stream: 'juice', style: lot.style, varieties: [], volumeL: litres,
        volumeIs: 'measured' },
      { type: 'lot-amended', lotId: other, alcoholic: 'dry' },
      { type: 'transfer', purpose: 'top-up', from: { lotId: other }, to: { lotId, vesselId }, outL: litres, inL: litres }
    ]
    if (hand.log(...bought)) {
      hand.toppingL -= litres
      hand.wine.litres += litres
      return
    }
  }
  const way = hand.way(task, 'marbles', 'gas-cover', 'nothing-at-hand')
  if (way?.code === 'marbles') hand.marblesL += airL
  hand.take(task, way)
}
