import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const here = fileURLToPath(new URL('.', import.meta.url))

export default defineConfig({
  resolve: { alias: { '~~': here.replace(/\/$/, ''), '~': `${here}app` } },
  test: {
    include: ['core/**/*.test.ts', 'app/**/*.test.ts', 'server/**/*.test.ts', 'demo/**/*.test.ts'],
    environment: 'node',
    coverage: {
      provider: 'v8',
      include: ['core/**/*.ts', 'app/data/**/*.ts', 'server/calc/**/*.ts'],
      exclude: ['**/*.test.ts', '**/*.fixture.ts', '**/index.ts', 'app/data/download.ts'],
      reporter: ['text-summary', 'json-summary', 'html'],
      thresholds: { lines: 90, functions: 90, statements: 90, branches: 80 }
    }
  }
})
