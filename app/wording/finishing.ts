import type { PrimingFinding, SorbateFinding } from '~~/core/finishing'

export function sayPriming(f: PrimingFinding): { tone: 'stop' | 'ask', text: string } {
  switch (f.code) {
    case 'bottle-not-rated':
      return {
        tone: 'stop',
        text: 'Not in this bottle: it is made for still wine and bursts. Only bottles that are rated for it, with a wired or a crown '
          + 'closure.'
      }
    case 'over-rated':
      return {
        tone: 'stop',
        text: `Not in this bottle: ${f.bar.toFixed(1)} bar at ${f.celsius} °C, and it is rated for ${f.ratedBar}. A tenth of that is `
          + 'kept in reserve.'
      }
    case 'sugar-enough':
      return {
        tone: 'stop',
        text: `The ${f.residualSugarGPerL.toFixed(0)} g/L of sugar that are left make ${f.bar.toFixed(1)} bar alone, if yeast gets at `
          + 'them: add none.'
      }
    case 'sugar-counted':
      return {
        tone: 'ask',
        text: `The ${f.residualSugarGPerL.toFixed(0)} g/L of sugar that are left are counted to the last gram: they make `
          + `${f.bar.toFixed(1)} bar of it, with the gas that is there.`
      }
    case 'sugar-untested':
      return {
        tone: 'ask',
        text: `Nobody tested its sugar, and a gravity tells it to about ${f.spreadGPerL.toFixed(0)} g/L: up to ${f.bar.toFixed(1)} bar `
          + 'more than is shown. The bottle is judged with it. A sugar test settles it.'
      }
    case 'yeast-unsure':
      return {
        tone: 'ask',
        text: `At ${f.abv.toFixed(1)} % vol yeast may not begin again. A starter that was led up to alcohol, or another wine.`
      }
    case 'still-level':
      return { tone: 'ask', text: 'Under one bar it is a prickle, and nobody would call it sparkling.' }
  }
}

export function saySorbate(f: SorbateFinding): { tone: 'stop' | 'ask', text: string } {
  switch (f.code) {
    case 'after-malolactic':
      return {
        tone: 'stop',
        text: 'No sorbate after malolactic: bacteria turn it into the smell of geraniums, and nothing takes it out. Leave it dry, or '
          + 'pasteurise.'
      }
    case 'still-fermenting':
      return {
        tone: 'stop',
        text: 'Not while it ferments, or before two gravities agree: sorbate stops no ferment, it keeps a few yeasts from becoming many.'
      }
    case 'without-sulphite':
      return {
        tone: 'stop',
        text: `Not without sulphite: free SO₂ is ${f.freeMgPerL.toFixed(0)} mg/L, and this pH asks for ${f.neededMgPerL.toFixed(0)} at `
          + 'least. Bacteria would get at the sorbate.'
      }
    case 'over-limit':
      return {
        tone: 'ask',
        text: `So little alcohol or so high a pH would want ${f.neededMgPerL.toFixed(0)} mg/L, over the limit of 200: keep it cold as `
          + 'well, or pasteurise.'
      }
  }
}

/** What holds a sweet wine sweet. */
export const HELD_BY = [
  { value: 'sorbate' as const, label: 'Sorbate and sulphite', hint: 'the usual' },
  { value: 'heat' as const, label: 'Pasteurise', hint: 'without sulphite, in the bottle' },
  { value: 'cold' as const, label: 'Cold alone', hint: 'does not hold' }
]

/** What is tried in glasses: what it does besides, and how it is made ready. Common practice, no source. */
export const TRIED = {
  'bentonite':
    'Swell it in hot water, a day before. Takes protein, some colour and aroma; a thick layer of lees. Rack after a week or two.',
  'gelatin': 'Dissolve it warm. Takes tannin and colour: for hard reds; in whites only with silica sol or tannin before it.',
  'chitosan': 'The second of two: silica sol first, this an hour to a day later. Takes haze, little else.',
  'isinglass': 'Soak it cold for a day. Polishes whites, takes a little bitterness; light lees.',
  'casein': 'Stir it in fast: it clots at once. Takes brown colour and off-smells of whites.',
  'egg-white': 'A pinch of salt, no froth. Rounds the tannin of reds; an egg white for 20 to 40 L.',
  'charcoal': 'The last resort: takes colour, faults and aroma alike. Rack after a day or two.',
  'tannin': 'Dissolve it in warm wine. Firms the body and helps gelatin; tasted again after weeks.',
  'oak': 'In closed jars for a week: as many grams in each as the whole wine would get. Taste them side by side.',
  'oak-cubes': 'In closed jars for three weeks: slower than chips, and rounder. Taste them side by side.',
  'glycerol': 'At the very end. Sweet and round, and yeast does not take it: a little goes a long way.',
  'gum-arabic': 'Just before the bottle, after all filtering. Softens, and holds colour and crystals up.',
  'tartaric': 'The firmest acid, and the one that lowers pH most. In the cold a part of it may fall out again.',
  'malic': 'Green-apple sharp. Only where no malolactic will come: bacteria would turn it.',
  'citric': 'Fresh, a little lemon. Only in a wine that is sulphited and has no bacteria at work: they make it into buttery taste and '
    + 'vinegar.',
  'lactic': 'The mildest, and nothing takes it away again: for a wine after its malolactic.',
  'potassium-bicarbonate': 'Takes acid off. What it does goes on for weeks, as tartar falls: start with the least, and wait.'
} as const
export type Tried = keyof typeof TRIED
/** What a card of one’s own says of itself, where Presk knows nothing. */
export const TRIED_OWN = 'By its packet: how it is made ready, and how long it works.'

/** What comes after the sugar: common practice, no source. */
export const AFTERWARDS =
  'Then: bottle at once, crown or wire, lie them at 12 to 16 °C for six weeks; open one in the third week and taste its pressure. Leave '
    + 'it on its lees, or turn it down into the neck over weeks and disgorge it. Common practice.'
