import { benchAcids } from './acids'
import { benchBrowser } from './browser'
import { benchFerments } from './ferments'
import { benchLedger } from './ledger'
import { benchRacking } from './racking'

/** Prints one JSON object with everything that is measured. */
const all = {
  acids: benchAcids(),
  ferments: benchFerments(),
  ledger: await benchLedger(),
  racking: await benchRacking(),
  browser: await benchBrowser()
}
console.log(JSON.stringify(all, null, 1))
