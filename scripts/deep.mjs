import { bin, ensureDeps, summary } from './lib.mjs'

// Far more of what `npm test` tries a little of: odd histories, clocks and files. DEEP=200 takes an hour; a found case prints its seed.
ensureDeps()
bin('deep', 'vitest', ['run', 'tests/fuzz'], { DEEP: process.env.DEEP ?? '40' })
summary()
