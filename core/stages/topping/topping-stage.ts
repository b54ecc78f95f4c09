import { type Headspace, headspace } from '../../cellar'
import type { Finding } from '../../findings'
import { type LotView, drynessOf, isHeld, isWine } from '../../ledger'
import { isOffLees, wineFrom } from '../off-lees'
import { isOnSkins } from '../skins'
import { type CellarView, type Stage, hoursSince, later } from '../stage'

export type ToppingSays =
  /** Air over a wine that lies still. */
  | { code: 'top-up', vessel: string, airL: number, days: number, risk: 'some' | 'high' }
  /** Wood drinks: it is looked at every two or three weeks. */
  | { code: 'top-barrel', vessel: string, daysSince: number, airL: number }

/** A barrel is topped every two to three weeks: common practice, no source, h. */
const BARREL_H = { from: 14 * 24, due: 21 * 24 } as const
const DAY = 24

/** Air over a wine in one of its vessels. */
export type AirOver = Headspace & { vesselId: string, name: string, days: number }

/** Over each of its vessels, less the room that marbles take up; since it was filled, topped up, or gas was laid over it. */
export function airOver(lot: LotView, cellar: Pick<CellarView, 'vessels'>, now: string): AirOver[] {
  const still = [lot.rackedAt ?? lot.pressedAt ?? wineFrom(lot) ?? lot.startedAt, lot.toppedAt ?? ''].sort().at(-1)!
  const celsius = Math.min(45, Math.max(-5, lot.temperature?.value ?? 13))
  return [...lot.contents].flatMap(([vesselId, litres]) => {
    const vessel = cellar.vessels.get(vesselId)
    if (!vessel) return []
    const { marblesL = 0, gasAt } = lot.overWine.get(vesselId) ?? {}
    // Gas holds for some time and is gone after: air counts from then on.
    const since = gasAt === undefined ? still : [still, later(gasAt, GAS_HOLDS_H)].sort().at(-1)!
    const days = Math.min(10_000, Math.max(0, hoursSince(since, now) / DAY))
    const filled = Math.min(vessel.capacityL, Math.max(0, litres) + marblesL)
    return [{ vesselId, name: vessel.name, days, ...headspace(vessel.capacityL, filled, days, celsius) }]
  })
}
/** Gas over a wine in a closed vessel holds for so long, h: common practice, no source. */
const GAS_HOLDS_H = 14 * 24

/** Too young to be topped up, h after it was found dry: gas keeps the air off, and foam would run over. Common practice. */
const GASSY_H = 14 * 24
/** What was asked of a vessel is asked again in its rhythm, h: a month's round, sooner where there is much air. Ours. */
const AGAIN_H = { some: 5 * 7 * 24, high: 2 * 7 * 24 } as const
/** With nothing at hand it is asked again after so many days; each time the wine is looked at instead. */
const NOTHING_DAYS = 35

/** Proven at its end, off its gross lees and without gas: before that nothing is topped up. */
function mayBeTopped(lot: LotView, now: string): boolean {
  const over = wineFrom(lot)
  if (!isOffLees(lot) || (lot.gas !== undefined && lot.gas.is !== 'none')) return false
  const proven = lot.alcoholic === 'stopped' || drynessOf(lot)?.proven === true
  return proven && (over === undefined || hoursSince(over, now) >= GASSY_H)
}

/** Full vessels: a wine that lies still is topped up, in a rhythm and not whenever somebody looks. Stands beside what else it asks for. */
export const toppingStage: Stage<ToppingSays> = {
  code: 'topping',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && !isOnSkins(lot) && mayBeTopped(lot, lot.asOf),
  tasks(lot, cellar, now): Finding<ToppingSays>[] {
    const over = airOver(lot, cellar, now)
    const isBarrel = (a: { vesselId: string }) => cellar.vessels.get(a.vesselId)?.kind === 'barrel'
    const worst = over.filter((a) => a.risk !== 'none' && !isBarrel(a)).sort((a, b) => b.exposure - a.exposure)[0]
    const barrel = over.filter(isBarrel).sort((a, b) => b.airL - a.airL)[0]
    return [...(worst ? [topUp(lot, worst)] : []), ...(barrel ? [topBarrel(lot, barrel, now)] : [])]
  },
  findings: () => []
}

const about = (lot: LotView) =>
  ({
    task: true,
    lotId: lot.id,
    evidence: lot.volume.from,
    minutes: 10,
    action: { to: 'move', lotId: lot.id, as: 'top-up' }
  }) as const

/** Wine is the best answer; what keeps the air off, or a vessel that is full, are others. */
const topUp = (lot: LotView, { vesselId, name, airL, days, risk }: AirOver): Finding<ToppingSays> => ({
  code: 'top-up',
  key: `top-up:${vesselId}`,
  vessel: name,
  airL,
  days,
  risk: risk as 'some' | 'high',
  urgency: risk === 'high' ? 'now' : 'soon',
  againH: AGAIN_H[risk as 'some' | 'high'],
  ...about(lot),
  waysRound: [
    { code: 'another-vessel', action: { to: 'move', lotId: lot.id, as: 'rack' } },
    { code: 'marbles', drafts: [{ type: 'operation', lotId: lot.id, what: 'marbles', vesselId, litres: Number(airL.toPrecision(3)) }] },
    { code: 'gas-cover', drafts: [{ type: 'operation', lotId: lot.id, what: 'gas-cover', vesselId }], days: AGAIN_H.high / 24 },
    { code: 'bought-wine', action: { to: 'move', lotId: lot.id, as: 'top-up' } },
    { code: 'nothing-at-hand', days: NOTHING_DAYS }
  ]
})

function topBarrel(lot: LotView, { vesselId, name, airL, risk }: AirOver, now: string): Finding<ToppingSays> {
  const topped = [lot.toppedAt, lot.rackedAt, lot.startedAt].filter((at) => at !== undefined).sort().at(-1)!
  const since = hoursSince(topped, now)
  return {
    code: 'top-barrel',
    key: `top-barrel:${vesselId}`,
    vessel: name,
    daysSince: since / DAY,
    airL,
    urgency: risk === 'high' ? 'now' : since >= BARREL_H.from ? 'soon' : 'wait',
    window: { from: later(topped, BARREL_H.from), due: later(topped, BARREL_H.due) },
    againH: BARREL_H.due,
    ...about(lot),
    waysRound: [
      { code: 'gas-cover', drafts: [{ type: 'operation', lotId: lot.id, what: 'gas-cover', vesselId }], days: AGAIN_H.high / 24 },
      { code: 'nothing-at-hand', days: NOTHING_DAYS }
    ]
  }
}
