import { type LotState, isWine } from '~~/core/ledger'

/** The colour of what is in the vessel, from the style and the stage. Used for wine and for nothing else. */
export function wineColour(lot: Pick<LotState, 'style' | 'alcoholic' | 'stream'>): string {
  if (lot.style === 'red') return lot.stream === 'kit' ? 'var(--kit-red)' : isWine(lot) ? 'var(--wine-red)' : 'var(--must-red)'
  return `var(--${isWine(lot) ? 'wine' : 'must'}-${lot.style})`
}
