import { partOfLot, transfer } from '../drafts'
import { type PressDay, type PressMethod, pressDay } from '../fermentation'
import { type Draft, type Fact, mainVesselOf } from '../ledger'
import { type Place, placesFor, pressAsk, usualPlace } from '../stages'
import { withinLimits } from '../units'
import type { Bench } from './bench'

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
export interface PressAnswer {
  day?: PressDay | undefined
  keepsApart: boolean
  /** It goes on fermenting after the press. */
  ferments: boolean
  freePlaces: Place[]
  pressPlaces: Place[]
  /** The vessels that these choices come to; nothing where none is named, or none fits. */
  freeVessel: string
  pressVessel: string
  /** What has no vessel that it would usually go into, L. */
  wantsVesselL?: number | undefined
}
/** The choice of the vessel that a wine is racked into unasked. */
export const AS_USUAL = 'as-usual'

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
  answer({ method, tannin, keep, free, pressed, freeVessel, pressVessel }, { lot, cellar, now }) {
    const day = lot && withinLimits(() => pressDay({ ...pressAsk(lot, now, tannin), method }))
    const keepsApart = keep === 'as-advised' ? (day?.findings.some((f) => f.code === 'apart') ?? false) : keep === 'apart'
    const [freeL, pressL] = [free ?? day?.freeRunL.mid ?? USUAL.freeL, pressed || day?.pressL.mid || USUAL.pressL]
    const ferments = (lot?.sg?.value ?? 1) > 1
    const placesOf = (litres: number) => placesFor(litres, cellar.vessels.values(), now, ferments)
    const usualOf = (places: readonly Place[]) => usualPlace(places, ferments)?.vesselId ?? ''
    // One that has been taken away since is chosen no more.
    const chosen = (id: string, places: readonly Place[]) => (id === '' || places.some((p) => p.vesselId === id) ? id : undefined)

    const freePlaces = placesOf(freeL)
    // What is kept together goes into one vessel where one holds it.
    const bothL = keepsApart || !pressed ? undefined : freeL + pressed
    const together = bothL === undefined ? [] : placesOf(bothL)
    const freeInto = chosen(freeVessel, freePlaces) ?? (usualOf(together) || usualOf(freePlaces))
    const isBeside = pressed && !together.some((p) => p.vesselId === freeInto && p.fits !== 'too-small')
    const pressPlaces = placesOf(pressL).filter((p) => p.vesselId !== freeInto)
    const pressInto = chosen(pressVessel, pressPlaces) ?? (isBeside ? usualOf(pressPlaces) : '')
    const wantsVesselL = !freeInto && freeVessel !== '' ? (bothL ?? freeL)
      : isBeside && !pressInto && pressVessel !== '' ? pressL : undefined
    return { day, keepsApart, ferments, freePlaces, pressPlaces, freeVessel: freeInto, pressVessel: pressInto, wantsVesselL }
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
