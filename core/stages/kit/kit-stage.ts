import type { Finding } from '../../findings'
import { type LotView, type Outcome, type PacketStep, drynessOf, isFermenting, isHeld, isMust } from '../../ledger'
import { type Stage, later, packetTask } from '../stage'

export type KitSays = {
  code: 'packet'
  name: string
  step: PacketStep
  /** What it waits for, where it is not the day alone. */
  waitsFor?: WaitsFor
}
/** Two readings that agree; a packet that comes before; gas that holds haze up. */
type WaitsFor = 'dryness' | 'packets-before' | 'gas-out'
type Own = Pick<Finding<KitSays>, 'urgency' | 'window'> & { waitsFor?: WaitsFor }

/** Days after the yeast, or after the packet before, where the leaflet said none. Common practice, no source. */
const USUAL_DAYS = { ferment: 1, stabilise: 14, clear: 1 } as const
const DAY_H = 24
/** It went in, in whatever way. */
const IN: ReadonlySet<Outcome> = new Set(['done', 'otherwise', 'was-so', 'not-wanted'])

/** The packets of a kit, each on its day, beside whatever else its ferment and its wine want. */
export const kitStage: Stage<KitSays> = {
  code: 'kit',
  beside: true,
  appliesTo: (lot) => lot.kit !== undefined && lot.inoculatedAt !== undefined && isHeld(lot) && !isMust(lot),
  tasks(lot, _cellar, now): Finding<KitSays>[] {
    return lot.kit!.packets.flatMap(({ name, step, day }, i): Finding<KitSays>[] => {
      if (lot.packetsIn.has(packetTask(i))) return []
      const own = whenOf(lot, step, day, now)
      if (!own) return []
      return [
        {
          code: 'packet',
          name,
          step,
          key: packetTask(i),
          task: true,
          lotId: lot.id,
          minutes: 10,
          evidence: [],
          action: { to: 'crush', lotId: lot.id, step: 'packets' },
          ...own
        }
      ]
    })
  },
  findings: () => []
}

/** When a packet is due; none for those whose time was before the yeast. */
function whenOf(lot: LotView, step: PacketStep, day: number | undefined, now: string): Own | undefined {
  const onDay = day === undefined ? undefined : later(lot.inoculatedAt!, day * DAY_H)
  const usual = later(lot.inoculatedAt!, USUAL_DAYS.stabilise * DAY_H)
  switch (step) {
    case 'before-yeast':
    case 'yeast':
      return undefined
    case 'ferment':
      return dueFrom(onDay ?? later(lot.inoculatedAt!, USUAL_DAYS.ferment * DAY_H), now)
    case 'stabilise':
      // Sorbate and sulphite stop no ferment: the day of the leaflet does not replace two dry readings.
      if (isFermenting(lot) || !(drynessOf(lot)?.proven || lot.alcoholic === 'stopped'))
        return { urgency: 'wait', waitsFor: 'dryness', window: { due: onDay ?? usual } }
      return dueFrom(onDay ?? drynessOf(lot)?.since ?? usual, now)
    case 'clear': {
      const before = lot.kit!.packets.flatMap((p, i) => (p.step === 'stabilise' ? [lot.endedTasks.get(packetTask(i))] : []))
      if (before.some((done) => done === undefined || !IN.has(done.outcome)))
        return { urgency: 'wait', waitsFor: 'packets-before', window: { due: onDay ?? later(usual, USUAL_DAYS.clear * DAY_H) } }
      if (lot.gas !== undefined && lot.gas.is !== 'none' && !((lot.worked.get('degas')?.at ?? '') > lot.gas.at))
        return { urgency: 'wait', waitsFor: 'gas-out', window: { due: onDay ?? later(usual, USUAL_DAYS.clear * DAY_H) } }
      const last = before.map((done) => done!.at).sort().at(-1)
      return dueFrom(onDay ?? later(last ?? drynessOf(lot)?.since ?? lot.inoculatedAt!, USUAL_DAYS.clear * DAY_H), now)
    }
  }
}

const dueFrom = (from: string, now: string): Own => ({ urgency: now >= from ? 'now' : 'wait', window: { from, due: later(from, DAY_H) } })
