import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { bin, ensureChromium, ensureDeps, looksRightAndBuilds, root, summary } from './lib.mjs'

ensureDeps()
const CHROMIUM_PATH = ensureChromium()
await looksRightAndBuilds()
bin('unit', 'vitest', ['run', '--coverage', '--reporter=default', '--reporter=json', '--outputFile.json=test-results/unit.json'])
const unit = JSON.parse(readFileSync(resolve(root, 'test-results/unit.json'), 'utf8'))
bin('e2e', 'playwright', ['test'], { CHROMIUM_PATH })
const e2e = JSON.parse(readFileSync(resolve(root, 'test-results/e2e.json'), 'utf8')).stats
summary()
// A failure has ended the run before this line; the counts are the runners' own.
console.log(`\n${unit.numPassedTests + e2e.expected} passed, ${unit.numFailedTests + e2e.unexpected + e2e.flaky} failed`)
