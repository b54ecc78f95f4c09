import { expect, openDemo, test } from './fixtures'

test('the quick line logs what went in and when, keeps every word, and reaches pages', async ({ page }) => {
  await openDemo(page)
  const line = page.getByRole('textbox', { name: 'A reading or a move' })
  const dialog = page.getByRole('dialog')
  const say = async (words: string) => {
    await expect(dialog).toBeHidden()
    await page.keyboard.press('/')
    await line.fill(words)
  }
  await say('grenache yesterday 1.5 g sulphite stirred gently')
  await expect(dialog.getByText('yesterday 12:00')).toBeVisible()
  await expect(dialog.getByText('1.5 g of potassium metabisulphite went in.')).toBeVisible()
  await expect(dialog.getByText('saved as a note: “gently”')).toBeVisible()
  await page.getByRole('button', { name: 'Log for Grenache' }).click()
  // It is stored once the line has gone; leaving before that would take it along.
  await expect(dialog).toBeHidden()
  await page.goto('/lots/lot-grenache')
  await expect(page.getByText('1.5 g of potassium metabisulphite went in.')).toBeVisible()
  await expect(page.getByText('Note: gently')).toBeVisible()

  // Ten times too much is asked about; what went in can be logged all the same.
  await say('grenache 200 g sulphite')
  await expect(dialog.getByText('A digit slip?', { exact: false })).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Log for Grenache' })).toBeEnabled()
  await page.keyboard.press('Escape')

  // A number that could be anything holds the line up; nothing is logged.
  await say('grenache 42')
  await expect(dialog.getByText('Not clear: “42”')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Log', exact: true })).toBeDisabled()
  await page.keyboard.press('Escape')

  // A move without its vessel goes on in the form, with what was said.
  await say('tempranillo racked to spare glass')
  await dialog.getByRole('button', { name: 'Open the form' }).click()
  await expect(page).toHaveURL(/log=move/)
  await expect(page.getByRole('combobox', { name: 'To', exact: true })).toContainText('Spare glass')

  for (const [words, place] of [
    ['supplies', /stores\/supplies$/],
    ['sulphite albarino', /bench\/sulphite\?lot=lot-albarino/],
    ['barbera kit', /lots\/lot-barbera-kit$/]
  ] as const) {
    await say(words)
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(place)
  }
})

test('everything is found in the same field: a question, a slip of a letter, and the entry opens on its lot', async ({ page }) => {
  await openDemo(page)
  await page.keyboard.press('Control+k')
  const line = page.getByRole('textbox', { name: 'A reading or a move' })
  const found = page.getByRole('region', { name: 'Found' }).getByRole('link')
  await line.fill('when did I rack the grenache')
  await expect(found.first()).toContainText('moved to')
  await expect(found.first()).toContainText('Grenache')
  await line.fill('blaufrankish nutrint')
  await expect(found.first()).toContainText('complex nutrient')
  await line.fill('where is the zzyzx qwxyz')
  await expect(page.getByText('Nothing found.', { exact: false })).toBeVisible()
  // An entry with a slip in its lot is not logged in silence: the name that was meant is a tap away.
  await line.fill('granache 1.5 g sulphite')
  await expect(page.getByText('No lot or vessel has that name', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'I meant Grenache' }).click()
  await expect(page.getByRole('button', { name: 'Log for Grenache' })).toBeEnabled()
  await line.fill('when did I rack the grenache')
  await expect(found.first()).toContainText('moved to')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/lots\/lot-grenache.*\?entry=/)
  await expect(page.locator('[id^="entry-"]:focus')).toContainText('moved to')
})

test('a number beside the wrong unit is offered in the one it must be in', async ({ page }) => {
  await openDemo(page)
  await page.goto('/bench/measure?lot=lot-tempranillo')
  const sugar = page.getByRole('textbox', { name: /^Sugar|^Gravity/ }).first()
  await sugar.fill('1,090')
  await sugar.blur()
  await page.getByRole('button', { name: /Make it 1.090 SG/ }).click()
  await expect(sugar).toHaveValue('1.090')
})
