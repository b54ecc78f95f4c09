import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Browser, Page } from '@playwright/test'
import type { Entry } from '../core/ledger'
import { yearsAtHome } from '../tests/cellars/years'
import { ADDRESS, importEntries, longestTask, newPage, tapToDrawn, timed, watchLongTasks, withProduct } from './product'

/** Five years of a household that measures much. */
const FIVE_YEARS = { lots: 65, events: 35_000, vintages: 5 }
const LOT = 'lot-years-64'
/** Each page by its address and a heading of it. */
const PAGES = {
  today: ['/', /today$/],
  lot: [`/lots/${LOT}`, /^Lot 64/],
  lots: ['/lots', /^Lots/],
  curves: ['/lots/curves', /Compare ferments/],
  sulphite: ['/winter/sulphite', /sulphite round/],
  season: ['/season', /season/i]
} as const

/** Times that a person feels after five years, ms, and the memory of the page, MB. */
export const benchLongUse = (): Promise<object> =>
  withProduct(async (browser) => {
    const page = await newPage(browser)
    const entries = yearsAtHome(FIVE_YEARS)
    const importMs = await importEntries(page, entries, 'Lot 64')
    const result: Record<string, unknown> = { importMs, ...(await bareStorage(page, entries)) }
    // As on another day: what a large cellar opens with is stored once it is quiet.
    await page.waitForTimeout(6000)
    await page.addInitScript(watchLongTasks)
    for (const [name, [address, heading]] of Object.entries(PAGES)) {
      result[`${name}OpensMs`] = await timed(async () => {
        await page.goto(address)
        await page.getByRole('heading', { name: heading }).first().waitFor()
        await page.getByRole('link', { name: /^Lot 64,/ }).first().waitFor()
      })
      result[`${name}LongestTaskMs`] = await longestTask(page)
    }
    for (const name of ['curves', 'sulphite'] as const) result[`${name}FromWithinMs`] = await fromWithin(page, PAGES[name])
    await page.goto(`/lots/${LOT}`)
    await page.getByRole('heading', { name: /^Lot 64/ }).waitFor()
    // All of the page is there before it is tapped.
    await longestTask(page)
    const taps: number[] = []
    for (let n = 0; n < 9; n++) taps.push(await tapToDrawn(page, `bench note ${n}`))
    taps.sort((a, b) => a - b)
    Object.assign(result, { tapMs: taps[4], tapWorstMs: taps[8], bareVueTapMs: await bareTap(browser) }, await memoryOf(browser, page))
    return { ...result, ...(await tableOf100k(page)) }
  })

/** From another page of the cellar by a link, until its first chart or line is there, ms. */
async function fromWithin(page: Page, [address, heading]: readonly [string, RegExp]): Promise<number> {
  await page.goto('/cellar')
  await longestTask(page)
  return timed(async () => {
    await page.evaluate((to) => {
      interface Root extends Element { __vue_app__: { $nuxt: { $router: { push: (to: string) => void } } } }
      document.querySelector<Root>('#__nuxt')!.__vue_app__.$nuxt.$router.push(to)
    }, address)
    await page.getByRole('heading', { name: heading }).first().waitFor()
    await page.locator('main svg.apexcharts-svg, main ol li').first().waitFor()
  })
}

/** A table of 100,000 readings: what holds the page up the longest while it is read, mapped and written. */
async function tableOf100k(page: Page): Promise<object> {
  const at = (n: number) => new Date(Date.now() - 35 * 86_400_000 + n * 30_000).toISOString()
  const rows = Array.from({ length: 100_000 }, (_, n) => `${at(n)},Lot ${n % FIVE_YEARS.lots},${(12 + (n % 12)).toFixed(1)}`)
  await page.goto('/settings')
  await longestTask(page)
  await page.evaluate(() => ((window as unknown as { tasks: number[] }).tasks = []))
  await page.getByLabel('Import readings from a table')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(['date,wine,temp °C', ...rows].join('\n')) })
  await page.getByText('from 100000 rows', { exact: false }).waitFor()
  const tableReadLongestTaskMs = await longestTask(page)
  const tableWriteMs = await timed(async () => {
    await page.getByRole('button', { name: 'Import readings' }).click()
    await page.getByText('100000 readings imported', { exact: false }).first().waitFor({ timeout: 600_000 })
  })
  return { tableReadLongestTaskMs, tableWriteMs, tableWriteLongestTaskMs: await longestTask(page) }
}

/** The same entries by the browser's storage alone: written in one transaction, read in one. */
async function bareStorage(page: Page, entries: readonly Entry[]): Promise<object> {
  const [bareWriteMs, bareReadMs] = await page.evaluate(async (rows) => {
    const done = <T>(request: IDBRequest<T>) => new Promise<T>((ok, fail) => {
      request.onsuccess = () => ok(request.result)
      request.onerror = () => fail(request.error)
    })
    const opening = indexedDB.open('bare', 1)
    opening.onupgradeneeded = () => opening.result.createObjectStore('entries', { keyPath: 'id' }).createIndex('written', 'written')
    const db = await done(opening)
    let start = performance.now()
    const write = db.transaction('entries', 'readwrite')
    for (const row of rows) write.objectStore('entries').add(row)
    await new Promise((ok) => (write.oncomplete = ok))
    const wrote = performance.now() - start
    start = performance.now()
    await done(db.transaction('entries').objectStore('entries').getAll())
    const read = performance.now() - start
    db.close()
    await done(indexedDB.deleteDatabase('bare'))
    return [wrote, read] as const
  }, entries)
  return { bareWriteMs, bareReadMs }
}

/** A line more in a list of forty, by Vue and nothing else, to the second frame. */
async function bareTap(browser: Browser): Promise<number> {
  const page = await browser.newPage()
  await page.setContent('<ul id="list"></ul>')
  await page.addScriptTag({ content: readFileSync(createRequire(import.meta.url).resolve('vue/dist/vue.global.prod.js'), 'utf8') })
  const ms = await page.evaluate(async () => {
    interface Vue {
      reactive: (of: string[]) => string[]
      h: (...args: unknown[]) => unknown
      createApp: (of: object) => { mount: (to: string) => void }
    }
    const { reactive, h, createApp } = (window as unknown as { Vue: Vue }).Vue
    const lines = reactive(Array.from({ length: 40 }, (_, n) => `line ${n}`))
    createApp({ render: () => lines.map((line) => h('li', { key: line }, line)) }).mount('#list')
    const start = performance.now()
    lines.unshift('one more')
    await new Promise<void>((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())))
    return performance.now() - start
  })
  await page.close()
  return ms
}

/** What the page's own heap holds after the rubbish is gone, and the largest renderer's memory where the system tells it, MB. */
async function memoryOf(browser: Browser, page: Page): Promise<object> {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = await session.send('Runtime.getHeapUsage')
  const whole = await browser.newBrowserCDPSession()
  const { processInfo } = await whole.send('SystemInfo.getProcessInfo')
  const residentMb = processInfo.filter((p) => p.type === 'renderer').map(({ id }) => {
    try {
      return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${id}/status`, 'utf8'))?.[1]) / 1000
    }
    catch {
      return 0
    }
  })
  return { heapMb: usedSize / 1e6, rendererMb: Math.max(...residentMb), browser: browser.version(), address: ADDRESS }
}
