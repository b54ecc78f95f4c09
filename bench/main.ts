import { benchAcids } from './acids'
import { benchBrowser } from './browser'
import { benchFerments } from './ferments'
import { benchFind } from './find'
import { benchLaws } from './laws'
import { benchLedger } from './ledger'
import { benchHabits } from './habits'
import { benchLongUse } from './long-use'
import { benchLoop } from './loop'
import { benchRacking } from './racking'
import { benchUsualFerment } from './usual-ferment'

const PARTS: Record<string, () => object | Promise<object>> = {
  'acids': benchAcids,
  'ferments': benchFerments,
  'find': benchFind,
  'ledger': benchLedger,
  'laws': benchLaws,
  'loop': benchLoop,
  'habits': benchHabits,
  'racking': benchRacking,
  'browser': benchBrowser,
  'long-use': benchLongUse
}

/** Only when it is named: what it prints is pasted into the code. */
const SETS: typeof PARTS = { 'usual-ferment': benchUsualFerment }

/** Prints one JSON object with everything that is measured, or with the parts that are named: `npm run bench -- ledger browser`. */
const asked = process.argv.slice(2)
const unknown = asked.filter((name) => !(name in PARTS) && !(name in SETS))
if (unknown.length) throw new Error(`There is no part ${unknown.join(', ')}; there are ${Object.keys(PARTS).join(', ')}.`)
const all: Record<string, object> = {}
for (const [name, bench] of Object.entries({ ...PARTS, ...SETS }))
  if (asked.includes(name) || (!asked.length && name in PARTS)) all[name] = await bench()
console.log(JSON.stringify(all, null, 1))
