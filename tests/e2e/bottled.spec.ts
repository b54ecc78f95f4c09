import { readFile } from 'node:fs/promises'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { choose, expect, expectAccessible, goWithin, openDemo, test } from './fixtures'

test('labels are chosen by sight, printed as a PDF, and say what is in the bottle', async ({ page }) => {
  await openDemo(page, '/cellar/bottles')
  await page.getByRole('listitem').filter({ hasText: 'Loureiro' }).getByRole('link', { name: 'Labels' }).click()
  await expect(page.getByRole('heading', { name: 'Labels' })).toBeVisible()
  await expect(page.getByRole('img', { name: 'The first sheet, with 8 labels' })).toBeVisible()
  await expect(page.getByText('Contains sulphites').first()).toBeVisible()
  await expectAccessible(page, 'labels')
  await page.getByText('as in a cellar book').click()
  await expect(page.getByRole('radio', { name: /^Ruled/ })).toBeChecked()
  await page.getByRole('textbox', { name: 'Name on it' }).fill('Vinho da Tőke 葡')
  await expect(page.getByText('The label font has no 葡', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'Name on it' }).fill('Loureiro of Tőke')
  await expect(page.getByText('The label font has no', { exact: false })).toBeHidden()
  await page.getByRole('textbox', { name: 'A line of your own' }).fill('From the slope behind the chapel')
  // A number that cannot be is said at its field, and nothing is printed.
  await page.getByRole('textbox', { name: 'How many' }).fill('-3')
  await page.getByRole('button', { name: 'Save the PDF' }).click()
  await expect(page.getByText('A whole number of labels, up to 500.')).toBeVisible()
  await page.getByRole('textbox', { name: 'How many' }).fill('9')
  await page.getByRole('textbox', { name: 'First free label' }).fill('7')
  await expect(page.getByText('The first of 2 sheets')).toBeVisible()
  await expect(page).toHaveURL(/layout=ruled/)
  await expect(page).toHaveURL(/line=From/)
  await expect(page).toHaveURL(/from=7/)
  // What was chosen stands in the address.
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Name on it' })).toHaveValue('Loureiro of Tőke')
  await expect(page.getByRole('img', { name: 'The first sheet, with 2 labels' })).toBeVisible()
  const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Save the PDF' }).click()])
  expect(file.suggestedFilename()).toMatch(/^labels-loureiro-of-toke-\d{4}\.pdf$/)
  const pdf = await getDocument({ data: new Uint8Array(await readFile(await file.path())), isEvalSupported: false }).promise
  const texts = async (n: number) => (await (await pdf.getPage(n)).getTextContent()).items.map((i) => ('str' in i ? i.str : ''))
  expect(pdf.numPages).toBe(2)
  const [first, second] = [await texts(1), await texts(2)]
  for (const part of ['Loureiro of Tőke', 'Contains sulphites']) {
    expect(first.filter((t) => t === part)).toHaveLength(2)
    expect(second.filter((t) => t === part)).toHaveLength(7)
  }
  expect(second.join(' ')).toMatch(/\d\d\.[05] % vol · 750 mL/)
})

test('a wine in bottles shows how it was rated and what it cost; a sparkling one asks to be opened', async ({ page }) => {
  await openDemo(page, '/cellar/bottles')
  await expect(page.getByRole(
    'img',
    { name: /^Rating by months in the bottle: 5 of 10 at 2 months, .*8 of 10 at 7 months$/ }
  )).toBeVisible()
  await goWithin(page, '/lots/lot-loureiro')
  const cost = page.getByRole('region', { name: 'Cost' })
  await expect(cost.getByText('Fruit or kit')).toBeVisible()
  // 54 for fruit and 21 for bottles, over 21 litres in 28 bottles.
  await expect(cost.getByText('2.68')).toBeVisible()
  await goWithin(page, '/lots/lot-loureiro?log=cost')
  await choose(page, 'What for', 'Equipment hire')
  await page.getByRole('textbox', { name: 'Paid' }).fill('9')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(cost.getByText('3.00')).toBeVisible()
  await goWithin(page, '/lots/lot-macabeo')
  await expect(page.getByRole('heading', { name: 'Chill one bottle well and open it' })).toBeVisible()
  await expect(page.getByText(/Glass under pressure/).first()).toBeVisible()
  await goWithin(page, '/lots/lot-macabeo?log=tasting')
  await page.getByRole('textbox', { name: 'Palate' }).fill('fine bubbles')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Fermenting in the bottle' })).toBeVisible()
})

test('two wines stand in glasses by letters, are scored, uncovered, logged and taken', async ({ page }) => {
  await openDemo(page, '/bench/blend')
  for (const [i, name] of ['Grenache', 'Bobal'].entries()) await choose(page.getByRole('group', { name: `Part ${i + 1}` }), 'From', name)
  const glasses = page.getByRole('region', { name: 'In the glass' })
  await choose(glasses, 'In steps of', 'Thirds')
  await expect(glasses.getByText('% Bobal')).toHaveCount(0)
  await expect(glasses.getByRole('button', { name: 'Reveal' })).toBeDisabled()
  for (const [letter, score] of [
    ['A', '4'],
    ['B', '6'],
    ['C', '8'],
    ['D', '5']
  ] as const) await choose(glasses, `Glass ${letter}, of ten`, score)
  // A phone that falls asleep between two glasses forgets no score.
  await page.reload()
  for (const [i, name] of ['Grenache', 'Bobal'].entries()) await choose(page.getByRole('group', { name: `Part ${i + 1}` }), 'From', name)
  await expect(glasses.getByRole('combobox', { name: 'Glass C, of ten' })).toContainText('8')
  await glasses.getByRole('button', { name: 'Reveal' }).click()
  await expect(glasses.getByText('Best liked', { exact: false })).toBeVisible()
  await expect(glasses.getByText('% Bobal')).not.toHaveCount(0)
  await expectAccessible(page, 'blend')
  await glasses.getByRole('button', { name: 'Log trial' }).click()
  await expect(page.getByText('Trial logged', { exact: true })).toBeVisible()
  await goWithin(page, '/lots/lot-bobal')
  await expect(page.getByText(/Blend trial, blind, each glass and its score of 10\. .*% Grenache, .*% Bobal: /)).toBeVisible()
})

test('three wines stand in six glasses or ten, and the best is taken', async ({ page }) => {
  await openDemo(page, '/bench/blend')
  await page.getByRole('button', { name: 'Add a part' }).click()
  for (const [i, name] of [
    'Grenache',
    'Bobal',
    'Carignan'
  ].entries()) await choose(page.getByRole('group', { name: `Part ${i + 1}` }), 'From', name)
  const glasses = page.getByRole('region', { name: 'In the glass' })
  await expect(glasses.getByRole('combobox', { name: /^Glass / })).toHaveCount(6)
  await choose(glasses, 'In steps of', 'Thirds')
  await expect(glasses.getByRole('combobox', { name: /^Glass / })).toHaveCount(10)
  await choose(glasses, 'Glass C, of ten', '9')
  await glasses.getByRole('button', { name: 'Reveal' }).click()
  await glasses.getByRole('button', { name: 'Use these volumes' }).click()
  // A third of Grenache beside two of Carignan: all 28 L of it, half as much of the other, and no Bobal.
  await expect(glasses.getByText('33 % Grenache, 67 % Carignan', { exact: true }).last()).toBeVisible()
  for (const [i, litres] of [/^14(\.0\d)?$/, '0', /^28(\.0\d)?$/].entries())
    await expect(page.getByRole('group', { name: `Part ${i + 1}` }).getByRole('textbox', { name: 'Volume' })).toHaveValue(litres)
})
