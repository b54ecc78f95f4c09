import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { gzipSync } from 'node:zlib'
import { type Browser, type Page, type Response, chromium } from '@playwright/test'
import { toCellarFile } from '../app/data/to-cellar-file'
import { bigCellar } from '../tests/cellars/big'

const PORT = 4299
/** The one that `npm test` installs is among them. */
const CHROMIUM = [
  process.env.CHROMIUM_PATH, '/usr/bin/chromium-headless-shell', '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'
].find((p) => p && existsSync(p))
const LOT = 'lot-bench-3'

/** The built product in a real browser with 40 lots and 20,000 entries: the times that a person feels. Left out when nothing is built. */
export async function benchBrowser(): Promise<object> {
  const entry = resolve(import.meta.dirname, '../../.output/server/index.mjs')
  if (!existsSync(entry) || !CHROMIUM) return { skipped: 'needs `npm run build` and a Chromium' }
  const server = spawn(process.execPath, [entry], {
    env: { ...process.env, PORT: String(PORT), HOST: 'localhost', NODE_ENV: 'production' }
  })
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
  })
  try {
    await answering()
    const page = await (await browser.newContext({ serviceWorkers: 'block', baseURL: `http://localhost:${PORT}` })).newPage()
    const script = countScript(page)
    const firstViewMs = await timed(async () => {
      await page.goto('/')
      await page.getByRole('button', { name: 'Start my first lot' }).waitFor()
    })
    const firstViewScriptKb = await script()
    const demoScriptKb = await scriptOfDemo(browser)
    const importMs = await importBig(page)
    await page.addInitScript(watchLongTasks)
    const reloadMs = await timed(async () => {
      await page.goto(`/lots/${LOT}`)
      await page.getByRole('heading', { name: /^Lot 3/ }).waitFor()
    })
    const openingLongestTaskMs = await longestTask(page)
    const taps: number[] = []
    for (let n = 0; n < 9; n++) taps.push(await tapToDrawn(page, `bench note ${n}`))
    taps.sort((a, b) => a - b)
    const season = await seasonDrawn(page)
    return {
      firstViewMs,
      firstViewGoalMs: 1500,
      firstViewScriptKb,
      firstViewScriptGoalKb: 300,
      demoScriptKb,
      importMs,
      reloadMs,
      openingLongestTaskMs,
      openingLongestTaskGoalMs: 200,
      tapToDrawnMs: taps[4],
      tapToDrawnWorstMs: taps[8],
      tapToDrawnGoalMs: 100,
      ...season,
      ...(await forecastsInWorker(browser))
    }
  }
  finally {
    await browser.close()
    server.kill()
  }
}

/** The demo's four ferments in the browser's own worker: the first, which starts it and is compiled on the way, and the rest. */
async function forecastsInWorker(browser: Browser): Promise<object> {
  const context = await browser.newContext({ serviceWorkers: 'block', baseURL: `http://localhost:${PORT}` })
  await context.addInitScript(() => {
    const took: number[] = []
    const Real = Worker
    Object.assign(window, {
      took,
      Worker: class extends Real {
        constructor(url: URL, options?: WorkerOptions) {
          super(url, options)
          if (options?.name !== 'forecaster') return
          const asked = new Map<string, number>()
          const send = this.postMessage.bind(this)
          this.postMessage = (message: { id: string }) => {
            asked.set(message.id, performance.now())
            send(message)
          }
          this.addEventListener('message', ({ data }) => {
            const at = asked.get(data?.id)
            if (at !== undefined) took.push(performance.now() - at)
          })
        }
      }
    })
  })
  const page = await context.newPage()
  await page.goto('/round?cellar=demo')
  const took = () => page.evaluate(() => (window as unknown as { took: number[] }).took)
  for (let tries = 0; tries < 100 && (await took()).length < 4; tries++) await page.waitForTimeout(200)
  const [first, ...rest] = await took()
  rest.sort((a, b) => a - b)
  await context.close()
  // Each is two: with the readings, and what is usual without them.
  return { forecastInWorkerFirstMs: first, forecastInWorkerMs: rest[1], forecastInWorkerGoalMs: 150 }
}

async function answering(): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    if (
      await fetch(`http://localhost:${PORT}/api/health`).then(
        (r) => r.ok,
        () => false
      )
    )
      return
    await new Promise((done) => setTimeout(done, 100))
  }
  throw new Error('the built server did not answer')
}

/** Gzipped kilobytes of the scripts that a page runs at first; what is only fetched ahead, or runs in a worker, does not count. */
function countScript(page: Page): () => Promise<number> {
  const sizes: Promise<number>[] = []
  const take = (response: Response) => {
    if (response.url().endsWith('.js') && !response.url().includes('.worker'))
      sizes.push(
        response
          .request()
          .allHeaders()
          .then(async (headers) => (headers['sec-purpose'] ? 0 : gzipSync(await response.body()).length))
      )
  }
  page.on('response', take)
  return async () => {
    page.off('response', take)
    return (await Promise.all(sizes)).reduce((sum, bytes) => sum + bytes, 0) / 1024
  }
}

/** Script of the first view with the demo laid out, in a browser that never saw it. */
async function scriptOfDemo(browser: Browser): Promise<number> {
  const context = await browser.newContext({ serviceWorkers: 'block', baseURL: `http://localhost:${PORT}` })
  const page = await context.newPage()
  const script = countScript(page)
  await page.goto('/?cellar=demo')
  await page.getByRole('heading', { name: /today$/ }).waitFor()
  const kb = await script()
  await context.close()
  return kb
}

type WithTasks = Window & { tasks?: number[] }
/** What holds the page up for longer than 50 ms, as the browser itself counts it. */
function watchLongTasks(): void {
  const tasks: number[] = ((window as WithTasks).tasks = [])
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) tasks.push(duration)
  }).observe({ type: 'longtask', buffered: true })
}
async function longestTask(page: Page): Promise<number> {
  // Until what is drawn bit by bit stands as well.
  await page.waitForTimeout(1500)
  return page.evaluate(() => Math.max(0, ...((window as WithTasks).tasks ?? [])))
}

async function timed(work: () => Promise<void>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

async function importBig(page: Page): Promise<number> {
  const text = JSON.stringify(toCellarFile('bench', bigCellar(), new Date(0).toISOString()))
  await page.goto('/stores')
  await page
    .getByLabel('Import a cellar file')
    .setInputFiles({ name: 'big.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  const take = page.getByRole('button', { name: 'Import' })
  await take.waitFor()
  return timed(async () => {
    await take.click()
    await page
      .getByRole('link', { name: /^Lot 39,/ })
      .first()
      .waitFor()
  })
}

/** From Today to the season: when its first lines are there, and what holds the page up until all of them are. */
async function seasonDrawn(page: Page): Promise<object> {
  await page.goto('/')
  await longestTask(page)
  const [firstMs, lots] = await page.evaluate(
    () =>
      new Promise<[number, number]>((done) => {
        const start = performance.now()
        let first: number | undefined
        ;(window as WithTasks).tasks = []
        const look = () => {
          const rows = document.querySelectorAll('main li .row').length
          if (first === undefined && rows > 0) first = performance.now() - start
          if (first !== undefined && performance.now() - start > first + 3000) done([first, rows])
          else requestAnimationFrame(look)
        }
        document.querySelector<HTMLAnchorElement>('a[href^="/season"]')!.click()
        look()
      })
  )
  return { seasonLots: lots, seasonFirstLinesMs: firstMs, seasonLongestTaskMs: await longestTask(page), seasonGoalMs: 200 }
}

/** From the tap on "Log" to the second frame after the ledger shows the line, taken inside the page so that no driver is in it. */
async function tapToDrawn(page: Page, note: string): Promise<number> {
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
