import type { Clarity, Gas } from '~~/core/ledger'
import { type MalolacticVerdict, type Spot, readPaper } from '~~/core/malolactic'

/** How clear a wine is, against a torch behind the glass. */
export const CLARITY: Record<Clarity, string> = {
  'cloudy': 'Cloudy: the torch is a glow',
  'hazy': 'Hazy: the torch has a halo',
  'nearly-clear': 'Nearly clear: a thin veil',
  'clear': 'Clear: print can be read through it',
  'bright': 'Bright: nothing floats in the beam'
}
export const CLARITY_SHORT: Record<Clarity, string> = {
  'cloudy': 'cloudy',
  'hazy': 'hazy',
  'nearly-clear': 'nearly clear',
  'clear': 'clear',
  'bright': 'bright'
}

/** How much gas is in it: half a jar shaken under the thumb, then opened. */
export const GAS: Record<Gas, string> = {
  none: 'None: it opens without a sound',
  sigh: 'Some: a sigh, a little foam',
  puff: 'Much: a puff, and it foams'
}

/** What a heat or a cold test says. */
export const TESTED = {
  'heat-test': { true: 'Stayed clear: stable', false: 'Haze or flakes: not stable' },
  'cold-test': { true: 'No crystals: stable', false: 'Crystals: not stable' }
} as const

/** A spot on the paper, beside its standard. */
export const SPOT: Record<Spot, string> = { none: 'Not to be seen', faint: 'Fainter than the standard', clear: 'As strong as the standard' }

export const MALOLACTIC_VERDICT: Record<MalolacticVerdict, { title: string, text: string }> = {
  'complete': { title: 'Malolactic is through', text: 'Sulphite goes in within days, at the new pH.' },
  'nearly': {
    title: 'Nearly through',
    text: 'Up to 0.3 g/L may be left: look again in a week or two. Sulphited now it stays so only while it is kept cold and sulphited.'
  },
  'under-way': { title: 'Under way', text: 'No sulphite yet. Keep it warm, and look again in two weeks.' },
  'not-begun': { title: 'Not begun', text: 'No lactic acid to be seen. It takes a week or two to begin; then ask what holds it up.' },
  'cannot-tell': {
    title: 'The paper cannot tell',
    text: 'Neither acid shows. Too small a drop, old solvent, or a wine that had no malic acid: run it again beside the standards.'
  }
}

export const sayPaper = ({ malic, lactic }: { malic: Spot, lactic: Spot }): string =>
  `malic spot ${SPOT[malic].toLowerCase()}, lactic spot ${SPOT[lactic].toLowerCase()}; `
    + `${MALOLACTIC_VERDICT[readPaper(malic, lactic)].title.toLowerCase()}`
