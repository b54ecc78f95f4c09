import { existsSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

const PORT = Number(process.env.E2E_PORT ?? 4173)
/** The one without a window where there is one: it takes a quarter less time. */
const CHROMIUM = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path)) ?? '/usr/bin/chromium'
/** How long one step may take before it counts as broken. */
const PATIENCE_MS = Number(process.env.E2E_PATIENCE_MS ?? 120_000)
const baseURL = `http://localhost:${PORT}`

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  // Two cores: two browsers. Every test has a browser context, and so a cellar, of its own.
  fullyParallel: true,
  workers: 2,
  retries: 0,
  forbidOnly: true,
  // No test is bounded by time. What is broken fails at the step that waits for it in vain, after longer than any machine needs.
  timeout: 0,
  expect: { timeout: PATIENCE_MS, toPass: { timeout: 3 * PATIENCE_MS } },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL,
    actionTimeout: PATIENCE_MS,
    navigationTimeout: PATIENCE_MS,
    // As it is written; one test reads as an American does.
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    // Allowed only where they are the subject: each test would else fill a cache of its own.
    serviceWorkers: 'block',
    // As for people who asked for no motion; the main job is done with it.
    contextOptions: { reducedMotion: 'reduce' },
    trace: 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? CHROMIUM,
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        // A page lives for seconds here: what V8 makes quicker in the background for a long life costs more than it saves.
        '--js-flags=--invocation-count-for-maglev=4000 --invocation-count-for-turbofan=20000 --min-semi-space-size=32',
        // Nothing but localhost resolves: an outside request fails and is reported by the fixture.
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE localhost, EXCLUDE 127.0.0.1'
      ]
    }
  },
  projects: [{ name: 'chromium', use: { browserName: 'chromium' } }],
  webServer: {
    command: 'node .output/server/index.mjs',
    url: `${baseURL}/api/health`,
    env: { PORT: String(PORT), HOST: 'localhost', NODE_ENV: 'production' },
    reuseExistingServer: false,
    timeout: PATIENCE_MS,
    stdout: 'ignore',
    stderr: 'pipe'
  }
})
