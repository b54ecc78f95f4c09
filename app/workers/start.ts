import type { LedgerEngine } from '~/data/ledger-engine'
import type { Codes } from './codes.worker'
import type { Finding } from './find.worker'
import type { Forecaster } from './forecast.worker'
import type { Practice } from './practice.worker'
import type { Racking } from './racking.worker'
import type { Reckoner } from './reckoner.worker'
import { Supervised } from './supervised'

// Each is started when it is first asked, and anew when it has died; its calls are typed by what it exposes.

const deaths = new Set<() => void>()
/** Hears when the ledger's worker died: what it held is gone, and the cellar is to be opened anew. */
export const onLedgerDeath = (listener: () => void): void => void deaths.add(listener)

export const ledger = new Supervised<LedgerEngine>(
  'ledger',
  () => new Worker(new URL('./ledger.worker.ts', import.meta.url), { type: 'module', name: 'ledger' }),
  () => deaths.forEach((tell) => tell())
)
export const reckoner = new Supervised<Reckoner>(
  'reckoner',
  () => new Worker(new URL('./reckoner.worker.ts', import.meta.url), { type: 'module', name: 'reckoner' })
)
export const forecaster = new Supervised<Forecaster>(
  'forecaster',
  () => new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module', name: 'forecaster' })
)
export const racking = new Supervised<Racking>(
  'racking planner',
  () => new Worker(new URL('./racking.worker.ts', import.meta.url), { type: 'module', name: 'racking' })
)
export const finding = new Supervised<Finding>(
  'finder',
  () => new Worker(new URL('./find.worker.ts', import.meta.url), { type: 'module', name: 'finder' })
)
export const practising = new Supervised<Practice>(
  'practice cellar',
  () => new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module', name: 'practice' })
)
export const codeReader = new Supervised<Codes>(
  'code reader',
  () => new Worker(new URL('./codes.worker.ts', import.meta.url), { type: 'module', name: 'codes' })
)
