import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Browser, Page } from '@playwright/test'
import type { Entry } from '../core/ledger'
import { yearsAtHome } from '../tests/cellars/years'
import { type WithTasks, asOnAnotherDay, importEntries, longestTask, tapToDrawn, timed, watchLongTasks, withProduct } from './product'

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
    const folder = mkdtempSync(join(tmpdir(), 'presk-bench-'))
    const entries = yearsAtHome(FIVE_YEARS)
    try {
      const stored = await asOnAnotherDay(folder, async (page) => {
        const importMs = await importEntries(page, entries, 'Lot 64')
        const bare = await bareStorage(page, entries)
        // What a large cellar opens with is stored once it is quiet.
        await page.waitForTimeout(6000)
        return { importMs, ...bare }
      })
      const felt = await asOnAnotherDay(folder, async (page) => {
        const opened = await opening(page)
        return { ...opened, ...(await working(page)), ...(await memoryOf(page)) }
      })
      return { ...stored, ...felt, bareVueTapMs: await bareTap(browser), ...(await asOnAnotherDay(folder, tableOf100k)) }
    }
    finally {
      rmSync(folder, { recursive: true, force: true })
    }
  })

/** Each page from a fresh load, by the clock of the page itself: until its heading and the whole shelf are there. */
async function opening(page: Page): Promise<object> {
  const result: Record<string, number> = {}
  await page.addInitScript(watchLongTasks)
  await page.addInitScript(() => {
    const look = () => {
      const isThere = document.querySelector('main h1') && document.querySelector('nav[aria-label="Shelf of vessels"] li a')
      if (isThere) (window as unknown as { shownMs: number }).shownMs = performance.now()
      else requestAnimationFrame(look)
    }
    look()
  })
  for (const [name, [address]] of Object.entries(PAGES)) {
    const times: number[] = []
    for (let n = 0; n < 3; n++) {
      await page.goto(address)
      await page.waitForFunction(() => (window as unknown as { shownMs?: number }).shownMs !== undefined)
      const longest = await longestTask(page)
      if (n === 0) result[`${name}LongestTaskMs`] = longest
      times.push(await page.evaluate(() => (window as unknown as { shownMs: number }).shownMs))
    }
    result[`${name}ShownMs`] = times.sort((a, b) => a - b)[1]!
  }
  return result
}

/** What somebody does once it is open. */
async function working(page: Page): Promise<object> {
  const result: Record<string, number> = {}
  for (const name of ['curves', 'sulphite'] as const) result[`${name}FromWithinMs`] = await fromWithin(page, PAGES[name])
  await page.goto(`/lots/${LOT}`)
  await page.getByRole('heading', { name: /^Lot 64/ }).waitFor()
  // All of the page is there before it is tapped, and the ledger is read behind it.
  await longestTask(page)
  await tapToDrawn(page, 'the first')
  const taps: number[] = []
  for (let n = 0; n < 9; n++) taps.push(await tapToDrawn(page, `bench note ${n}`))
  taps.sort((a, b) => a - b)
  return { ...result, tapMs: taps[4]!, tapWorstMs: taps[8]!, correctionMs: await correction(page) }
}

/** A reading of half-way struck out on the page of its lot, until all that rests on it is drawn. */
const correction = (page: Page): Promise<number> =>
  page.evaluate(async (lotId) => {
    interface Line { fact: { type: string, id: string, lotId?: string }, struck?: boolean }
    interface Cellar { facts: Line[], strike: (ids: string[], why: string) => Promise<boolean> }
    interface Root extends Element { __vue_app__: { $nuxt: { $pinia: { _s: Map<string, unknown> } } } }
    const cellar = document.querySelector<Root>('#__nuxt')!.__vue_app__.$nuxt.$pinia._s.get('cellar') as Cellar
    const readings = cellar.facts.filter((f) => f.fact.type === 'reading' && f.fact.lotId === lotId && !f.struck)
    const start = performance.now()
    await cellar.strike([readings[Math.floor(readings.length / 2)]!.fact.id], 'bench')
    await new Promise<void>((done) => requestAnimationFrame(() => requestAnimationFrame(() => done())))
    return performance.now() - start
  }, LOT)

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
  await page.addInitScript(watchLongTasks)
  const at = (n: number) => new Date(Date.now() - 35 * 86_400_000 + n * 30_000).toISOString()
  const rows = Array.from({ length: 100_000 }, (_, n) => `${at(n)},Lot ${n % FIVE_YEARS.lots},${(12 + (n % 12)).toFixed(1)}`)
  await page.goto('/settings')
  await page.getByRole('link', { name: /^Lot 64,/ }).first().waitFor()
  // What opening takes is not the table's.
  await longestTask(page)
  await page.evaluate(() => ((window as WithTasks).tasks = []))
  await page.getByLabel('Import readings from a table')
    .setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(['date,wine,temp °C', ...rows].join('\n')) })
  await page.getByText('from 100000 rows', { exact: false }).waitFor()
  const tableReadLongestTaskMs = await longestTask(page)
  await page.evaluate(() => ((window as WithTasks).tasks = []))
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
async function memoryOf(page: Page): Promise<object> {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = await session.send('Runtime.getHeapUsage')
  return { heapMb: usedSize / 1e6, rendererMb: Math.max(0, ...renderers()) }
}

/** Of every renderer on this machine, where it has such a folder. */
function renderers(): number[] {
  const read = (path: string) => {
    try {
      return readFileSync(path, 'utf8')
    }
    catch {
      return ''
    }
  }
  const ids = existsSync('/proc') ? readdirSync('/proc').filter((name) => /^\d+$/.test(name)) : []
  return ids.filter((id) => read(`/proc/${id}/cmdline`).includes('--type=renderer'))
    .map((id) => Number(/VmRSS:\s+(\d+)/.exec(read(`/proc/${id}/status`))?.[1] ?? 0) / 1000)
}
