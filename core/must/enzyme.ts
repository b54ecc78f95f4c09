import { within } from '../units'
import { CLOCKS } from './clocks'

/** Pectic enzyme, g/L of must: 2 to 4 g/hL is common practice, no source; the packet wins. */
export const ENZYME_G_PER_L = 0.03
/** Below this it hardly works; a soak below it takes days: common practice, no source. */
export const ENZYME_WORKS_C = 10

export type EnzymeFinding =
  | { code: 'sulphite-too-near', hoursLeft: number }
  | { code: 'bentonite-removes-it' }
  | { code: 'too-cold', mustC: number, worksC: number }
  | { code: 'alcohol-forms' }

export interface EnzymeAdvice {
  grams: number
  findings: EnzymeFinding[]
}

/**
 * Pectic enzyme for a must: how much, and what speaks against it now. It goes in before alcohol forms, warm enough to work,
 * hours apart from sulphite, never with bentonite, which removes it.
 * @param must volume 0.1 to 100 000 L; hours since the last sulphite, whether bentonite went in, temperature when known, whether it
 * ferments
 * @throws LimitError
 * @example enzymeAdvice({ volumeL: 40, hoursSinceSulphite: 2 }) // 1.2 g, but wait 4 hours
 */
export function enzymeAdvice(must: {
  volumeL: number
  hoursSinceSulphite?: number
  bentonite?: boolean
  mustC?: number
  fermenting?: boolean
}): EnzymeAdvice {
  within('volumeL', must.volumeL, 0.1, 100_000)
  const findings: EnzymeFinding[] = []
  const wait = CLOCKS['enzyme-after-sulphite'].minH
  if (must.hoursSinceSulphite !== undefined && must.hoursSinceSulphite < wait)
    findings.push({ code: 'sulphite-too-near', hoursLeft: wait - must.hoursSinceSulphite })
  if (must.bentonite) findings.push({ code: 'bentonite-removes-it' })
  if (must.mustC !== undefined && must.mustC < ENZYME_WORKS_C)
    findings.push({ code: 'too-cold', mustC: must.mustC, worksC: ENZYME_WORKS_C })
  if (must.fermenting) findings.push({ code: 'alcohol-forms' })
  return { grams: must.volumeL * ENZYME_G_PER_L, findings }
}
