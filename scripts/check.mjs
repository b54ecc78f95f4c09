import { bin, ensureDeps, looksRight, summary } from './lib.mjs'

// The quick one while working: lint, types and unit tests, no build and no browser.
ensureDeps()
await looksRight()
bin('unit', 'vitest', ['run'])
summary()
