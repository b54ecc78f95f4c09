import { type Headspace, headspace } from '../../cellar'
import type { Finding } from '../../findings'
import { type LotView, isHeld, isWine } from '../../ledger'
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

/** Over each of its vessels: a lot that ferments or lies under its own gas has none to mind. */
export function airOver(
  lot: LotView,
  cellar: Pick<CellarView, 'vessels'>,
  now: string
): (Headspace & { vesselId: string, name: string, days: number })[] {
  const since = [lot.rackedAt ?? lot.pressedAt ?? lot.volume.at, lot.toppedAt ?? ''].sort().at(-1)!
  const days = Math.min(10_000, Math.max(0, hoursSince(since, now) / DAY))
  const celsius = Math.min(45, Math.max(-5, lot.temperature?.value ?? 13))
  return [...lot.contents].flatMap(([vesselId, litres]) => {
    const vessel = cellar.vessels.get(vesselId)
    return vessel ? [{ vesselId, name: vessel.name, days, ...headspace(vessel.capacityL, Math.max(0, litres), days, celsius) }] : []
  })
}

/** Full vessels: a wine that lies still is topped up. Stands beside what else it asks for. */
export const toppingStage: Stage<ToppingSays> = {
  code: 'topping',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && !isOnSkins(lot),
  tasks(lot, cellar, now): Finding<ToppingSays>[] {
    const about = {
      task: true,
      lotId: lot.id,
      evidence: lot.volume.from,
      minutes: 10,
      action: { to: 'move', lotId: lot.id, as: 'top-up' }
    } as const
    const over = airOver(lot, cellar, now)
    const isBarrel = (a: { vesselId: string }) => cellar.vessels.get(a.vesselId)?.kind === 'barrel'
    const worst = over.filter((a) => a.risk !== 'none' && !isBarrel(a)).sort((a, b) => b.exposure - a.exposure)[0]
    const barrel = over.filter(isBarrel).sort((a, b) => b.airL - a.airL)[0]
    const topped = [lot.volume.at, lot.rackedAt, lot.startedAt]
      .filter((at) => at !== undefined)
      .sort()
      .at(-1)!
    const since = hoursSince(topped, now)
    return [
      ...(worst
        ? [
            {
              code: 'top-up' as const,
              key: `top-up:${worst.vesselId}`,
              vessel: worst.name,
              airL: worst.airL,
              days: worst.days,
              risk: worst.risk as 'some' | 'high',
              urgency: worst.risk === 'high' ? ('now' as const) : ('soon' as const),
              ...about
            }
          ]
        : []),
      ...(barrel
        ? [
            {
              code: 'top-barrel' as const,
              key: 'top-barrel',
              vessel: barrel.name,
              daysSince: since / DAY,
              airL: barrel.airL,
              urgency: barrel.risk === 'high' ? ('now' as const) : since >= BARREL_H.from ? ('soon' as const) : ('wait' as const),
              window: { from: later(topped, BARREL_H.from), due: later(topped, BARREL_H.due) },
              ...about
            }
          ]
        : [])
    ]
  },
  findings: () => []
}
