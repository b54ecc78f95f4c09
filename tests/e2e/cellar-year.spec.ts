import type { Page } from '@playwright/test'
import { choose, expect, goWithin, openDemo, pressIfThere, test } from './fixtures'

const box = (page: Page, name: string | RegExp) => page.getByRole('textbox', { name })
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })
/** A reading at the bench of a lot. */
async function read(page: Page, lotId: string, name: string, fields: Record<string, string>) {
  await goWithin(page, `/bench/measure?lot=${lotId}`)
  for (const [label, value] of Object.entries(fields)) await box(page, label).fill(value)
  await button(page, `Log for ${name}`).click()
  await expect(page.getByText(/readings? logged for/).first()).toBeVisible()
}

test('a red in its malolactic is followed to its end by a test, its new pH measured, and sulphited', async ({ page }) => {
  await openDemo(page, '/lots/lot-bobal/malolactic')
  await expect(page.getByRole('heading', { name: 'Malolactic is under way' })).toBeVisible()
  // A paper beside its standards says nearly; nothing is sulphited on that.
  await page.getByRole('tab', { name: 'Paper' }).click()
  await page.getByRole('group', { name: /^Malic spot/ }).getByText('Fainter than the standard').click()
  await page.getByRole('group', { name: /^Lactic spot/ }).getByText('As strong as the standard').click()
  await expect(page.getByText('Nearly finished.')).toBeVisible()
  await button(page, 'Log paper').click()
  await expect(page.getByRole('heading', { name: 'Malolactic has nearly finished' })).toBeVisible()
  await goWithin(page, '/bench/sulphite?lot=lot-bobal')
  await expect(page.getByText('Malolactic is under way in this lot.')).toBeVisible()
  await expect(button(page, 'Log it')).toBeDisabled()
  await goWithin(page, '/lots/lot-bobal/malolactic')
  await box(page, 'Malic acid').fill('0,06')
  await button(page, 'Log it').click()
  await expect(page.getByRole('heading', { name: 'Malolactic has finished' })).toBeVisible()
  await expect(page.getByText(/by the acid model\. Measure it/)).toBeVisible()
  await read(page, 'lot-bobal', 'Bobal', { pH: '3.56' })
  await goWithin(page, '/winter')
  await expect(page.getByText('No sulphite since malolactic')).toBeVisible()
  await page.getByRole('link', { name: 'Malolactic has finished: add sulphite', exact: true }).click()
  await expect(box(page, 'pH')).toHaveValue(/^3\.5/)
  await button(page, 'Exactly as planned').click()
  await button(page, 'Log it').click()
  await expect(page.getByText(/went in, to last until the next round/).first()).toBeVisible()
  await goWithin(page, '/winter')
  await expect(page.getByText('No sulphite since malolactic')).toBeHidden()
})

test('by waiting: not before a month after the last sign', async ({ page }) => {
  const begun = new Date('2026-11-20T10:00:00')
  await page.clock.install({ time: begun })
  await openDemo(page, '/lots/lot-bobal/malolactic')
  await page.getByRole('tab', { name: 'Bubbles' }).click()
  await button(page, 'A few tiny bubbles').click()
  await page.getByRole('tab', { name: 'Wait' }).click()
  await expect(page.getByText(/Last sign 0 days ago: 30 more to go/)).toBeVisible()
  await expect(button(page, 'Take it as finished')).toBeDisabled()
  await page.clock.setSystemTime(new Date(begun.getTime() + 31 * 86_400_000))
  await page.reload()
  await page.getByRole('tab', { name: 'Wait' }).click()
  await button(page, 'Take it as finished').click()
  await expect(page.getByRole('heading', { name: 'Malolactic has finished' })).toBeVisible()
  await expect(page.getByText('Add sulphite within a few days.')).toBeVisible()
})

test('a white is blocked on purpose, and told what is still wanting', async ({ page }) => {
  await openDemo(page, '/lots/lot-godello/malolactic')
  await expect(page.getByRole('heading', { name: 'No malolactic' })).toBeVisible()
  await choose(page, 'Malolactic in this lot', 'none, and blocked on purpose')
  await expect(page.getByText('Blocked on purpose', { exact: true })).toBeVisible()
  await goWithin(page, '/lots/lot-godello')
  await expect(page.getByText(/Malolactic blocked: not safe yet/)).toBeVisible()
  await expect(page.getByText(/Still missing: a cold place and a sterile filter before bottling/)).toBeVisible()
})

test('monthly round: one list to weigh by; a reading changes it, a tap logs it', async ({ page }) => {
  await openDemo(page, '/winter/sulphite')
  const weigh = page.getByRole('region', { name: 'To weigh today' })
  await expect(weigh.getByText('Grenache')).toBeVisible()
  await expect(weigh.getByText('Godello')).toBeVisible()
  await box(page, 'Free SO₂ of Godello today').fill('31')
  await page.getByRole('listitem').filter({ has: box(page, 'Free SO₂ of Godello today') }).getByRole('button', { name: 'Log it' }).click()
  await expect(weigh.getByText('Godello')).toBeHidden()
  await button(page, /went in$/).first().click()
  await expect(page.getByText('Grenache: logged').first()).toBeVisible()
  await expect(page.getByText(/^It lasts at least until about/).first()).toBeVisible()
})

test('racking day: four lots over nine vessels, and a new plan when a lot comes up short', async ({ page }) => {
  await openDemo(page, '/winter')
  // Treixadura is said to be dry, so that there are four.
  await goWithin(page, '/lots/lot-treixadura?log=stage')
  await choose(page, 'Ferment', 'finished, dry')
  await button(page, 'Log').click()
  await expect(page.getByText(/marked by hand/).first()).toBeVisible()
  await goWithin(page, '/cellar/racking')
  const wines = page.getByRole('group', { name: 'Wines to rack' })
  for (const name of ['Grenache', 'Godello', 'Bobal', 'Treixadura']) await wines.getByText(name, { exact: true }).click()
  // Four wines, nine vessels.
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(4 + 9)
  await button(page, 'Work it out').click()
  const first = page.getByRole('textbox', { name: 'Amount moved' })
  await expect(first).toBeVisible()
  const said = page.getByText(/of air in all/)
  const before = await said.textContent()
  // Of the first move a litre and a half less arrives.
  const planned = Number(await first.inputValue())
  await first.fill(String(Math.round((planned - 1.5) * 10) / 10))
  await button(page, 'Done').click()
  await expect(page.getByText(/: moved to /).first()).toBeVisible()
  await expect(said).not.toHaveText(before!)
  // The rest goes as it is said, whatever the plan is now.
  await expect(async () => {
    await pressIfThere(button(page, 'Done'))
    expect(await page.getByText('All is done.').isVisible()).toBe(true)
  }).toPass({ intervals: [1500] })
  await goWithin(page, '/winter')
  await expect(page.getByText(/^today$/).first()).toBeVisible()
})
