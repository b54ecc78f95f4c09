export const CELLAR_FORMAT = 'presk-cellar'
/** 2 since blocks, arrivals and supplies stand in the ledger, 3 since plans do, 4 since cards of one's own and amended lots
 * do, 5 since vessels are retired and barrels cared for, 6 since what a wine cost does, 7 since
 * bottles have cards, tests are begun, oak is made ready and faults are named, 8 since a task has every answer that people have, packets
 * say what they hold, and what came with sulphite says so, 9 since a step is put on a day and plans are kept under
 * names, 10 since a household says how exactly it reads. */
export const CELLAR_VERSION = 10
