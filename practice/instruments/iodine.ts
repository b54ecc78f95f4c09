/** A titration of free SO₂ with iodine and starch. */
export interface IodineSample {
  /** True free SO₂, and what else binds iodine and is slower at it, mg/L. */
  freeMgPerL: number
  slowMgPerL: number
  sampleMl: number
  /** Of the iodine, mol/L of electrons (N). */
  normality: number
}
/** mg/L of SO₂ that a millilitre stands for: 32.03 g a mole of electrons. */
export const mgPerMl = ({ sampleMl, normality }: Pick<IodineSample, 'sampleMl' | 'normality'>): number =>
  (normality * 32.03 * 1000) / sampleMl
export const freeFrom = (sample: IodineSample, addedMl: number): number => addedMl * mgPerMl(sample)
export type IodineLook = 'clear' | 'flash' | 'fades' | 'stays'
/**
 * What the starch shows after the last drop: a flash where it was at once taken, a colour that fades where something slow goes on
 * taking it, and one that stays.
 */
export function iodineLook(sample: IodineSample, addedMl: number): IodineLook {
  const left = freeFrom(sample, addedMl) - sample.freeMgPerL
  if (left > sample.slowMgPerL + 0.3) return 'stays'
  if (left >= 0) return sample.slowMgPerL > 1.5 ? 'fades' : 'stays'
  return left > -3 ? 'flash' : 'clear'
}
