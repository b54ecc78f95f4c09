import axe from 'axe-core'
import { type Locator, type Page, test as base, expect } from '@playwright/test'

interface Watch {
  outside: string[]
  problems: string[]
}

/** Every test watches: no request leaves the machine, nothing wrong in the console. */
export const test = base.extend<{ watch: Watch }>({
  watch: [
    async ({ context }, use) => {
      const w: Watch = { outside: [], problems: [] }
      context.on('request', (r) => {
        const u = new URL(r.url())
        if (/^(https?|wss?):$/.test(u.protocol) && !['localhost', '127.0.0.1'].includes(u.hostname)) w.outside.push(r.url())
      })
      context.on('console', (m) => {
        if (m.type() === 'error' || m.text().includes('[Icon]') || m.text().includes('[Vue warn]'))
          w.problems.push(`${m.type()}: ${m.text()}`)
      })
      context.on('weberror', (e) => w.problems.push(String(e.error())))
      await use(w)
      expect(w.outside, 'requests to other hosts').toEqual([])
      expect(w.problems, 'errors in the console').toEqual([])
    },
    { auto: true }
  ]
})
export { expect }

/**
 * Findings of the accessibility checker that matter, on the page as it stands.
 * @param contrastOnly the structure is the same in both themes: the second needs its colours checked alone
 */
export async function expectAccessible(page: Page, where: string, contrastOnly = false): Promise<void> {
  // A page comes in several tasks: it is looked at when all of it stands.
  await page.evaluate(async () => {
    // Where nothing is drawn a browser may see no reason to call: it need not wait for that.
    for (const _ of [1, 2]) await new Promise((stands) => requestIdleCallback(stands, { timeout: 300 }))
  })
  // Put into the page once and asked there: no page has a frame in it, for which its own runner loads it anew at every look.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const violations = await page.evaluate(async (only) => {
    // A message's guards of the focus are the library's own, and hold it on purpose.
    const guards = '[role="region"][aria-label^="Notifications"] > span[aria-hidden]'
    const checker = (window as unknown as { axe: typeof axe }).axe
    return (await checker.run(
      { exclude: [[guards]] },
      { resultTypes: ['violations'], ...(only && { runOnly: ['color-contrast'] }) }
    )).violations
  }, contrastOnly)
  const serious = violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${where}: ${v.id} on ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(' | ')} — ${v.nodes[0]?.any[0]?.message ?? ''}`
    )
  expect(serious).toEqual([])
}

/** Presses it where it is on the page at this moment, and waits for nothing: it may have gone by itself. */
export const pressIfThere = (what: Locator): Promise<void> =>
  what.evaluateAll((all) => (all[0] as HTMLElement | undefined)?.click())

/** Answers the first questions in metric units and stands at "Start a lot". */
export async function ownCellar(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start my first lot' }).click()
  await expect(page.getByRole('heading', { name: 'Start a lot' })).toBeVisible()
}

export async function openDemo(page: Page, path = '/'): Promise<void> {
  await page.goto(`${path}${path.includes('?') ? '&' : '?'}cellar=demo`)
  await expect(page.getByRole('navigation', { name: 'Shelf of vessels' })).toBeVisible()
}

type InWindow = { useNuxtApp?: () => { isHydrating?: boolean, $router?: { push: (to: string) => Promise<unknown> } } }

/** To another page as a link would, without loading the application anew. */
export async function goWithin(page: Page, path: string): Promise<void> {
  // Just after a load the page is there before the application is: a link would not answer yet either.
  await page.waitForFunction(() => {
    const app = (window as unknown as InWindow).useNuxtApp?.()
    return app?.$router !== undefined && app.isHydrating !== true
  })
  await page.evaluate((to) => (window as unknown as InWindow).useNuxtApp?.().$router?.push(to), path)
  await expect(page).toHaveURL((url) => url.pathname + url.search === path)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
}

/** The service worker has everything once it is ready; from the next page on it answers. */
export async function onItsWorker(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.reload()
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
}

/** Chooses from a list, as a person would: opens it, and takes the item. */
export async function choose(within: Page | Locator, name: string, option: string): Promise<void> {
  await within.getByRole('combobox', { name, exact: true }).click()
  const page = 'page' in within ? within.page() : within
  await page.getByRole('option', { name: option, exact: true }).click()
}

/** Types a date and a time into its parts, one after the other. */
export async function typeWhen(page: Page, when: Date): Promise<void> {
  const parts = {
    day: when.getDate(),
    month: when.getMonth() + 1,
    year: when.getFullYear(),
    hour: when.getHours(),
    minute: when.getMinutes()
  }
  for (const [part, value] of Object.entries(parts)) {
    await page.getByRole('spinbutton', { name: new RegExp(`^${part}`, 'i') }).click()
    await page.keyboard.type(String(value).padStart(2, '0'))
  }
}

/** A browser in which the ledger runs on the page itself, so that a test can get at its storage. */
export async function withoutWorkers(page: Page): Promise<void> {
  await page.addInitScript(() => Object.defineProperty(window, 'Worker', { value: undefined }))
}

/** What the browser keeps of a cellar, by its entries. */
export const entriesOf = (page: Page, name: string): Promise<number> =>
  page.evaluate((db) => new Promise<number>((done) => {
    const asked = indexedDB.open(`presk-${db}`)
    asked.onupgradeneeded = () => asked.transaction?.abort()
    asked.onerror = () => done(0)
    asked.onsuccess = () => {
      if (!asked.result.objectStoreNames.contains('entries')) return done(0)
      const count = asked.result.transaction('entries').objectStore('entries').count()
      count.onsuccess = () => {
        asked.result.close()
        done(count.result)
      }
    }
  }), name)
