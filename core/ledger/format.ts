export const CELLAR_FORMAT = 'presk-cellar'
/** 2 since blocks, arrivals and supplies stand in the ledger, 3 since plans do, 4 since cards of one's own and amended lots
 * do, 5 since vessels are retired and barrels cared for, 6 since what a wine cost does. */
export const CELLAR_VERSION = 6
