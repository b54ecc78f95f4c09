import { expose } from 'comlink'
import { LedgerEngine } from '~/data/ledger-engine'
import { onceLoaded } from './once-loaded'

expose(onceLoaded(new LedgerEngine()))
