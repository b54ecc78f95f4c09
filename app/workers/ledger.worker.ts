import { expose } from 'comlink'
import { LedgerEngine } from '~/data/ledger-engine'

expose(new LedgerEngine())
