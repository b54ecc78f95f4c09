import type { LotView } from '../ledger'

/**
 * Somebody has sulphited it, measured its free SO₂ as one does of a wine, or given it bacteria since: only what a person measured or did
 * counts as having gone on, and never what came in with another wine.
 */
export const goneOnSince = (lot: Pick<LotView, 'sulphited' | 'series' | 'bacteria' | 'bacteriaAt'>, at: string): boolean =>
  lot.sulphited.some((dose) => dose.at > at)
  || (lot.series.freeSo2 ?? []).some((read) => read.at > at)
  || (lot.bacteria !== undefined && lot.bacteriaAt !== undefined && lot.bacteriaAt > at)
