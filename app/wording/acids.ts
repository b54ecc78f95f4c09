import type { AcidsFinding } from '~~/core/acids'
import type { Material, Miss } from '~~/core/must'

export const MUST_MATERIAL: Record<Material, string> = {
  tartaric: 'Tartaric acid',
  malic: 'Malic acid',
  citric: 'Citric acid',
  'potassium-bicarbonate': 'Potassium bicarbonate',
  'potassium-carbonate': 'Potassium carbonate',
  'calcium-carbonate': 'Calcium carbonate',
  water: 'Water',
  sucrose: 'Sugar'
}

/** Outside of what wines hold, or within it and beside these acids still hardly ever found: the one is not said of the other. */
function sayImplausible(gPerL: number, what: string, { minGPerL, maxGPerL }: { minGPerL: number, maxGPerL: number }): string {
  const why = gPerL < minGPerL || gPerL > maxGPerL ? `wines hold ${minGPerL} to ${maxGPerL}` : 'hardly any wine has that beside such acids'
  const need = `This pH and TA together would need ${gPerL.toFixed(1)} g/L of ${what}`
  return `${need}; ${why}. Check the meter in buffer, degas, and titrate again.`
}

/** Findings of the acid model in words; an assumption is said beside its figure, not here. */
export function sayAcidsFinding(finding: AcidsFinding): string {
  switch (finding.code) {
    case 'tartaric-implausible':
      return sayImplausible(finding.tartaricGPerL, 'tartaric acid', finding)
    case 'potassium-implausible':
      return sayImplausible(finding.potassiumGPerL, 'potassium', finding)
    case 'malic-assumed':
      return `Malic acid is not measured; ${finding.malicGPerL.toFixed(1)} g/L is assumed.`
    case 'ph-outside-model':
      return `The result, pH ${finding.ph.toFixed(2)}, is outside the range of wines. Change less.`
    case 'bitartrate-falls':
      return `About ${finding.gPerL.toFixed(1)} g/L of cream of tartar would drop out in time.`
    case 'calcium-slow':
      return 'Calcium carbonate keeps working for weeks as calcium tartrate drops out. Measure again after a month.'
  }
}

const NAME = { brix: 'Sugar', ph: 'pH', ta: 'TA' } as const
export function sayMiss(miss: Miss): string {
  const decimals = miss.quantity === 'ph' ? 2 : 1
  return `${NAME[miss.quantity]} ends at ${miss.value.toFixed(decimals)}, ${Math.abs(miss.by).toFixed(decimals)} `
    + `${miss.by > 0 ? 'above' : 'below'} the usual ${miss.window.min} to ${miss.window.max}.`
}
