import fc from 'fast-check'
import type { Page } from '@playwright/test'
import type { Entry } from '../../core/ledger'
import { wildCellar } from '../fuzz/wild-cellar'
import { expect, goWithin, openDemo, test } from './fixtures'

/** More of both by `DEEP=40`; each history is a seed, and named. */
const DEEP = Number(process.env.DEEP ?? 2)
const SEEDS = Array.from({ length: DEEP }, (_, i) => 4200 + i)
const CLOCKS = ['1970', '2041', '2014'].slice(0, DEEP > 2 ? 3 : 1)
/** One page of each kind, with a lot that every wild history has. */
const PAGES = [
  '/', '/lots', '/lots/lot-wild-0', '/lots/lot-wild-1', '/lots/lot-wild-0/record', '/lots/book', '/lots/curves', '/lots/compare',
  '/lots/score', '/lots/lot-wild-0/malolactic', '/lots/lot-wild-0/move?as=rack', '/lots/lot-wild-0/ready', '/lots/lot-wild-0/feed',
  '/lots/lot-wild-0/restart', '/lots/lot-wild-0/press', '/lots/lot-wild-0/labels', '/season', '/winter', '/winter/sulphite', '/round',
  '/round/sheet', '/round/weighing', '/crush', '/harvest', '/cellar', '/cellar/racking', '/cellar/bottles', '/cellar/cards',
  '/stores/instruments', '/stores/supplies', '/stores/cards', '/settings', '/bench', '/bench/measure?lot=lot-wild-0',
  '/bench/sulphite?lot=lot-wild-0', '/bench/correct?lot=lot-wild-0', '/bench/sweet?lot=lot-wild-0', '/bench/blend',
  '/bench/bottles?lot=lot-wild-0', '/bench/cold?lot=lot-wild-0', '/bench/sparkling?lot=lot-wild-0', '/bench/heat?lot=lot-wild-0'
]

/** Straight into the browser's store: what no form and no file would let in. */
const putRaw = (page: Page, name: string, entries: readonly Entry[]) =>
  page.evaluate(
    ([store, rows]) =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open(store)
        open.onerror = () => fail(open.error)
        open.onsuccess = () => {
          const adding = open.result.transaction('entries', 'readwrite')
          for (const row of rows) adding.objectStore('entries').put(row)
          adding.oncomplete = () => {
            open.result.close()
            done()
          }
          adding.onerror = () => fail(adding.error)
        }
      }),
    [name, JSON.parse(JSON.stringify(entries))] as const
  )

async function everyPageShows(page: Page, pages: readonly string[], where: string): Promise<void> {
  for (const path of pages) {
    await goWithin(page, path)
    await expect(page.locator('main'), `${where}, ${path}`).toBeVisible()
    const text = await page.locator('main').innerText()
    expect.soft(text, `${where}, ${path}`).not.toMatch(/cannot be shown|Something broke/)
    expect.soft(text, `${where}, ${path}`).not.toMatch(/\b(?:NaN|Infinity|undefined|Invalid Date)\b/)
  }
}

for (const seed of SEEDS)
  test(`whatever a ledger holds, every page shows it and it can be exported: history ${seed}`, async ({ page }) => {
    const [entries] = fc.sample(wildCellar(60), { seed, numRuns: 1 })
    await page.goto('/settings')
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await putRaw(page, 'presk-own', entries!)
    await page.reload()
    await everyPageShows(page, PAGES, `history ${seed}`)
    await goWithin(page, '/settings')
    const waiting = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Export the cellar' }).click()
    expect((await waiting).suggestedFilename()).toMatch(/\.presk\.json$/)
  })

for (const year of CLOCKS)
  test(`a clock that is set to ${year} locks no page`, async ({ page }) => {
    await openDemo(page)
    await page.clock.setFixedTime(new Date(`${year}-06-01T12:00:00Z`))
    await page.reload()
    const ofDemo = PAGES.filter((path) => !path.includes('wild-1')).map((path) => path.replace('lot-wild-0', 'lot-grenache'))
    await everyPageShows(page, ofDemo, `clock of ${year}`)
  })

test('a ledger whose worker dies is opened anew: it is said, what was typed stays, and the next entry is written', async ({ page }) => {
  await page.addInitScript(() => {
    const made: Worker[] = []
    const Real = Worker
    Object.assign(window, {
      made,
      Worker: class extends Real {
        constructor(url: URL, options?: WorkerOptions) {
          super(url, options)
          if (options?.name === 'ledger') made.push(this)
        }
      }
    })
  })
  await openDemo(page)
  await goWithin(page, '/lots/lot-grenache')
  const note = page.getByRole('textbox', { name: 'Note' })
  await note.fill('Written after the worker died')
  await page.evaluate(() => (window as unknown as { made: Worker[] }).made.at(-1)!.terminate())
  await expect(page.getByText('Part of Presk stopped working', { exact: false }).first()).toBeVisible()
  await goWithin(page, '/lots/lot-grenache')
  await page.getByRole('textbox', { name: 'Note' }).fill('Written after the worker died')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('Written after the worker died').first()).toBeVisible()
  await page.reload()
  await expect(page.getByText('Written after the worker died').first()).toBeVisible()
})
