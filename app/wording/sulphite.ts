import type { SulphiteAim } from '~~/core/findings'
import type { MethodAdvice, SulphiteFinding, SulphiteMethod } from '~~/core/sulphite'
import { BOTTLING_RESERVE, NEXT_ROUND_DAYS } from '~~/core/stages'

/** What a dose has to last for. */
export const SULPHITE_AIM: Record<SulphiteAim, { label: string }> = {
  'level': { label: 'Up to its level' },
  'next-round': { label: 'Until the next round' },
  'bottle': { label: 'For bottling' },
  'lock': { label: 'To lock malic acid' }
}
/** How an aim follows from the level, for the working. */
export function sayAim(aim: SulphiteAim, levelMgPerL: number, aimMgPerL: number): string {
  const level = levelMgPerL.toFixed(1)
  switch (aim) {
    case 'level':
      return level
    case 'next-round':
      return `${level} × ${(aimMgPerL / levelMgPerL).toFixed(2)}: what it loses in ${NEXT_ROUND_DAYS} days`
    case 'bottle':
      return `${level} + ${BOTTLING_RESERVE}: what the air of bottling takes`
    case 'lock':
      return '0.8 mg/L molecular at this pH'
  }
}

export const METHOD: Record<SulphiteMethod, string> = {
  'by-ph': 'By pH',
  tablets: 'A tablet per US gallon',
  double: 'Double, to stop malolactic',
  minimal: 'As little as possible',
  none: 'None'
}
const GIVES_UP: Record<MethodAdvice['givesUp'], string> = {
  nothing: 'nothing',
  'ignores-ph': 'ignores the pH',
  'more-sulphite-than-needed': 'more than is needed',
  'thin-protection': 'thin protection',
  'needs-pasteurising': 'pasteurise, and drink within two years'
}

/** What a method gives up, and where it passes the limit. */
export const sayMethod = (advice: MethodAdvice): string =>
  `${GIVES_UP[advice.givesUp]}${advice.overLimit ? `; its total of ${advice.totalMgPerL!.toFixed(0)} mg/L passes the limit` : ''}`

/** Findings on a sulphite dose, in words. */
export function saySulphiteFinding(finding: SulphiteFinding): string {
  switch (finding.code) {
    case 'ph-too-high':
      return `At pH ${finding.ph.toFixed(2)} no sensible amount of sulphite protects the wine. Lower the pH first.`
    case 'below-scale':
      return `${finding.grams.toFixed(2)} g is too little for a scale with steps of ${finding.resolutionG} g. Use the stock solution.`
    case 'near-total-limit':
      return `Total SO₂ would come to ${finding.totalMgPerL.toFixed(0)} mg/L, near the limit of ${finding.limitMgPerL}.`
    case 'over-total-limit':
      return `Total SO₂ would come to ${finding.totalMgPerL.toFixed(0)} mg/L, over the limit of ${finding.limitMgPerL}. Check the pH `
        + 'before adding more.'
    case 'already-there':
      return `Free SO₂ ${finding.freeMgPerL.toFixed(0)} mg/L already meets the ${finding.targetFreeMgPerL.toFixed(0)} mg/L this pH `
        + `needs.`
    case 'as-good-as-there':
      return `${finding.freeMgPerL.toFixed(0)} of ${finding.targetFreeMgPerL.toFixed(0)} mg/L: a home test cannot tell the two apart. `
        + 'Measure again before adding so little.'
    case 'little-free':
      return `This pH needs only ${finding.freeMgPerL.toFixed(0)} mg/L by calculation. Under ${finding.leastMgPerL} mg/L of free SO₂ `
        + `little keeps for long, so add up to that if you want to keep the wine.`
    case 'much-molecular':
      return `${finding.molecularMgPerL.toFixed(1)} mg/L of molecular SO₂ is more than ${finding.limitMgPerL}: most people smell it. Aim `
        + 'lower.'
    case 'large-dose':
      return `${finding.addMgPerL.toFixed(0)} mg/L in one go is a lot. Check the pH reading, and add it in two parts a day apart.`
  }
}
