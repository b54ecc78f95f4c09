import type { SchoolAdvice, SulphiteFinding, SulphiteSchool } from '~~/core/sulphite'

export const SCHOOL: Record<SulphiteSchool, string> = {
  'by-ph': 'By pH',
  tablets: 'A tablet to the US gallon',
  double: 'Double, to stop malolactic',
  minimal: 'As little as possible',
  none: 'None'
}
const GIVES_UP: Record<SchoolAdvice['givesUp'], string> = {
  nothing: 'nothing',
  'ignores-ph': 'looks away from the pH',
  'more-sulphite-than-needed': 'more than is needed',
  'thin-protection': 'thin protection',
  'needs-pasteurising': 'pasteurise, and drink within two years'
}

/** What a school gives up, and where it passes the limit. */
export const saySchool = (advice: SchoolAdvice): string =>
  `${GIVES_UP[advice.givesUp]}${advice.overLimit ? `; its total of ${advice.totalMgPerL!.toFixed(0)} mg/L passes the limit` : ''}`

/** Findings on a sulphite dose, in words. */
export function saySulphiteFinding(finding: SulphiteFinding): string {
  switch (finding.code) {
    case 'ph-too-high':
      return `At pH ${finding.ph.toFixed(2)} no sensible amount of sulphite protects. Bring the pH down first.`
    case 'below-scale':
      return `${finding.grams.toFixed(2)} g is too little for a scale that steps by ${finding.resolutionG} g. Use the stock solution.`
    case 'near-total-limit':
      return `Total SO₂ would come to ${finding.totalMgPerL.toFixed(0)} mg/L, near the limit of ${finding.limitMgPerL}.`
    case 'over-total-limit':
      return `Total SO₂ would come to ${finding.totalMgPerL.toFixed(0)} mg/L, over the limit of ${finding.limitMgPerL}. Check the pH `
        + 'before adding more.'
    case 'already-there':
      return `Free SO₂ ${finding.freeMgPerL.toFixed(0)} mg/L already meets the ${finding.targetFreeMgPerL.toFixed(0)} mg/L this pH asks for.`
    case 'as-good-as-there':
      return `${finding.freeMgPerL.toFixed(0)} of ${finding.targetFreeMgPerL.toFixed(0)} mg/L: no reading at home tells the two apart. `
        + 'Measure again before adding so little.'
    case 'little-free':
      return `This pH needs only ${finding.freeMgPerL.toFixed(0)} mg/L by the sum. Under ${finding.leastMgPerL} mg/L of free SO₂ nothing `
        + 'keeps for long: add up to that for a wine that is to be kept.'
    case 'much-molecular':
      return `${finding.molecularMgPerL.toFixed(1)} mg/L of molecular SO₂ is more than ${finding.limitMgPerL}: most people smell it. Aim `
        + 'lower.'
    case 'large-dose':
      return `${finding.addMgPerL.toFixed(0)} mg/L in one go is a lot. Check the pH reading, and add it in two parts a day apart.`
  }
}
