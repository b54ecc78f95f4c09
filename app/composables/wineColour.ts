import type { LotState } from '~~/core/ledger'

/** The colour of what is in the vessel, from the style and the stage. Used for wine and for nothing else. */
export function wineColour(lot: Pick<LotState, 'style' | 'stage' | 'stream'>): string {
  if (lot.style === 'red') return lot.stream === 'kit' ? 'var(--kit-red)' : lot.stage === 'wine' || lot.stage === 'bottled' ? 'var(--wine-red)' : 'var(--must-red)'
  return `var(--${lot.stage === 'wine' || lot.stage === 'bottled' ? 'wine' : 'must'}-${lot.style})`
}
