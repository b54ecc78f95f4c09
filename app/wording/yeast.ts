import type { PitchPlan, PitchStep, YeastChoice, YeastReason, NutrientPlan } from '~~/core/yeast'

export const FIT: Record<YeastChoice['fit'], string> = { good: 'suits it', possible: 'possible', unsuited: 'not for this must' }
export const NUTRIENT: Record<string, string> = {
  'ammonium-phosphate': 'Ammonium phosphate',
  'complex-nutrient': 'Complex nutrient',
  'organic-nutrient': 'Organic nutrient'
}

export function sayYeastReason(reason: YeastReason): string {
  switch (reason.code) {
    case 'stops-sweet':
      return `tolerates ${reason.toleranceAbv} % vol, the must could make ${reason.potentialAbv.toFixed(1)}: it would stop sweet`
    case 'near-tolerance':
      return `works to its limit of ${reason.toleranceAbv} % vol`
    case 'too-cold':
      return `needs at least ${reason.minC} °C`
    case 'too-warm':
      return `needs at most ${reason.maxC} °C`
    case 'wants-more-nitrogen':
      return 'needs much nutrient'
    case 'sulphide-risk':
      return 'smells of rotten eggs when hungry'
    case 'hinders-malolactic':
      return 'hinders malolactic bacteria'
    case 'suits-malolactic':
      return 'lets malolactic follow easily'
    case 'not-of-this-style':
      return 'is made for other styles'
    case 'fits':
      return 'fits temperature, alcohol and style'
  }
}

export function sayPitchStep(step: PitchStep, celsius: string): string {
  const ml = step.ml === undefined ? '' : step.ml >= 1000 ? `${(step.ml / 1000).toFixed(1)} L` : `${Math.round(step.ml)} mL`
  switch (step.what) {
    case 'warm-water-and-nutrient':
      return `${ml} of water at ${celsius}, rehydration nutrient dissolved in it`
    case 'sprinkle-yeast':
      return 'Sprinkle the yeast on top; do not stir yet'
    case 'stir':
      return 'Stir gently'
    case 'add-must':
      return `Stir in ${ml} of must, which brings it to ${celsius}`
    case 'pitch':
      return `Pitch, at ${celsius}`
  }
}

export function sayPitchFinding(finding: PitchPlan['findings'][number]): string {
  switch (finding.code) {
    case 'rate-unusual':
      return `${finding.gPerL} g/L is outside the usual ${finding.minGPerL} to ${finding.maxGPerL}.`
    case 'must-cold':
      return `A must at ${finding.mustC} °C starts slowly. Let it warm first.`
    case 'must-hot':
      return `A must at ${finding.mustC} °C is too hot for most yeasts. Cool it first.`
  }
}

export function sayNutrientFinding(finding: NutrientPlan['findings'][number]): string {
  switch (finding.code) {
    case 'yan-assumed':
      return `YAN is not measured; ${finding.yanMgPerL} mg N/L is assumed.`
    case 'limit-reached':
      return `${NUTRIENT[finding.nutrient] ?? finding.nutrient} stops at its limit of ${finding.limitGPerL} g/L; `
        + `${finding.shortMgPerL.toFixed(0)} mg N/L come from the next one.`
    case 'enough':
      return 'The must has enough nitrogen of its own.'
    case 'dissolve-first':
      return 'Dissolve it in a little water and add it slowly, because powder makes a gassy must foam over. None after two thirds of '
        + 'the sugar.'
  }
}
