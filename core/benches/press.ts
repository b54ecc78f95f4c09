import { type RoomFor, vesselFit } from '../cellar'
import { partOfLot, transfer } from '../drafts'
import { type PressDay, type PressMethod, pressDay } from '../fermentation'
import { type Draft, type Fact, type VesselState, mainVesselOf } from '../ledger'
import { pressAsk } from '../stages'
import { withinLimits } from '../units'
import type { Bench, BenchContext } from './bench'

/** What is expected of free run and of press wine where nothing else says it, L: our own, a demijohn and a jug. */
const USUAL = { freeL: 10, pressL: 3 } as const
/** A lot's name keeps room for what is put behind it. */
const NAME_ROOM = 66

export type PressNumber = 'free' | 'pressed'
export interface PressChoices {
  method: PressMethod
  tannin: 'soft' | 'ripe' | 'harsh'
  /** Free run and press wine: as it is advised until somebody says otherwise. */
  keep: 'as-advised' | 'apart' | 'together'
  /** Where each goes: as usual until somebody says otherwise, or nothing where no vessel is named. */
  freeVessel: string
  pressVessel: string
}
export interface PressPlace {
  vessel: VesselState
  fit?: ReturnType<typeof vesselFit> | undefined
}
export interface PressAnswer {
  day?: PressDay | undefined
  keepsApart: boolean
  freePlaces: PressPlace[]
  pressPlaces: PressPlace[]
  /** The vessels that these choices come to; nothing where none is named, or none fits. */
  freeVessel: string
  pressVessel: string
  /** What has no empty vessel that fits, L. */
  wantsVesselL?: number | undefined
}
/** The choice of the vessel that fits best. */
export const AS_USUAL = 'as-usual'

/** The best fit comes first: nearly full, but with room. */
const fullness = ({ fit }: PressPlace): number => (!fit || fit.verdict === 'too-small' ? -1 : fit.fullShare)
/** What still ferments wants room for its foam. */
export const pressRoom = (lot: BenchContext['lot']): RoomFor => ((lot?.sg?.value ?? 1) > 1 ? 'foam' : 'none')
/** Nothing of a wine goes into wood, or where it has too much air, without being asked for. */
const usualOf = (places: readonly PressPlace[]): string =>
  places.find(({ vessel, fit }) => fit?.verdict === 'fits' && vessel.kind !== 'barrel')?.vessel.id ?? ''

/** Empty vessels with how full they would be. */
function placesFor(litres: number, { lot, cellar }: BenchContext): PressPlace[] {
  const room = pressRoom(lot)
  return [...cellar.vessels.values()]
    .filter((v) => !v.lotId && !v.retiredAt)
    .map((vessel) => ({ vessel, fit: withinLimits(() => vesselFit(vessel.capacityL, litres, room)) }))
    .sort((a, b) => fullness(b) - fullness(a))
}

/** Press day of one lot: whether, what it gives, what fits where, and the entries that it makes. */
export const press: Bench<PressNumber, PressChoices, PressAnswer> = {
  choices: ({ lot }) => ({
    method: lot?.plan.press ?? 'at-dryness',
    tannin: 'soft',
    keep: 'as-advised',
    freeVessel: AS_USUAL,
    pressVessel: AS_USUAL
  }),
  fill: () => ({}),
  answer({ method, tannin, keep, free, pressed, freeVessel, pressVessel }, context) {
    const { lot, now } = context
    const day = lot && withinLimits(() => pressDay({ ...pressAsk(lot, now, tannin), method }))
    const keepsApart = keep === 'as-advised' ? (day?.findings.some((f) => f.code === 'apart') ?? false) : keep === 'apart'
    const [freeL, pressL] = [free ?? day?.freeRunL.mid ?? USUAL.freeL, pressed || day?.pressL.mid || USUAL.pressL]
    const freePlaces = placesFor(freeL, context)
    // What is kept together goes into one vessel where one holds it.
    const bothL = keepsApart || !pressed ? undefined : freeL + pressed
    const freeInto = freeVessel === AS_USUAL ? (bothL && usualOf(placesFor(bothL, context))) || usualOf(freePlaces) : freeVessel
    const isOnItsOwn = pressed && (bothL === undefined || (context.cellar.vessels.get(freeInto)?.capacityL ?? 0) < bothL)
    const pressPlaces = placesFor(pressL, context).filter((p) => p.vessel.id !== freeInto)
    const pressInto = pressVessel === AS_USUAL ? (isOnItsOwn ? usualOf(pressPlaces) : '') : pressVessel
    const wantsVesselL = freeVessel === AS_USUAL && !freeInto ? (bothL ?? freeL)
      : pressVessel === AS_USUAL && isOnItsOwn && !pressInto ? pressL : undefined
    return { day, keepsApart, freePlaces, pressPlaces, freeVessel: freeInto, pressVessel: pressInto, wantsVesselL }
  },
  /** By the pressing a must gives up what its skins held: only what was measured as wine is known. */
  drafts({ free, pressed = 0 }, { keepsApart, freeVessel, pressVessel }, { lot, newId }) {
    if (free === undefined) return { refused: 'nothing' }
    const total = free + pressed
    const from = mainVesselOf(lot)
    const held = Math.max((from === undefined ? undefined : lot.contents.get(from)) ?? lot.volume.value, total)
    const move = (lotId: string, vesselId: string, litres: number): Draft<Fact> => {
      const outL = (held * litres) / total
      return transfer({
        purpose: 'press',
        from: { lotId: lot.id, ...(from && { vesselId: from }) },
        to: { lotId, ...(vesselId && { vesselId }) },
        outL,
        leesL: outL - litres
      })
    }
    if (pressed > 0 && keepsApart) {
      const pressId = newId()
      const name = `${lot.name.slice(0, NAME_ROOM)}, press wine`
      return [
        partOfLot(lot, { lotId: pressId, name, stream: 'blend' }),
        move(pressId, pressVessel, pressed),
        move(lot.id, freeVessel, free)
      ]
    }
    if (pressed > 0 && pressVessel && pressVessel !== freeVessel)
      return [move(lot.id, pressVessel, pressed), move(lot.id, freeVessel, free)]
    return [move(lot.id, freeVessel, total)]
  }
}
