import type { Draft, EntryOf, Fact, LotView, VesselState } from '../../core/ledger'
import type { StageFinding } from '../../core/stages'
import { DO } from '../../simulator'
import { partOfLot } from '../../core/drafts'
import { Hand } from './hand'
import { BARREL } from './opening'
import { type Scenario, lotIdOf } from './scenarios'

interface Target { id: string, litres: number }

/** Vessels that so much fills, largest first, the rest in the smallest that holds it; and what finds no room. */
function filling(free: readonly VesselState[], litres: number): { targets: Target[], rest: number } {
  const bySize = [...free].sort((a, b) => b.capacityL - a.capacityL)
  let rest = litres
  const targets: Target[] = []
  for (const v of bySize) {
    if (rest < 0.05) break
    if (v.capacityL <= rest + 1e-6) {
      targets.push({ id: v.id, litres: v.capacityL })
      rest -= v.capacityL
    }
  }
  if (rest >= 0.05) {
    const last = bySize.filter((v) => !targets.some((t) => t.id === v.id) && v.capacityL >= rest).at(-1)
    if (last) {
      targets.push({ id: last.id, litres: rest })
      rest = 0
    }
  }
  return { targets, rest }
}

/** Into vessels that it fills. Where others have the glass it goes by way of its own bin, and back into what it was in, washed. */
export function rack(hand: Hand, lot: LotView, splashed = false, purpose: 'rack' | 'press' = 'rack'): void {
  const vessels = [...hand.history.cellar.vessels.values()]
  // A must wants room for its foam, a wine a vessel that it fills; other lots' bins are theirs.
  const own = (v: VesselState) => v.kind !== 'bin' || [`vessel-bin-${2 * hand.n}`, `vessel-bin-${2 * hand.n + 1}`].includes(v.id)
  const kind = lot.standing === 'must' ? 'bin' : 'demijohn'
  // Into the barrel once it is at rest, and only once.
  const atRest = purpose === 'rack' && lot.rackedAt !== undefined && lot.malolactic !== 'under-way'
  const barrel = vessels.find((v) => v.id === BARREL && !v.lotId && !v.filledAt && atRest && v.capacityL < lot.volume.value * 0.9)
  const free = vessels.filter((v) => !v.lotId && v.kind === kind)
  const bin = vessels.find((v) => !v.lotId && v.kind === 'bin' && own(v) && v.capacityL >= lot.volume.value)
  const washed = vessels.filter((v) => v.lotId === hand.lotId && v.kind === kind)
  const isDirect = kind === 'bin' || filling(free, lot.volume.value).rest < 0.05
  if (!isDirect && (!bin || filling([...free, ...washed], lot.volume.value).rest >= 0.05)) {
    hand.tally('no-room:rack')
    return
  }
  const before = hand.wine.litres
  if (purpose === 'press') DO.press(hand.wine)
  else DO.rack(hand.wine, splashed)
  const share = hand.wine.litres / before
  const left = lot.volume.value * share
  hand.marblesL = 0
  const air = splashed ? 'splashed' : 'quiet'
  if (isDirect) {
    const wood = barrel ? [{ id: barrel.id, litres: barrel.capacityL }] : []
    if (barrel) DO.intoWood(hand.wine, barrel.capacityL, barrel.capacityL, 1)
    const { targets } = filling(free.filter(own), left - (barrel?.capacityL ?? 0))
    return pour(hand, [...lot.contents], [...wood, ...targets], share, { purpose, air })
  }
  pour(hand, [...lot.contents], [{ id: bin!.id, litres: left }], share, { purpose, air })
  pour(hand, [[bin!.id, left]], filling([...free, ...washed], left).targets, 1, { purpose: 'fill', air: 'quiet' })
}

/** From vessels into vessels, as the forms write it; what was emptied is washed. */
function pour(
  hand: Hand, held: [string, number][], targets: readonly Target[], share: number,
  how: Pick<EntryOf<'transfer'>, 'purpose' | 'air'>
): void {
  if (targets.length === 0) return
  const drafts: Draft<Fact>[] = []
  const sources = held.map(([id, litres]) => ({ id, litres }))
  for (const target of targets) {
    let wanted = target.litres / share
    while (wanted > 1e-4 && sources.length > 0) {
      const from = sources[0]!
      const outL = Math.min(from.litres, wanted)
      drafts.push({
        type: 'transfer', ...how, from: { lotId: hand.lotId, vesselId: from.id }, to: { lotId: hand.lotId, vesselId: target.id },
        outL, inL: outL * share
      })
      from.litres -= outL
      wanted -= outL
      if (from.litres < 1e-4) sources.shift()
    }
  }
  hand.log(...drafts)
  for (const vesselId of new Set(held.map(([id]) => id))) {
    hand.season.washings++
    hand.log({ type: 'vessel-cared', vesselId, what: 'cleaned' })
  }
}

/** What the press gave, into a glass that it fills: a lot of its own from then on, with more potassium and more lees. */
export function keepApart(hand: Hand): void {
  const { pressShare } = hand.scenario
  const lot = hand.lot()
  if (pressShare === undefined) return
  const wanted = lot.volume.value * pressShare
  const glass = [...hand.history.cellar.vessels.values()].filter((v) => !v.lotId && v.kind === 'demijohn' && v.capacityL <= wanted)
    .sort((a, b) => b.capacityL - a.capacityL)[0]
  const [from] = [...lot.contents].sort((a, b) => b[1] - a[1])
  if (!glass || !from || from[1] < glass.capacityL) return
  const n = hand.house.hands.length
  const part = lotIdOf(n)
  const litres = glass.capacityL
  const done = hand.log(
    partOfLot(lot, { lotId: part, name: `${lot.name.slice(0, 50)}, press wine`, stream: 'blend' }),
    { type: 'transfer', purpose: 'press', from: { lotId: lot.id, vesselId: from[0] }, to: { lotId: part, vesselId: glass.id }, outL: litres,
      inL: litres }
  )
  if (!done) return
  const scenario: Scenario = { ...hand.scenario, name: `${hand.scenario.name}: press wine`, litres }
  new Hand(scenario, hand.season.seed, hand.house, n, DO.keepPressed(hand.wine, litres))
}

export function top(hand: Hand, task: StageFinding & { code: 'top-up' | 'top-barrel' }, lot: LotView): void {
  const airL = task.airL
  if (hand.house.toppingL >= airL && airL > 0.02) {
    // A wine of the kind that was bought, poured in: in the ledger a lot of its own that is poured over.
    const vesselId = task.key.split(':')[1]!
    const other = `lot-topping-${hand.house.count}`
    const litres = Math.min(airL, hand.house.toppingL)
    const bought: Draft<Fact>[] = [
      { type: 'lot-started', lotId: other, name: 'Bought', stream: 'juice', style: lot.style, varieties: [], volumeL: litres,
        volumeIs: 'measured' },
      { type: 'lot-amended', lotId: other, alcoholic: 'dry' },
      { type: 'transfer', purpose: 'top-up', from: { lotId: other }, to: { lotId: hand.lotId, vesselId }, outL: litres, inL: litres }
    ]
    if (hand.log(...bought)) {
      hand.house.toppingL -= litres
      hand.wine.litres += litres
      return
    }
  }
  const way = hand.way(task, 'marbles', 'gas-cover', 'nothing-at-hand')
  if (way?.code === 'marbles') hand.marblesL += airL
  hand.take(task, way)
}
