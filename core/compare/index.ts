export { COMPARED, DIFFERS, compareLots, earlierLike } from './compare'
export type { Compared, ComparedRow } from './compare'
