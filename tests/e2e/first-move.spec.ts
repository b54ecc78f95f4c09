import type { Page } from '@playwright/test'
import { bar, main, playBlindly } from './blindly'
import { choose, entriesOf, expect, expectAccessible, goWithin, openDemo, test } from './fixtures'

async function begin(page: Page, scenario: string, seed: number): Promise<void> {
  await openDemo(page, `/practice?scenario=${scenario}&seed=${seed}`)
  await page.getByRole('button', { name: 'Play it' }).click()
  await expect(bar(page)).toContainText(/(September|October) 20\d\d/)
}

/** A plan that is changed before the first move. */
async function toBeSweet(page: Page): Promise<void> {
  await goWithin(page, '/lots/lot-practice-1')
  await page.getByRole('button', { name: /^Plan: / }).click()
  await choose(page, 'Sweetness', 'sweet')
  await page.getByRole('button', { name: 'Save plan' }).click()
  await expect(page.getByRole('button', { name: /^Plan: .*sweet/ })).toBeVisible()
}

const SEASONS = [
  { what: 'a kit', scenario: 'first-kit', seed: 3, lot: 'Kit red', bottles: 28, says: [/^Dilute/, /^Packets before|^Add packet/] },
  { what: 'a red', scenario: 'warm-garage', seed: 3, lot: 'Garage red', bottles: 25, says: [/^Press$/, /malolactic bacteria/, /^Rack it/] },
  { what: 'ripe grapes', scenario: 'high-ph', seed: 3, lot: 'Ripe red', bottles: 25, says: [/^Correct the must/, /^Finish the correction/] },
  { what: 'a stuck ferment', scenario: 'stuck', seed: 3, lot: 'Stuck red', bottles: 24, says: [/^Stuck/, /^Sugar is left/] },
  { what: 'a sweet white', scenario: 'cold-cellar', seed: 4, lot: 'Cellar white', bottles: 24, says: [/^Do a cold test/, /^Sweeten it/] }
] as const

for (const { what, scenario, seed, lot, bottles, says } of SEASONS) {
  test(`${what} goes from its arrival to the bottle by nothing but what Today asks first`, async ({ page }) => {
    await begin(page, scenario, seed)
    if (what === 'a sweet white') await toBeSweet(page)
    const asked = await playBlindly(page, lot, bottles)
    for (const words of says) expect(asked.some((title) => words.test(title)), `${words.source} in ${asked.join('; ')}`).toBe(true)
    // Nothing is asked for ever.
    const times = new Map<string, number>()
    for (const title of asked) times.set(title, (times.get(title) ?? 0) + 1)
    expect(Math.max(...times.values()), JSON.stringify([...times])).toBeLessThanOrEqual(20)
    await bar(page).getByRole('link', { name: 'Finish' }).click()
    await expect(page.getByRole('heading', { name: 'How it ended' })).toBeVisible()
    for (const fault of ['Never bottled', 'Hardly protected', 'burst', 'Vinegar']) await expect(main(page)).not.toContainText(fault)
    await expectAccessible(page, `the end of ${what}`)
    expect(await entriesOf(page, 'own')).toBe(0)
  })
}

test('a must that nobody looks after is spoilt, and the end says by what', async ({ page }) => {
  await begin(page, 'first-kit', 5)
  for (let week = 0; week < 12; week++) {
    const clock = (await bar(page).textContent())!
    await bar(page).getByRole('button', { name: '1 week' }).click()
    await expect(bar(page)).not.toHaveText(clock)
  }
  await bar(page).getByRole('link', { name: 'Finish' }).click()
  for (const said of ['0 of 100', 'Sugar left', 'Hardly protected', 'Never bottled']) await expect(main(page)).toContainText(said)
})
