import type { PrimingFinding, SorbateFinding } from '~~/core/finishing'

/** Bottles and what they are usually made for, gauge pressure in bar: common practice, no source. What the maker says comes first. */
export const BOTTLE_KINDS = [
  { value: 'still', label: 'Still wine bottle, cork or screw', bar: 0 },
  { value: 'beer', label: 'Beer or cider bottle, crown cap', bar: 4 },
  { value: 'heavy', label: 'Sparkling wine bottle, wired', bar: 9 },
  { value: 'own', label: 'Another, as its maker says', bar: undefined }
] as const
export type BottleKind = (typeof BOTTLE_KINDS)[number]['value']

export function sayPriming(f: PrimingFinding): { tone: 'stop' | 'ask', text: string } {
  switch (f.code) {
    case 'bottle-not-rated':
      return {
        tone: 'stop',
        text: 'Not in this bottle: it is made for still wine and bursts. Only bottles that are rated for it, with a wired or a crown closure.'
      }
    case 'over-rated':
      return {
        tone: 'stop',
        text: `Not in this bottle: ${f.bar.toFixed(1)} bar at ${f.celsius} °C, and it is rated for ${f.ratedBar}. A tenth of that is kept in reserve.`
      }
    case 'sugar-enough':
      return {
        tone: 'stop',
        text: `The ${f.residualSugarGPerL.toFixed(0)} g/L of sugar that are left make ${f.bar.toFixed(1)} bar alone, if yeast gets at them: add none.`
      }
    case 'sugar-counted':
      return {
        tone: 'ask',
        text: `The ${f.residualSugarGPerL.toFixed(0)} g/L of sugar that are left are counted to the last gram. Measure them: a gravity tells them to about 5 g/L.`
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
        text: 'No sorbate after malolactic: bacteria turn it into the smell of geraniums, and nothing takes it out. Leave it dry, or pasteurise.'
      }
    case 'still-fermenting':
      return {
        tone: 'stop',
        text: 'Not while it ferments, or before two gravities agree: sorbate stops no ferment, it keeps a few yeasts from becoming many.'
      }
    case 'without-sulphite':
      return {
        tone: 'stop',
        text: `Not without sulphite: free SO₂ is ${f.freeMgPerL.toFixed(0)} mg/L, and this pH asks for ${f.neededMgPerL.toFixed(0)} at least. Bacteria would get at the sorbate.`
      }
    case 'over-limit':
      return {
        tone: 'ask',
        text: `So little alcohol or so high a pH would want ${f.neededMgPerL.toFixed(0)} mg/L, over the limit of 200: keep it cold as well, or pasteurise.`
      }
  }
}
