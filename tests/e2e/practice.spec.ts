import { EXERCISES, drawExercise } from '../../practice/exercises'
import { entriesOf, expect, expectAccessible, goWithin, openDemo, test } from './fixtures'

test.describe('exercises', () => {
  test('each is answered with the keyboard, and says how far off it was', async ({ page }) => {
    await openDemo(page, '/practice')
    for (const code of EXERCISES) {
      const { answer } = drawExercise(code, 7)
      await goWithin(page, `/practice/${code}?seed=7`)
      await page.getByRole('button', { name: 'Check' }).press('Enter')
      await expect(page.getByText(answer.kind === 'number' ? 'Type a number.' : 'Choose one.')).toBeVisible()
      if (answer.kind === 'number') {
        const field = page.getByRole('main').getByRole('textbox')
        await field.fill(answer.truth.toFixed(answer.decimals).replace('.', ','))
        await field.press('Enter')
      }
      else {
        await page.getByRole('main').getByRole('radio').nth(answer.options.indexOf(answer.right)).press('Space')
        await page.getByRole('button', { name: 'Check' }).press('Enter')
      }
      await expect(page.getByText(/^(It is|Right)/)).toBeVisible()
      await expect(page.getByText('1 of your last 1 were right')).toBeVisible()
    }
    await expectAccessible(page, 'an exercise')
  })
  test('instruments are worked by touch: drops until the colour turns, buffers in a meter', async ({ page }) => {
    await openDemo(page, '/practice/titrate-white?seed=3')
    const drop = page.getByRole('button', { name: 'One drop' })
    for (let i = 0; i < 60 && !(await page.getByText('A faint pink stays.').isVisible()); i++) {
      const near = await page.getByText('gone when swirled').isVisible()
      await (near ? drop : page.getByRole('button', { name: '+ 0.5 mL' })).click()
    }
    await expect(page.getByText(/A faint pink stays|Bright magenta/)).toBeVisible()
    await goWithin(page, '/practice/meter?seed=3')
    await page.getByRole('button', { name: 'Wait 20 seconds' }).click()
    await page.getByRole('button', { name: 'Wait 20 seconds' }).click()
    await page.getByRole('button', { name: 'Calibrate here' }).click()
    await expect(page.getByText('it takes this for 7.01')).toBeVisible()
    await expectAccessible(page, 'the meter')
  })
})

test('a season is played on a clock of its own, ends in a verdict, and nothing of it is in the own cellar', async ({ page }) => {
  await openDemo(page, '/practice?scenario=cold-cellar&seed=11')
  await page.getByRole('button', { name: 'Play it' }).click()
  const bar = page.getByRole('region', { name: 'Practice' })
  await expect(bar).toContainText('A white in a cold cellar')
  await expect(bar).toContainText(/20 September/)
  // What is due is asked, as in a cellar of one's own.
  await expect(page.getByRole('main')).toContainText('Cellar white')
  await page.getByRole('link', { name: 'Instruments' }).click()
  await page.getByRole('textbox', { name: 'Gravity' }).fill('1,086')
  await page.getByRole('button', { name: 'Log what I read' }).click()
  await expect(page.getByRole('textbox', { name: 'Gravity' })).toHaveValue('')
  const before = await entriesOf(page, 'practice')
  await page.getByRole('button', { name: 'Let the cellar hand read everything' }).click()
  await expect.poll(() => entriesOf(page, 'practice')).toBe(before + 4)
  await bar.getByRole('button', { name: '1 day' }).click()
  await expect(bar).toContainText(/2[12] September/)
  // A reload finds the season where it was.
  await page.reload()
  await expect(bar).toContainText(/2[12] September/)
  await bar.getByRole('link', { name: 'Finish' }).click()
  await expect(page.getByRole('heading', { name: 'How it ended' })).toBeVisible()
  await expect(page.getByText(/Never bottled/)).toBeVisible()
  await expectAccessible(page, 'the end of a season')
  await page.emulateMedia({ colorScheme: 'dark' })
  await expectAccessible(page, 'the end of a season, dark', true)
  await bar.getByRole('button', { name: 'Leave' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Practice' })).toBeVisible()
  await expect(bar).toBeHidden()
  expect(await entriesOf(page, 'practice')).toBeGreaterThan(10)
  expect(await entriesOf(page, 'own')).toBe(0)
  // And it goes on from there.
  await page.getByRole('button', { name: 'Continue this season' }).click()
  await expect(bar).toContainText(/2[12] September/)
})

test('a season that cannot be is said, and one that is under way is asked about', async ({ page }) => {
  await openDemo(page, '/practice?scenario=no-such&seed=-4')
  await expect(page.getByRole('button', { name: 'Play it' })).toBeHidden()
  await page.getByRole('button', { name: 'Start A first kit' }).click()
  // It leads to the season's Today when it is laid out.
  await expect(page).toHaveURL((url) => url.pathname === '/')
  await expect(page.getByRole('region', { name: 'Practice' })).toContainText('A first kit')
  await goWithin(page, '/practice')
  await page.getByRole('button', { name: 'Start Ripe grapes, high pH' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'ends the season that is under way' })).toBeVisible()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('region', { name: 'Practice' })).toContainText('A first kit')
  await goWithin(page, '/practice/no-such')
  await expect(page.getByRole('heading', { name: 'No such exercise' })).toBeVisible()
})
