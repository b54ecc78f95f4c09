import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = fileURLToPath(new URL('.', import.meta.url))

export default defineConfig({
  resolve: { alias: { '~~': here.replace(/\/$/, ''), '~': `${here}app` } },
  test: {
    // What only computes keeps nothing between files, and is loaded once for all; what has stores and stand-ins, for each file anew.
    projects: [
      {
        extends: true,
        test: { name: 'core', include: ['{core,simulator,practice,tests/loop}/**/*.test.ts'], isolate: false, pool: 'threads' }
      },
      { extends: true, test: { name: 'app', include: ['{app,server,demo,tests/fuzz,tests/docs,tests/house}/**/*.test.ts'] } }
    ],
    environment: 'node',
    // Its own default leaves one core to whoever watches; here nobody does.
    maxWorkers: '100%',
    setupFiles: ['tests/seed.ts'],
    // A slow or busy machine is no failure: speed is measured by the bench. 0 is no limit.
    testTimeout: 0,
    hookTimeout: 0,
    coverage: {
      provider: 'v8',
      include: ['core/**/*.ts', 'app/{composables,data,forms,stores,wording}/**/*.ts', 'server/calc/**/*.ts'],
      exclude: ['**/*.test.ts', '**/*.fixture.ts', '**/index.ts', 'app/data/download.ts'],
      reporter: ['text-summary', 'json-summary', 'html'],
      // What draws is held by the browser tests; it is shown here, and held to no number.
      thresholds: {
        'core/**/*.ts': { lines: 90, functions: 90, statements: 90, branches: 80 },
        'app/data/**/*.ts': { lines: 80, functions: 80, statements: 80, branches: 70 }
      }
    }
  }
})
