import type { AcidChange } from './changes'
import type { Composition } from './charge'
import { type Luck, USUAL_LUCK } from './ferment'
import { applyChanges } from './predict'
import type { WineStyle } from './usual'

/** What will still happen to the acids of a lot, by plan or by itself. */
export interface Course {
  malolactic: boolean
  cold: boolean
  /** % vol when it is dry. */
  finalAbv: number
  style: WineStyle
}

/** Malic acid that malolactic leaves, g/L: complete at or below 0.1 (craft 3.9). */
export const MALIC_LEFT = 0.1
/** A winter's cold or a freezer, °C (craft 3.11, common practice). */
export const COLD_C = -2

/** What is usual for a style: malolactic for reds, cold for all (craft 3.9, 3.11; common practice). Kits have neither. */
export const usualCourse = (style: WineStyle, stream?: string): Pick<Course, 'malolactic' | 'cold'> =>
  stream === 'kit' ? { malolactic: false, cold: false } : { malolactic: style === 'red', cold: true }

/**
 * The course as changes of the model, read on the scale of what the lot is now: the trade's windows of a must already reckon
 * with what the ferment itself does, so that is left out. How much bitartrate the cold takes is computed for the wine to be.
 */
export function courseChanges({ malolactic, cold, finalAbv, style }: Course): AcidChange[] {
  return [
    ...(malolactic ? [{ kind: 'malolactic', toMalicGPerL: MALIC_LEFT } as const] : []),
    ...(cold ? [{ kind: 'cold', celsius: COLD_C, finalAbv, style } as const] : [])
  ]
}

/** Where a must or wine will stand in its acids after malolactic and cold. */
export const runCourse = (start: Composition, course: Course, luck: Luck = USUAL_LUCK): Composition =>
  applyChanges(start, courseChanges(course), luck).composition

/** The same with the ferment itself: what the meter will show in the finished wine. */
export const runToWine = (start: Composition, course: Course, luck: Luck = USUAL_LUCK): Composition =>
  applyChanges(
    start,
    [{ kind: 'ferment', toAbv: course.finalAbv, style: course.style }, ...courseChanges({ ...course, finalAbv: 0 })],
    luck
  ).composition
