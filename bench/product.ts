import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { type Browser, type Page, chromium } from '@playwright/test'
import { toCellarFile } from '../app/data/to-cellar-file'
import type { Entry } from '../core/ledger'

const PORT = 4299
export const ADDRESS = `http://localhost:${PORT}`
/** The one that `npm test` installs is among them. */
const CHROMIUM = [
  process.env.CHROMIUM_PATH, '/usr/bin/chromium-headless-shell', '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'
].find((p) => p && existsSync(p))

const ARGS = ['--no-sandbox', '--disable-gpu', '--disable-background-networking']

/** A browser whose storage is kept in a folder: closed and begun again it is the same person's on another day. */
export async function asOnAnotherDay<T>(folder: string, work: (page: Page) => Promise<T>): Promise<T> {
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: CHROMIUM!, args: ARGS, baseURL: ADDRESS, serviceWorkers: 'block'
  })
  try {
    return await work(context.pages()[0] ?? (await context.newPage()))
  }
  finally {
    await context.close()
  }
}

/** The built product and a browser for as long as `work` takes; says so where nothing is built or no browser is there. */
export async function withProduct(work: (browser: Browser) => Promise<object>): Promise<object> {
  const entry = resolve(import.meta.dirname, '../../.output/server/index.mjs')
  if (!existsSync(entry) || !CHROMIUM) return { skipped: 'needs `npm run build` and a Chromium' }
  const server = spawn(process.execPath, [entry], {
    env: { ...process.env, PORT: String(PORT), HOST: 'localhost', NODE_ENV: 'production' }
  })
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: ARGS })
  try {
    await answering()
    return await work(browser)
  }
  finally {
    await browser.close()
    server.kill()
  }
}

/** A page of a browser that keeps nothing from before. */
export const newPage = async (browser: Browser): Promise<Page> =>
  (await browser.newContext({ serviceWorkers: 'block', baseURL: ADDRESS })).newPage()

/** Milliseconds. */
export async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

/** Takes entries in as a cellar file; ms until the lot that is named last is on the page. */
export async function importEntries(page: Page, entries: readonly Entry[], lot: string): Promise<number> {
  const text = JSON.stringify(toCellarFile('bench', entries, new Date(0).toISOString()))
  await page.goto('/settings')
  await page.getByLabel('Import a cellar file')
    .setInputFiles({ name: 'big.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  const take = page.getByRole('button', { name: 'Import' })
  await take.waitFor()
  return timed(async () => {
    await take.click()
    await page.getByRole('link', { name: new RegExp(`^${lot},`) }).first().waitFor({ timeout: 120_000 })
  })
}

export type WithTasks = Window & { tasks?: number[] }
/** What holds the page up for longer than 50 ms, as the browser itself counts it. */
export function watchLongTasks(): void {
  new PerformanceObserver((list) => {
    // Into whatever list is there now: who measures begins a new one.
    for (const { duration } of list.getEntries()) ((window as WithTasks).tasks ??= []).push(duration)
  }).observe({ type: 'longtask', buffered: true })
}
export async function longestTask(page: Page): Promise<number> {
  // Until what is drawn bit by bit is there as well.
  await page.waitForTimeout(1500)
  return page.evaluate(() => Math.max(0, ...((window as WithTasks).tasks ?? [])))
}

/** From the tap on "Log" to the second frame after the ledger shows the line, taken inside the page so that no driver is in it. */
export async function tapToDrawn(page: Page, note: string): Promise<number> {
  // A person takes a moment between two taps; what follows the last one behind is drawn by then.
  await page.waitForTimeout(500)
  await page.getByRole('textbox', { name: 'Note' }).fill(note)
  return page.evaluate(
    (text) =>
      new Promise<number>((done) => {
        const button = [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === 'Log')!
        const start = performance.now()
        const watch = new MutationObserver(() => {
          if (![...document.querySelectorAll('li')].some((li) => li.textContent?.includes(text))) return
          watch.disconnect()
          requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start)))
        })
        watch.observe(document.body, { childList: true, subtree: true, characterData: true })
        button.click()
      }),
    note
  )
}

async function answering(): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(`${ADDRESS}/api/health`).then(
        (r) => r.ok,
        () => false
      )
    )
      return
    await new Promise((done) => setTimeout(done, 100))
  }
  throw new Error('the built server did not answer')
}
