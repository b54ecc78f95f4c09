import AxeBuilder from '@axe-core/playwright'
import { type Page, test as base, expect } from '@playwright/test'

interface Watch { outside: string[], problems: string[] }

/** Every test watches: no request leaves the machine, nothing wrong in the console. */
export const test = base.extend<{ watch: Watch }>({
  watch: [async ({ context }, use) => {
    const w: Watch = { outside: [], problems: [] }
    context.on('request', (r) => {
      const u = new URL(r.url())
      if (/^(https?|wss?):$/.test(u.protocol) && !['localhost', '127.0.0.1'].includes(u.hostname)) w.outside.push(r.url())
    })
    context.on('console', (m) => {
      if (m.type() === 'error' || m.text().includes('[Icon]') || m.text().includes('[Vue warn]')) w.problems.push(`${m.type()}: ${m.text()}`)
    })
    context.on('weberror', e => w.problems.push(String(e.error())))
    await use(w)
    expect(w.outside, 'requests to other hosts').toEqual([])
    expect(w.problems, 'errors in the console').toEqual([])
  }, { auto: true }]
})
export { expect }

/** Findings of the accessibility checker that matter, on the page as it stands. */
export async function expectAccessible(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze()
  const serious = violations.filter(v => v.impact === 'serious' || v.impact === 'critical')
    .map(v => `${where}: ${v.id} on ${v.nodes.map(n => n.target.join(' ')).slice(0, 3).join(' | ')} — ${v.nodes[0]?.any[0]?.message ?? ''}`)
  expect(serious).toEqual([])
}

/** Answers the first questions in metric units and stands at "Start a lot". */
export async function ownCellar(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Start my first lot' }).click()
  await expect(page.getByRole('heading', { name: 'Start a lot' })).toBeVisible()
}

export async function openDemo(page: Page, path = '/'): Promise<void> {
  await page.goto('/?cellar=demo')
  await expect(page.getByRole('navigation', { name: 'Shelf of vessels' })).toBeVisible()
  if (path !== '/') await page.goto(path)
}
