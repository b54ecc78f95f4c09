import { counted } from '~/wording/count'
import type { HarvestReason } from '~~/core/stages'
import type { Crossing, RipeQuantity } from '~~/core/harvest'
import type { EntryOf } from '~~/core/ledger'

export const RIPE: Record<RipeQuantity, { name: string, unit: string, decimals: number }> = {
  brix: { name: 'Sugar', unit: '°Brix', decimals: 1 },
  ph: { name: 'pH', unit: '', decimals: 2 },
  ta: { name: 'TA', unit: 'g/L', decimals: 1 }
}
export const ABOUT: Record<EntryOf<'block-noted'>['about'], string> = {
  weather: 'Weather',
  pests: 'Pests and rot',
  hands: 'Hands and transport',
  other: 'Something else'
}
export const LEANS: Record<EntryOf<'block-noted'>['leans'], string> = { wait: 'For waiting', pick: 'For picking', neither: 'For neither' }

const inDays = (day: number): string => (day < 0.5 ? 'now' : day < 1.5 ? 'in a day' : `in ${Math.round(day)} days`)

/** @param litres a volume in the person's unit */
export function sayReason(reason: HarvestReason, litres: (volumeL: number) => string): string {
  switch (reason.code) {
    case 'sugar-low':
      return `Sugar is at ${reason.value.toFixed(1)} °Brix; ${reason.target} is `
        + `wanted${reason.day === undefined ? ', and the line does not reach it in three weeks' : `, ${inDays(reason.day)} by the line`}.`
    case 'sugar-high':
      return `Sugar is at ${reason.value.toFixed(1)} °Brix, over ${reason.limit}: a strong wine, and a hard ferment.`
    case 'sugar-within':
      return `Sugar is in range: ${reason.value.toFixed(1)} °Brix.`
    case 'ph-over':
      return `pH is at ${reason.value.toFixed(2)}, past ${reason.limit}: there is little acid left to protect the wine.`
    case 'ph-soon':
      return `pH is at ${reason.value.toFixed(2)} and passes ${reason.limit} ${inDays(reason.day)} on the line.`
    case 'ta-high':
      return `Acid is still high: TA ${reason.value.toFixed(1)} g/L; ${reason.target} or less is wanted.`
    case 'ta-low':
      return `Acid is getting low: TA ${reason.value.toFixed(1)} g/L, under ${reason.limit}.`
    case 'no-vessel':
      return `No empty vessel holds it: ${litres(Math.ceil(reason.neededL))} are needed with room for the cap or foam, the largest `
        + `free one has ${litres(reason.largestFreeL)}.`
    case 'vessel-free':
      return `A vessel is free: ${litres(Math.ceil(reason.neededL))} are needed, ${litres(reason.largestFreeL)} are there.`
    case 'sample-again':
      return reason.count === 0
        ? 'No sample yet. Take 40 to 50 berries from all over the block, not just the best bunches.'
        : reason.daysSince !== undefined && reason.daysSince > 5
          ? `The last sample is ${counted(reason.daysSince, 'day')} old. Sample again before you decide.`
          : `${reason.count === 1 ? 'One sample shows no trend' : 'Two samples show no reliable trend'}. Sample again in a few days.`
    case 'noted':
      return `${ABOUT[reason.about]}: ${reason.text}`
  }
}

/** A day on which something is reached or passed, with how much sooner or later it may be. */
export function sayCrossing(crossing: Crossing, dayOf: (days: number) => string): { what: string, when: string } {
  const { name, unit, decimals } = RIPE[crossing.quantity]
  const level = `${name} ${crossing.level.toFixed(crossing.quantity === 'brix' ? 0 : decimals)}${unit ? ` ${unit}` : ''}`
  const what = crossing.kind === 'target' ? `${level} reached` : `${level} passed`
  if (crossing.day === 0) return { what, when: 'already' }
  if (crossing.day !== undefined && crossing.day < 0.5) return { what, when: 'today' }
  if (crossing.day === undefined)
    return {
      what,
      when:
        crossing.earliest === undefined
          ? 'not within three weeks'
          : `not within three weeks on the line, ${dayOf(crossing.earliest)} at the earliest`
    }
  const sooner = crossing.earliest === undefined || crossing.earliest === 0 ? 'now' : dayOf(crossing.earliest)
  return {
    what,
    when: `${dayOf(crossing.day)} (${sooner} to ${crossing.latest === undefined ? 'later than three weeks' : dayOf(crossing.latest)})`
  }
}
