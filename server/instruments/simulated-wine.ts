import { DO, gravityOf, hour, wineFrom } from '../../simulator'

/** What is asked of a stand-in that is held in a ferment. */
export interface HeldAsked {
  seed: number
  /** When yeast went into the must that it is held in. */
  startAt: string
  from: string
  to: string
  originalSg: number
  celsius: number
}
export interface WineAt { sg: number, celsius: number, ph: number }

/** A ferment is followed for so long at the most, h. */
const LONGEST_H = 120 * 24
/** What yeast cannot use of a must, g/L; and sugar in a gravity, g/L for each point above water. From memory. */
const [EXTRACT, PER_SG] = [26, 2604] as const

/** A simulated wine, hour by hour since its yeast: gravity, temperature and pH as they truly are. */
export function courseOf(seed: number, originalSg: number, celsius: number, hours: number): WineAt[] {
  const wine = wineFrom(seed, {
    ...{ colour: 'red', litres: 40, skins: false, nitrogen: 150, ph: 3.4, tartaric: 5.5, malic: 2.5, sulphited: 0, rot: 0 },
    sugar: Math.max(60, (originalSg - 1) * PER_SG - EXTRACT),
    celsius
  })
  DO.pitch(wine, 0.25)
  const now = (): WineAt => ({ sg: gravityOf(wine), celsius: wine.celsius, ph: wine.ph })
  const course = [now()]
  for (let h = 0; h < Math.min(LONGEST_H, Math.max(0, hours)); h++) {
    hour(wine, celsius, 0)
    course.push(now())
  }
  return course
}
