import type { Browser, Page } from '@playwright/test'
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
    const importMs = await importEntries(page, yearsAtHome(FIVE_YEARS), 'Lot 64')
    const result: Record<string, unknown> = { importMs }
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
    await page.goto(`/lots/${LOT}`)
    await page.getByRole('heading', { name: /^Lot 64/ }).waitFor()
    const taps: number[] = []
    for (let n = 0; n < 9; n++) taps.push(await tapToDrawn(page, `bench note ${n}`))
    taps.sort((a, b) => a - b)
    return { ...result, tapMs: taps[4], tapWorstMs: taps[8], ...(await memoryOf(browser, page)) }
  })

/** What the page's own heap holds after the rubbish is gone, MB. */
async function memoryOf(browser: Browser, page: Page): Promise<object> {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = await session.send('Runtime.getHeapUsage')
  return { heapMb: usedSize / 1e6, browser: browser.version(), address: ADDRESS }
}
