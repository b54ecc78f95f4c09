import type { Smell } from '~~/core/ledger'

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
export const saySmells = (smells: readonly Smell[]): string => {
  const words = smells.map((s) => SMELL[s].toLowerCase())
  const said = words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`
}
