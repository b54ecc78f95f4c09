import type { RestartFinding, RestartStep, StopCause } from '~~/core/fermentation'
import type { SayFormat } from './findings'

type Causes = { [K in StopCause['code']]: (c: Extract<StopCause, { code: K }>, f: SayFormat) => string }
const CAUSE: Causes = {
  cold: ({ celsius, belowC }, f) => `Cold: ${f.words(f.temperature(celsius))}, and its yeast needs ${f.words(f.temperature(belowC))} at `
    + 'least.',
  heat: ({ celsius, aboveC }, f) => `Heat: it was at ${f.words(f.temperature(celsius))}, over the ${f.words(f.temperature(aboveC))} that `
    + 'its yeast tolerates.',
  nitrogen: ({ shortMgPerL }) => `Hunger: about ${Math.round(shortMgPerL / 10) * 10} mg/L of nitrogen short.`,
  alcohol: ({ abv, toleranceAbv }) => `Alcohol: ${abv.toFixed(1)} % vol, and the card says ${toleranceAbv} %.`,
  sulphite: ({ freeMgPerL }) => `Sulphite: ${freeMgPerL.toFixed(0)} mg/L free, which stops fresh yeast from starting.`,
  unknown: () => 'The history shows no cause. Killer yeast, spoilage, copper, too little yeast and vineyard stress cannot be seen by '
    + 'gravity.'
}
export const sayCause = (c: StopCause, f: SayFormat): string => (CAUSE[c.code] as (c: StopCause, f: SayFormat) => string)(c, f)

type Findings = { [K in RestartFinding['code']]: (c: Extract<RestartFinding, { code: K }>) => string }
const FINDING: Findings = {
  'too-strong': ({ abv }) => `At ${abv.toFixed(1)} % vol a restart seldom works. Keeping it sweet on purpose, or blending, may be the `
    + 'better wine.',
  'too-much-sulphite': ({ freeMgPerL }) => `With ${freeMgPerL.toFixed(0)} mg/L of free SO₂ no yeast starts. Splash it and wait until it `
    + 'is under 15.',
  'worth-warming-first': () => 'First warm it and stir up the yeast, and read it again after two days. Often that is enough.',
  'no-nutrient-in-the-wine': () => 'Add no ammonium to the stuck wine, because it feeds spoilage. The yeast gets nutrient in its '
    + 'rehydration water.',
  'nothing-to-restart': () => 'By its gravity there is hardly any sugar left. Test for sugar before you restart it.'
}
export const sayRestartFinding = (x: RestartFinding): string => (FINDING[x.code] as (x: RestartFinding) => string)(x)

export interface RestartAmounts { yeastG: number, waterMl: number, nutrientG: number, hullsG: number, holdC: number }
/** A step in words, with its amounts. */
export function sayRestartStep(s: RestartStep, f: SayFormat, of: RestartAmounts): string {
  const litres = (l: number) => f.words(f.volume(l))
  switch (s.code) {
    case 'rack':
      return `Rack it off its lees into a clean vessel; ${of.hullsG.toFixed(0)} g of yeast hulls take up what hinders the yeast. Let `
        + `it settle for a day.`
    case 'condition':
      return `Bring the wine to ${f.words(f.temperature(of.holdC))} and keep it there. Free SO₂ under 15 mg/L; air the room.`
    case 'rehydrate':
      return `Rehydrate ${of.yeastG.toFixed(0)} g of a strong yeast with ${of.nutrientG.toFixed(0)} g of its nutrient in `
        + `${of.waterMl.toFixed(0)} mL of water at ${f.words(f.temperature(38))}. Half an hour.`
    case 'first-cup':
      return `To it ${litres(s.addWineL)} of the wine, ${litres(s.addWaterL)} of water and ${s.addSugarG.toFixed(0)} g of sugar, all at `
        + `${f.words(f.temperature(of.holdC))}. Wait until it ferments before you go on.`
    case 'double':
      return `When its gravity has fallen by half: ${litres(s.addWineL)} more of the wine. Now ${litres(s.starterL)}.`
    case 'all-in':
      return `Once it ferments, add the starter to the last ${litres(s.addWineL)}. Read it every day.`
  }
}
