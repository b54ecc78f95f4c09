import type { Calculation } from './calculation'
import { CELLAR } from './cellar'
import { CRUSH } from './crush'
import { MEASURING } from './measuring'
import { MUST } from './must'

export { runCalculation } from './calculation'

/** All calculations by name. */
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map([...MEASURING, ...MUST, ...CELLAR, ...CRUSH].map((c) => [c.name, c]))
