/**
 * What was done that had better not have been, judged by the material's card, the phase it fell in and what went before. Each holds what
 * its words name; what follows and what can be done is worded in the app.
 */
export type Act =
  /** Sulphite into a ferment at work, or within hours of the yeast; mg/L. */
  | { code: 'sulphite-in-ferment' | 'sulphite-on-yeast', mgPerL: number, hours?: number }
  /** Yeast within hours of a sulphite that is still free. */
  | { code: 'yeast-on-sulphite', hours: number, mgPerL: number }
  | { code: 'pitched-hot' | 'pitched-cold', celsius: number, limit: number }
  /** Yeast and must too far apart. */
  | { code: 'yeast-shocked', apartC: number, limit: number }
  /** Ammonium phosphate after two thirds of the sugar. */
  | { code: 'phosphate-late', gonePercent: number }
  | { code: 'enzyme-beside-sulphite', hours: number }
  | { code: 'enzyme-after-bentonite' }
  | { code: 'fined-in-ferment', material: string }
  /** Powder tipped into what holds gas. */
  | { code: 'powder-into-gas', material: string }
  | { code: 'wine-splashed' }
  /** More sugar than its yeast can take, % vol. */
  | { code: 'beyond-tolerance', potentialAbv: number, toleranceAbv: number }
  | { code: 'bacteria-on-sorbate' | 'sorbate-on-bacteria' }
  | { code: 'sorbate-in-ferment' }
  /** Acid or carbonate that takes the must or wine out of its window: pH as reckoned after it. */
  | { code: 'acid-too-far' | 'carbonate-too-far', ph: number }
  /** The same amount of the same thing, minutes after. */
  | { code: 'twice', material: string, amount: number, unit: 'g' | 'mL' | 'L', minutes: number }
  /** What went in is far from what was planned. */
  | { code: 'far-from-plan', material: string, actual: number, planned: number, unit: 'g' | 'mL' | 'L' }
  /** Less than ten steps of the scale it was weighed on. */
  | { code: 'below-scale', material: string, actual: number, stepG: number }
  /** From a package that is past its time. */
  | { code: 'old-package', material: string, days: number }
  /** More alcohol than its sugar gives, % vol. */
  | { code: 'alcohol-beyond-sugar', abv: number, most: number }
  /** pH and TA that no wine has together. */
  | { code: 'acids-disagree', ph: number, taGPerL: number }
  /** A titration or pH of a wine full of gas reads too high, too low. */
  | { code: 'gassy-sample', quantity: 'ta' | 'ph' }
  /** More wine out of the skins than they give unwrung, L from a kg. */
  | { code: 'pressed-hard', litresPerKg: number }
  /** Malic acid that fell with no bacteria given. */
  | { code: 'malic-fell', from: number, to: number }
export type ActCode = Act['code']
