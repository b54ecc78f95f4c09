import { expect, openDemo, test } from './fixtures'

test('at 200 % zoom the first task is on the screen, whole and with its button', async ({ page }) => {
  await openDemo(page)
  // A laptop of 1280 by 800 at 200 %: half as many points either way.
  await page.setViewportSize({ width: 640, height: 400 })
  const task = page.getByRole('main').getByRole('listitem').filter({ has: page.getByRole('button', { name: /^Not today: / }) }).first()
  await expect(task).toBeVisible()
  const tabs = (await page.getByRole('navigation', { name: 'Places' }).boundingBox())!
  await expect(async () => {
    const { y, height } = (await task.boundingBox())!
    expect(y).toBeGreaterThan(0)
    expect(y + height).toBeLessThanOrEqual(tabs.y)
  }).toPass()
  await expect(task.getByRole('link').last()).toBeVisible()
})
