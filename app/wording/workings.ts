import { ACIDS, END_POINT_PH, type AcidPrediction } from '~~/core/acids'
import type { BenchValues, SulphiteAnswer, SulphiteChoices, SulphiteNumber } from '~~/core/benches'
import type { Trend } from '~~/core/harvest'
import type { LotView } from '~~/core/ledger'
import { MOST_AT_ONCE } from '~~/core/stages'
import { FIRST_SO2, SO2_SHARE, type FirstDose, type FruitHealth, type SulphiteSalt } from '~~/core/sulphite'
import { YAN_PER_SUGAR, type Need, type NutrientPlan } from '~~/core/yeast'
import type { WorkingStep } from '~/components/common/WorkingNote.vue'
import { HEALTH } from './crush'
import { RIPE } from './harvest'
import { SULPHITE_AIM, sayAim } from './sulphite'

/** Workings with the actual values in them, and where each comes from. */
const litres = (volumeL: number): string => String(Number(volumeL.toPrecision(4)))

export const FIRST_SULPHITE_SOURCE = '30 to 60 mg/L at the crusher by the health of the fruit: common practice'
export const SALT_SOURCE = 'SO₂ in the salt by stoichiometry'

export function firstSulphiteWorking(
  lot: LotView, dose: FirstDose, health: FruitHealth, salt: SulphiteSalt, weight: string
): WorkingStep[] {
  const level = [
    `${FIRST_SO2[health]} mg/L for ${HEALTH[health].name.toLowerCase()} fruit`,
    ...(dose.reasons.includes('high-ph') && lot.ph ? [`10 more at pH ${lot.ph.value.toFixed(2)}`] : []),
    ...(dose.reasons.includes('ph-unknown') ? ['pH unknown'] : [])
  ]
  const juice = `${litres(lot.volume.value)} L${lot.volume.origin === 'estimated' ? ' of expected juice' : ''}`
  return [
    { what: 'Level', formula: level.join(', '), result: `${dose.mgPerL} mg/L` },
    { what: 'Salt', formula: `${dose.mgPerL} mg/L × ${juice} ÷ 1000 ÷ ${SO2_SHARE[salt].toFixed(3)}`, result: weight }
  ]
}

/** How a wine's dose follows from its pH, its free SO₂ and its aim. */
export function sulphiteWorking(values: BenchValues<SulphiteNumber, SulphiteChoices>, answer: SulphiteAnswer): WorkingStep[] {
  const { dose, ofLot, aim } = answer
  if (!dose) return []
  const { ph = 0, volume = 0, free = 0, bound = 0, targetMolecular, salt } = values
  const [levelMgPerL, unbound] = [ofLot?.levelMgPerL ?? dose.targetFreeMgPerL, 1 - bound / 100]
  const missing = ofLot?.inParts ? (dose.targetFreeMgPerL - free) / unbound : dose.addMgPerL
  const mgPerL = (x: number) => `${x.toFixed(1)} mg/L`
  return [
    {
      what: 'Level',
      formula: `${targetMolecular} × (1 + 10^(${ph.toFixed(2)} − ${dose.pka.toFixed(2)}))`,
      result: mgPerL(levelMgPerL)
    },
    ...(ofLot && aim !== 'level'
      ? [{
          what: SULPHITE_AIM[aim].label,
          formula: sayAim(aim, levelMgPerL, dose.targetFreeMgPerL),
          result: mgPerL(dose.targetFreeMgPerL)
        }]
      : []),
    {
      what: 'To add',
      formula: `(${dose.targetFreeMgPerL.toFixed(1)} − ${free.toFixed(1)}) ÷ (1 − ${Number((bound / 100).toFixed(3))})`,
      result: mgPerL(missing)
    },
    ...(ofLot?.inParts ? [{ what: 'First part', formula: `at most ${MOST_AT_ONCE} mg/L at once`, result: mgPerL(dose.addMgPerL) }] : []),
    {
      what: 'Salt',
      formula: `${mgPerL(dose.addMgPerL)} × ${litres(volume)} L ÷ 1000 ÷ ${SO2_SHARE[salt].toFixed(3)}`,
      result: `${dose.grams.toFixed(2)} g`
    }
  ]
}

export function acidsWorking({ before, after }: AcidPrediction): WorkingStep[] {
  const kind = before.acidsGPerL.succinic > 0.3 ? 'a wine' : 'a must'
  const constants = `pKa of tartaric ${ACIDS.tartaric.pka.join(' and ')}, malic ${ACIDS.malic.pka.join(' and ')}`
  return [
    {
      what: 'Base to the end point', formula: `TA ${before.taGPerL.toFixed(2)} g/L ÷ 75.04`,
      result: `${((before.taGPerL / 75.04) * 1000).toFixed(1)} mmol/L`
    },
    {
      what: 'Acids that give it',
      formula: `the most probable contents for ${kind} whose charges at pH ${before.ph.toFixed(2)} and at ${END_POINT_PH} differ by just `
        + `that; ${constants}`,
      result: `${before.acidsGPerL.tartaric.toFixed(1)} g/L tartaric, ${before.acidsGPerL.malic.toFixed(1)} malic`
    },
    {
      what: 'Strong ions', formula: 'what balances the charges at the wine’s pH, counted as potassium and what goes with it',
      result: `${before.potassiumGPerL.toFixed(1)} g/L`
    },
    { what: 'pH then', formula: 'the pH at which all charges balance again after the changes', result: after.ph.toFixed(2) }
  ]
}
export const ACIDS_SOURCE = 'dissociation constants of the National Bureau of Standards, corrected for ionic strength (Davies) and '
  + 'alcohol; usual contents from handbooks, from memory'

export function nutrientWorking(
  plan: NutrientPlan, need: Need, volumeL: number, name: (key: string) => string, weight: (grams: number) => string
): WorkingStep[] {
  const { needMgPerL, presentMgPerL, missingMgPerL } = plan
  const perGram = YAN_PER_SUGAR[need]
  return [
    {
      what: 'Needed',
      formula: `${(needMgPerL / perGram).toFixed(0)} g/L of sugar × ${perGram} for a ${need} need`,
      result: `${needMgPerL.toFixed(0)} mg/L`
    },
    {
      what: 'Missing',
      formula: `${needMgPerL.toFixed(0)} − ${presentMgPerL.toFixed(0)} there already`,
      result: `${missingMgPerL.toFixed(0)} mg/L`
    },
    ...plan.additions.map((a) => {
      const when = a.when === '24-h-after-pitching' ? 'a day after pitching' : 'at a third gone'
      const content = (a.nitrogenMgPerL / a.gPerL).toFixed(0)
      return {
        what: name(a.nutrient), result: weight(a.grams),
        formula: `${a.nitrogenMgPerL.toFixed(0)} mg/L × ${litres(volumeL)} L ÷ ${content} mg in a gram, half of it ${when}`
      }
    })
  ]
}

export const ripeningWorking = (trends: readonly Trend[]): WorkingStep[] => trends.map((t) => {
  const slope = `${t.perDay >= 0 ? '+' : '−'} ${Math.abs(t.perDay).toFixed(3)} a day`
  return {
    what: RIPE[t.quantity].name, result: `± ${t.ahead[7]!.half.toFixed(RIPE[t.quantity].decimals)} in a week`,
    formula: `least squares through ${t.line.count} samples: ${t.ahead[0]!.value.toFixed(2)} today ${slope}; scatter `
      + `${Math.max(t.line.residualSd, 0).toFixed(2)}`
  }
})
export const RIPENING_SOURCE = 'prediction band of a straight line (Student’s t, 80 %) whose pace slows ahead; a sample of 50 berries '
  + 'scatters by 0.4 °Brix, 0.05 pH, 0.4 g/L: common practice. Weather changes the trend, so sample again'
export const YIELD_SOURCE = '0.60 to 0.70 L of wine from a kilogram on skins, 0.55 to 0.65 pressed; 0.65 to 0.75 L from a litre of '
  + 'frozen must: common practice. A cap needs a fifth of the vessel, foam a tenth'
