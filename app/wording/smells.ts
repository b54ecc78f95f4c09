import type { Smell } from '~~/core/ledger'
import { listed } from './listed'

export const SMELL: Record<Smell, string> = {
  clean: 'Clean',
  bread: 'Bread',
  fruit: 'Fruit',
  'rotten-egg': 'Rotten egg',
  vinegar: 'Vinegar',
  'nail-varnish': 'Nail varnish',
  other: 'Something else'
}

/** "Bread and fruit." */
export const saySmells = (smells: readonly Smell[]): string =>
  `${listed(smells.map((s) => SMELL[s].toLowerCase())).replace(/^./, (c) => c.toUpperCase())}.`
