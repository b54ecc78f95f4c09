import { bin, build, ensureChromium, ensureDeps, summary } from './lib.mjs'

// Far more of what `npm test` tries a little of: odd histories, clocks and files, and a sample of them through the browser on all pages.
// DEEP=200 takes hours; a found case prints its seed.
ensureDeps()
const DEEP = process.env.DEEP ?? '40'
const CHROMIUM_PATH = ensureChromium()
await build()
bin('deep', 'vitest', ['run', 'tests/fuzz', 'app/data/damaged', 'app/data/ledger-engine'], { DEEP })
bin('deep, in the browser', 'playwright', ['test', 'odd-cellars'], { DEEP, CHROMIUM_PATH })
summary()
