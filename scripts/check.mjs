import { bin, ensureDeps, summary } from './lib.mjs'

// The quick one while working: lint, types and unit tests, no build and no browser.
ensureDeps()
bin('lint', 'eslint', ['.', '--max-warnings', '0'])
bin('types app', 'nuxt', ['typecheck'])
bin('types core', 'vue-tsc', ['--noEmit', '-p', 'core/tsconfig.json'])
bin('types tests', 'vue-tsc', ['--noEmit', '-p', 'tests/tsconfig.json'])
bin('unit', 'vitest', ['run'])
summary()
