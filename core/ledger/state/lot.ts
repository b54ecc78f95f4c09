import type { LotBottles } from './lot-bottles'
import type { LotCellar, LotLooks } from './lot-cellar'
import type { LotFerment, LotMalolactic } from './lot-ferments'
import type { LotIdentity } from './lot-identity'
import type { LotLiquid, LotSulphite } from './lot-liquid'

/** All that the ledger knows of a lot, by its subjects. */
export interface LotState
  extends LotIdentity, LotLiquid, LotFerment, LotMalolactic, LotSulphite, LotLooks, LotCellar, LotBottles {}
