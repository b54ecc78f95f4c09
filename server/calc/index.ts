import type { Calculation } from './calculation'
import { CELLAR } from './cellar'
import { CRUSH } from './crush'
import { FERMENT } from './ferment'
import { MEASURING } from './measuring'
import { MUST } from './must'

export { runCalculation } from './calculation'

/** All calculations by name. */
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map([...MEASURING, ...MUST, ...CELLAR, ...CRUSH, ...FERMENT].map((c) => [c.name, c]))
