import { benchAcids } from './acids'
import { benchLedger } from './ledger'

/** Prints one JSON object with everything that is measured. */
console.log(JSON.stringify({ acids: benchAcids(), ledger: await benchLedger() }, null, 1))
