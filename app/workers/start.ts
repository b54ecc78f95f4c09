import { type Remote, wrap } from 'comlink'
import type { LedgerEngine } from '~/data/ledger-engine'
import type { Forecaster } from './forecast.worker'
import type { Racking } from './racking.worker'
import type { Reckoner } from './reckoner.worker'

/** Starts a worker of ours; its calls are typed by what it exposes. */
let ledger: Remote<LedgerEngine> | undefined
export const startLedger = (): Remote<LedgerEngine> =>
  (ledger ??= wrap<LedgerEngine>(new Worker(new URL('./ledger.worker.ts', import.meta.url), { type: 'module', name: 'ledger' })))

let reckoner: { worker: Worker, remote: Remote<Reckoner> } | undefined
export function startReckoner(): Remote<Reckoner> {
  if (!reckoner) {
    const worker = new Worker(new URL('./reckoner.worker.ts', import.meta.url), { type: 'module', name: 'reckoner' })
    reckoner = { worker, remote: wrap<Reckoner>(worker) }
  }
  return reckoner.remote
}

/** What it is at is not wanted any more: a fresh one takes the next question. */
export function stopReckoner(): void {
  reckoner?.worker.terminate()
  reckoner = undefined
}

let forecaster: Remote<Forecaster> | undefined
export const startForecaster = (): Remote<Forecaster> =>
  (forecaster ??= wrap<Forecaster>(
    new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module', name: 'forecaster' })
  ))

let racking: Remote<Racking> | undefined
export const startRacking = (): Remote<Racking> =>
  (racking ??= wrap<Racking>(new Worker(new URL('./racking.worker.ts', import.meta.url), { type: 'module', name: 'racking' })))
