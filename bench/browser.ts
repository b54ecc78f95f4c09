import { gzipSync } from 'node:zlib'
import type { Browser, Page, Response } from '@playwright/test'
import { bigCellar } from '../tests/cellars/big'
import { ADDRESS, type WithTasks, importEntries, longestTask, newPage, tapToDrawn, timed, watchLongTasks, withProduct } from './product'

const LOT = 'lot-bench-3'

/** The built product in a real browser with 40 lots and 20,000 entries: the times that a person feels. Left out when nothing is built. */
export const benchBrowser = (): Promise<object> =>
  withProduct(async (browser) => {
    const page = await newPage(browser)
    const script = countScript(page)
    const firstViewMs = await timed(async () => {
      await page.goto('/')
      await page.getByRole('button', { name: 'Start my first lot' }).waitFor()
    })
    const firstViewScriptKb = await script()
    const demoScriptKb = await scriptOfDemo(browser)
    const importMs = await importEntries(page, bigCellar(), 'Lot 39')
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
  })

/** The demo's four ferments in the browser's own worker: the first, which starts it and is compiled on the way, and the rest. */
async function forecastsInWorker(browser: Browser): Promise<object> {
  const context = await browser.newContext({ serviceWorkers: 'block', baseURL: ADDRESS })
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
  const context = await browser.newContext({ serviceWorkers: 'block', baseURL: ADDRESS })
  const page = await context.newPage()
  const script = countScript(page)
  await page.goto('/?cellar=demo')
  await page.getByRole('heading', { name: /today$/ }).waitFor()
  const kb = await script()
  await context.close()
  return kb
}

/** From Today to the season: when its first lines are there, and what holds the page up until all of them are. */
async function seasonDrawn(page: Page): Promise<object> {
  await page.goto('/')
  await page.locator('a[href^="/season"]').first().waitFor()
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
