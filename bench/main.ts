import { benchAcids } from './acids'
import { benchBrowser } from './browser'
import { benchFerments } from './ferments'
import { benchLedger } from './ledger'

/** Prints one JSON object with everything that is measured. */
console.log(JSON.stringify({ acids: benchAcids(), ferments: benchFerments(), ledger: await benchLedger(), browser: await benchBrowser() }, null, 1))
