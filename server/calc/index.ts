import type { Calculation } from './calculation'
import { CELLAR } from './cellar'
import { CRUSH } from './crush'
import { FERMENT } from './ferment'
import { FINISHING } from './finishing'
import { MEASURING } from './measuring'
import { MUST } from './must'
import { RACKING } from './racking'
import { WAY } from './way'

export { runCalculation } from './calculation'

/** All calculations by name. */
const ALL = [...MEASURING, ...MUST, ...CELLAR, ...CRUSH, ...FERMENT, ...RACKING, ...FINISHING, ...WAY]
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map(ALL.map((c) => [c.name, c]))
