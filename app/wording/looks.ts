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
export const SPOT: Record<Spot, string> = { none: 'None', faint: 'Fainter than the standard', clear: 'As strong as the standard' }

export const MALOLACTIC_VERDICT: Record<MalolacticVerdict, { title: string, text: string }> = {
  'complete': { title: 'Malolactic has finished', text: 'Add sulphite within a few days, for the new pH.' },
  'nearly': {
    title: 'Nearly finished',
    text: 'Up to 0.3 g/L may be left. Check again in a week or two. If you add sulphite now, keep the wine cold and sulphited.'
  },
  'under-way': { title: 'Under way', text: 'No sulphite yet. Keep it warm, and check again in two weeks.' },
  'not-begun': { title: 'Not started', text: 'No lactic acid yet. It takes a week or two to start. After that, check what holds it up.' },
  'cannot-tell': {
    title: 'The paper cannot tell',
    text: 'Neither acid shows. The drop was too small, the solvent old, or the wine had no malic acid. Run it again with the standards.'
  }
}

export const sayPaper = ({ malic, lactic }: { malic: Spot, lactic: Spot }): string =>
  `malic spot ${SPOT[malic].toLowerCase()}, lactic spot ${SPOT[lactic].toLowerCase()}; `
    + `${MALOLACTIC_VERDICT[readPaper(malic, lactic)].title.toLowerCase()}`
