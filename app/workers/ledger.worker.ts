import { expose } from 'comlink'
import { PATIENCE_MS } from '~/data/in-time'
import { LedgerEngine } from '~/data/ledger-engine'
import { onceLoaded } from './once-loaded'

expose(onceLoaded(new LedgerEngine(undefined, PATIENCE_MS)))
