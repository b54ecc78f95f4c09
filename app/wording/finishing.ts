import type { Rest } from '~~/core/benches'
import type { PrimingFinding, SorbateFinding } from '~~/core/finishing'

export function sayPriming(f: PrimingFinding): { tone: 'stop' | 'ask', text: string } {
  switch (f.code) {
    case 'bottle-not-rated':
      return {
        tone: 'stop',
        text: 'Not in this bottle: it is made for still wine and would burst. Use only bottles rated for pressure, with a wired or a crown '
          + 'closure.'
      }
    case 'over-rated':
      return {
        tone: 'stop',
        text: `Not in this bottle: ${f.bar.toFixed(1)} bar at ${f.celsius} °C, and it is rated for ${f.ratedBar} bar. A tenth is `
          + 'kept in reserve.'
      }
    case 'sugar-enough':
      return {
        tone: 'stop',
        text: `The ${f.residualSugarGPerL.toFixed(0)} g/L of sugar left make ${f.bar.toFixed(1)} bar by themselves, if yeast ferments `
          + 'them. Add none.'
      }
    case 'sugar-counted':
      return {
        tone: 'ask',
        text: `The ${f.residualSugarGPerL.toFixed(0)} g/L of sugar left are fully counted: they make `
          + `${f.bar.toFixed(1)} bar of it, with the gas already there.`
      }
    case 'sugar-untested':
      return {
        tone: 'ask',
        text: `The sugar was not tested, and gravity shows it only to about ${f.spreadGPerL.toFixed(0)} g/L: up to ${f.bar.toFixed(1)} bar `
          + 'more than shown. Presk allows for it. A sugar test settles it.'
      }
    case 'yeast-unsure':
      return {
        tone: 'ask',
        text: `At ${f.abv.toFixed(1)} % vol yeast may not start again. Use a starter accustomed to alcohol, or another wine.`
      }
    case 'still-level':
      return { tone: 'ask', text: 'Below one bar there is only a slight prickle.' }
  }
}

export function saySorbate(f: SorbateFinding): { tone: 'stop' | 'ask', text: string } {
  switch (f.code) {
    case 'after-malolactic':
      return {
        tone: 'stop',
        text: 'No sorbate after malolactic: bacteria turn it into a smell of geraniums that cannot be removed. Leave it dry, or '
          + 'pasteurise.'
      }
    case 'still-fermenting':
      return {
        tone: 'stop',
        text: 'Not during the ferment, and not before two gravities agree. Sorbate does not stop a ferment, it only keeps yeast from '
          + 'multiplying.'
      }
    case 'without-sulphite':
      return {
        tone: 'stop',
        text: `Not without sulphite: free SO₂ is ${f.freeMgPerL.toFixed(0)} mg/L, and this pH needs ${f.neededMgPerL.toFixed(0)} at `
          + 'least. Without it bacteria attack the sorbate.'
      }
    case 'over-limit':
      return {
        tone: 'ask',
        text: `With so little alcohol or so high a pH it would need ${f.neededMgPerL.toFixed(0)} mg/L, over the limit of 200. Keep it `
          + `cold as well, or pasteurise.`
      }
  }
}

/** What holds a sweet wine sweet. */
export const HELD_BY = [
  { value: 'sorbate' as const, label: 'Sorbate and sulphite', hint: 'the usual' },
  { value: 'heat' as const, label: 'Pasteurise', hint: 'without sulphite, in the bottle' },
  { value: 'cold' as const, label: 'Cold alone', hint: 'does not work' }
]

/** What is tried in glasses: what it does besides, and how it is made ready. Common practice, no source. */
export const TRIED = {
  'bentonite':
    'Soak it in hot water a day before. Removes protein, some colour and aroma, and leaves a thick layer of lees. Rack after a week or '
      + 'two.',
  'gelatin': 'Dissolve it in warm water. Removes tannin and colour, for hard reds. In whites, only after silica sol or tannin.',
  'chitosan': 'Comes second: silica sol first, this an hour to a day later. Removes haze and little else.',
  'isinglass': 'Soak it in cold water for a day. Polishes whites, removes a little bitterness, leaves few lees.',
  'casein': 'Stir it in fast, because it clots at once. Removes brown colour and off-smells from whites.',
  'egg-white': 'With a pinch of salt, no froth. Softens the tannin of reds. One egg white for 20 to 40 L.',
  'charcoal': 'A last resort: removes colour, faults and aroma alike. Rack after a day or two.',
  'tannin': 'Dissolve it in warm wine. Gives body and helps gelatin. Taste again after some weeks.',
  'oak': 'In closed jars for a week, each with the dose the whole wine would get. Taste them side by side.',
  'oak-cubes': 'In closed jars for three weeks, slower and rounder than chips. Taste them side by side.',
  'glycerol': 'At the very end. Sweet and round, and yeast does not ferment it. A little goes a long way.',
  'gum-arabic': 'Just before bottling, after all filtering. Softens, and keeps colour and crystals in solution.',
  'tartaric': 'The firmest acid, and the one that lowers pH most. Some of it may drop out in the cold.',
  'malic': 'Sharp like green apple. Only if there will be no malolactic, because bacteria convert it.',
  'citric': 'Fresh, a little lemony. Only in a sulphited wine without active bacteria, which turn it into buttery taste and '
    + 'vinegar.',
  'lactic': 'The mildest and most stable: for a wine after malolactic.',
  'potassium-bicarbonate': 'Reduces acid. It keeps working for weeks as tartar drops out. Start with the smallest dose, and wait.'
} as const
export type Tried = keyof typeof TRIED
/** What a card of one’s own says of itself, where Presk knows nothing. */
export const TRIED_OWN = 'Follow the packet for preparation and time.'

/** What comes after the sugar: common practice, no source. */
/** What becomes of the wine that no bottle takes. */
export const REST: Record<Rest, { label: string, hint: string }> = {
  lees: { label: 'Pour it away as lees', hint: 'the vessel is empty' },
  used: { label: 'Drink it or use it', hint: 'the vessel is empty' },
  jug: { label: 'Move it into something smaller', hint: 'a jug or a small bottle, kept full' },
  later: { label: 'Bottle it another day', hint: 'it stays in its vessel' }
}
export const AFTERWARDS =
  'Then bottle at once with crown caps or wired corks and store at 12 to 16 °C for six weeks. Open one in the third week to check the '
    + 'pressure. Leave the wine on its lees, or riddle it over some weeks and disgorge. Common practice.'
