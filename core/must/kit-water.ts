import { SG_MAX, brixFromSg, sgFromBrix } from '../hydrometry'
import { findRoot, within } from '../units'
import { addSugar, addWater } from './sweeten-or-thin'

/** What a hydrometer read at home can tell, SG: nearer than this counts as on target. Common practice, no source. */
export const ON_TARGET_SG = 0.002

export type KitWater =
  | { verdict: 'add', litres: number, stageL: number, last: boolean, expectSg: number, newVolumeL: number, lineHint?: LineHint }
  | { verdict: 'on-target', sg: number, targetSg: number, lineHint?: LineHint }
  | { verdict: 'too-thin', sg: number, targetSg: number, sugarBackG: number, overWaterL: number, lineHint?: LineHint }

/** What the mark on the pail would have done: filled to it, the gravity would be this. */
export interface LineHint {
  lineL: number
  sgAtLine: number
  differenceL: number
}

/** The largest vessel that anybody has, L. Ours. */
const MOST_L = 100_000

/**
 * Water for a kit or a concentrate to its gravity, from the sweet side: three quarters of the need while much is missing, all
 * of the small rest afterwards. Gone too far is said to be too far, with the sugar that would bring it back. The line on the
 * pail is only a hint: it says what the gravity would be there.
 * @param volumeL what stands in the vessel, 0.1 to 100 000 L, stirred through
 * @param sg measured, 0.99 to 1.22: a stronger syrup is thinned first, then measured
 * @param targetSg wanted, 1.03 to 1.15
 * @param stage 1 for the first water, 2 and more for what follows
 * @param lineL the mark, L; one that is in no cellar gives no hint
 * @throws LimitError
 * @example kitWater(16, 1.122, 1.085, 1) // stage of 5.2 L of 6.9 L
 */
export function kitWater(volumeL: number, sg: number, targetSg: number, stage: number, lineL?: number): KitWater {
  within('volumeL', volumeL, 0.1, MOST_L)
  within('sg', sg, 0.99, SG_MAX)
  within('targetSg', targetSg, 1.03, 1.15)
  within('stage', stage, 1, 9)
  const hint = lineL === undefined || lineL <= volumeL || lineL > MOST_L ? {} : { lineHint: atLine(volumeL, sg, targetSg, lineL) }
  if (sg < targetSg - ON_TARGET_SG) {
    // Below water it is a wine, and sugar back is reckoned as from none.
    const [from, to] = [Math.max(0, brixFromSg(sg)), brixFromSg(targetSg)]
    return {
      verdict: 'too-thin',
      sg,
      targetSg,
      sugarBackG: addSugar(volumeL, from, to, 'sucrose').grams,
      overWaterL: waterIn(volumeL, from, to),
      ...hint
    }
  }
  if (sg <= targetSg + ON_TARGET_SG) return { verdict: 'on-target', sg, targetSg, ...hint }
  const water = addWater(volumeL, brixFromSg(sg), brixFromSg(targetSg))
  const first = water.stages[0]!
  return stage === 1
    ? {
        verdict: 'add',
        litres: water.litres,
        stageL: first.amount,
        last: false,
        expectSg: first.expectedSg,
        newVolumeL: water.newVolumeL,
        ...hint
      }
    : { verdict: 'add', litres: water.litres, stageL: water.litres, last: true, expectSg: targetSg, newVolumeL: water.newVolumeL, ...hint }
}

/** Thinner than this the density of a syrup tells no water any more, °Brix. */
const THINNEST = 1

/** Litres of water that are too many in it: as much as a must at the target would have taken to come down to what it is. */
function waterIn(volumeL: number, brix: number, targetBrix: number): number {
  // In a litre of what it is now; without any sugar all of it is water.
  const down = Math.max(THINNEST, brix)
  // The must at the target with the same sugar in it: by weight.
  const sweeterL = (down * sgFromBrix(down)) / (targetBrix * sgFromBrix(targetBrix))
  const perL = (addWater(100, targetBrix, down).litres * sweeterL) / 100
  return volumeL * (perL + (1 - perL) * (1 - Math.min(1, brix / THINNEST)))
}

function atLine(volumeL: number, sg: number, targetSg: number, lineL: number): LineHint {
  // Water brings no sugar: what a litre holds thins with the volume, and the gravity follows from it by the table of sucrose.
  const sugarPerL = (gravity: number) => (Math.max(0, brixFromSg(gravity)) / 100) * gravity
  const sugar = volumeL * sugarPerL(sg)
  const sgAtLine = findRoot((x) => sugarPerL(x) * lineL - sugar, 1, sg, 1e-9).x
  return { lineL, sgAtLine, differenceL: lineL - sugar / sugarPerL(targetSg) }
}
