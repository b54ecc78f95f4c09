import type { NeedReason, SupplyFinding } from '~~/core/supplies'
import { sayDate } from './days'

export const NEED: Record<NeedReason, string> = {
  'first-sulphite': 'first sulphite',
  'later-sulphite': 'sulphite until bottling',
  acid: 'to correct the must',
  sugar: 'to raise the sugar',
  carbonate: 'to lower the acid',
  yeast: 'yeast',
  rehydration: 'in the yeast’s water',
  nutrient: 'nutrient',
  enzyme: 'enzyme',
  'staged-rest': 'the second stage'
}

export function saySupplyFinding(finding: SupplyFinding, amount: (value: number) => string): string {
  switch (finding.code) {
    case 'expired':
      return `${amount(finding.left)} are past their use-by date (${sayDate(finding.expires)}) and not counted.`
    case 'opened-long-ago':
      return `A package has been open since ${sayDate(finding.opened)}: look at it and smell it before you use it.`
    case 'weak-sulphite':
      return `An old package has only ${Math.round(finding.potency * 100)} % of its strength left, by the usual loss. It is not counted: `
        + 'buy fresh.'
    case 'unaccounted':
      return `${amount(finding.amount)} more went into lots than was in store. Count what is there.`
  }
}
