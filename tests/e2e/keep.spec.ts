import { expect, expectAccessible, openDemo, ownCellar, test } from './fixtures'

test('two lots beside each other, what differs first, and a pair is offered', async ({ page }) => {
  await openDemo(page, '/lots')
  await page.getByRole('link', { name: 'Compare' }).click()
  await page.getByRole('button', { name: / beside / }).click()
  const table = page.getByRole('region', { name: 'Lots beside each other' })
  await expect(table).toContainText('What differs')
  await expect(page).toHaveURL(/lots=/)
  await page.reload()
  await expect(table).toContainText('Much the same')
  await expectAccessible(page, 'comparing lots')
})

test('a lot’s record, the season book and the vessel cards are pages to print, with their headings', async ({ page }) => {
  await openDemo(page, '/lots/lot-grenache')
  await page.getByRole('link', { name: 'Record for printing' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Grenache' })).toBeVisible()
  for (const name of ['Figures', 'What went in', 'History']) await expect(page.getByRole('heading', { level: 2, name })).toBeVisible()
  // On paper nothing is left of what is only for the screen.
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: /^Print/ })).toBeHidden()
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden()
  const pdf = await page.pdf({ format: 'A4', tagged: true })
  const text = pdf.toString('latin1')
  expect(text.startsWith('%PDF')).toBe(true)
  // Real headings for a screen reader: a tree of structure, with its H1.
  expect(text).toContain('/StructTreeRoot')
  expect(text).toMatch(/\/S\s*\/H1/)
  await page.emulateMedia({ media: 'screen' })
  await page.goto('/lots/book?cellar=demo')
  await expect(page.getByRole('heading', { level: 1, name: /The Larkrise cellar, \d{4}/ })).toBeVisible()
  await expect(page.getByRole('heading', { level: 2, name: 'Grenache' })).toBeVisible()
  await page.goto('/cellar/cards?cellar=demo')
  await expect(page.getByRole('img', { name: 'Code that opens Grenache' }).first()).toBeVisible()
  await expectAccessible(page, 'vessel cards')
})

test('history shows one kind at a time, and the address keeps it', async ({ page }) => {
  await openDemo(page, '/lots/lot-grenache')
  const history = page.getByRole('group', { name: 'Show in the history' })
  await history.getByRole('button', { name: 'Moves' }).click()
  await expect(page.getByText(/^Last racked/)).toBeVisible()
  await expect(page).toHaveURL(/show=moves/)
  await expect(page.getByText('Free SO₂ 21 mg/L.')).toBeHidden()
  await history.getByRole('button', { name: 'All' }).click()
  await expect(page.getByText('Free SO₂ 21 mg/L.')).toBeVisible()
})

test('a folder keeps the cellar by itself, brings what another device wrote, and a copy of it restores', async ({ page }) => {
  // The browser's own private folder stands in for one that the person chooses.
  await page.addInitScript(() => {
    Object.assign(globalThis, { showDirectoryPicker: () => navigator.storage.getDirectory() })
  })
  await ownCellar(page)
  await page.getByRole('radio', { name: /Frozen must or juice/ }).check()
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Folder red')
  await page.getByRole('textbox', { name: 'Volume', exact: true }).fill('40')
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Folder red')
  await page.goto('/settings')
  await page.getByRole('button', { name: 'Choose a folder' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Up to date' })).toBeVisible()
  const names = () => page.evaluate(async () => {
    const all: string[] = []
    const root = (await navigator.storage.getDirectory()) as FileSystemDirectoryHandle & { keys(): AsyncIterable<string> }
    for await (const name of root.keys()) all.push(name)
    return all
  })
  expect((await names()).filter((n) => /^presk-(carry-device|copy-\d)/.test(n))).toHaveLength(2)
  // Another device writes its own file there: the same cellar with a lot more.
  await page.evaluate(async () => {
    const root = (await navigator.storage.getDirectory()) as FileSystemDirectoryHandle & { keys(): AsyncIterable<string> }
    for await (const name of root.keys()) {
      if (!name.startsWith('presk-carry')) continue
      const file = JSON.parse(await (await (await root.getFileHandle(name)).getFile()).text())
      const start = file.entries.find((e: { type: string }) => e.type === 'lot-started')
      const id = `${start.id.slice(0, -4)}beef`
      file.entries = [{ ...start, id, lotId: 'lot-from-phone', name: 'From the phone', vesselId: undefined }]
      const out = await (await root.getFileHandle('presk-carry-device-phone.json', { create: true })).createWritable()
      await out.write(JSON.stringify(file))
      await out.close()
      break
    }
  })
  await page.getByRole('button', { name: 'Update now' }).click()
  await expect(page.getByRole('status').filter({ hasText: '1 entry came from device-phone.' })).toBeVisible()
  await page.getByRole('button', { name: /to restore from/ }).click()
  await page.getByRole('button', { name: /^Restore from/ }).first().click()
  await expect(page.getByText(/already here/)).toBeVisible()
  await expectAccessible(page, 'a folder that keeps the cellar')
  await page.goto('/lots')
  await expect(page.getByRole('link', { name: 'From the phone', exact: true })).toBeVisible()
})

test('another cellar has its own wines, is named on every page, and is left again', async ({ page }) => {
  await ownCellar(page)
  await page.goto('/settings')
  const cellars = page.getByRole('region', { name: 'Cellars' })
  await cellars.getByRole('button', { name: 'Add' }).click()
  await expect(cellars.getByText('Give it a name.')).toBeVisible()
  await cellars.getByRole('textbox', { name: 'Another cellar' }).fill('My father’s cellar')
  await cellars.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByText('My father’s cellar').first()).toBeVisible()
  await page.goto('/lots/new')
  await page.getByRole('radio', { name: /Frozen must or juice/ }).check()
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('His white')
  await page.getByRole('textbox', { name: 'Volume', exact: true }).fill('30')
  await page.getByRole('button', { name: 'Start the lot' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('His white')
  await page.getByRole('button', { name: 'Go to my own cellar' }).click()
  await page.goto('/lots')
  await expect(page.getByText('No lots yet.')).toBeVisible()
  await page.goto('/settings')
  await cellars.getByRole('button', { name: 'Open My father’s cellar' }).click()
  await page.goto('/lots')
  await expect(page.getByRole('link', { name: 'His white', exact: true })).toBeVisible()
})

test('the shelf is one stop for Tab and goes by arrow keys, a new page begins at its heading, and ? lists the keys', async ({ page }) => {
  await openDemo(page)
  const shelf = page.getByRole('navigation', { name: 'Shelf of vessels' })
  await shelf.getByRole('link').first().focus()
  await page.keyboard.press('ArrowRight')
  await expect(shelf.getByRole('link').nth(1)).toBeFocused()
  expect(await shelf.getByRole('link').evaluateAll((all) => all.filter((a) => (a as HTMLElement).tabIndex === 0).length)).toBe(1)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused()
  await page.keyboard.press('Shift+?')
  await expect(page.getByRole('heading', { name: 'How Presk works' })).toBeVisible()
  await expectAccessible(page, 'help')
})
