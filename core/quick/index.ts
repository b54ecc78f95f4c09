export { quickDrafts } from './drafts'
export type { MoveWants } from './drafts'
export { readQuickLine } from './quick-line'
export type { QuickContext, QuickLine } from './line'
