import { readFileSync } from 'node:fs'
import type { Locator, Page } from '@playwright/test'
import { choose, expect, expectAccessible, openDemo, ownCellar, test } from './fixtures'

/** Counts what a person does: a tap, or a value typed into a field. */
class Hands {
  done = 0
  async tap(target: Locator): Promise<void> {
    this.done++
    await target.click()
  }

  async enter(target: Locator, text: string): Promise<void> {
    this.done++
    await target.fill(text)
  }
}
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name })
const link = (page: Page, name: string | RegExp) => page.getByRole('link', { name, exact: typeof name === 'string' })
const box = (page: Page, name: string | RegExp) => page.getByRole('textbox', { name, exact: typeof name === 'string' })
const station = (page: Page, name: RegExp) => page.getByRole('listitem').filter({ has: page.getByRole('link', { name }) })

/** A vessel that stands on the shelf before crush day. */
async function bin(page: Page): Promise<void> {
  await page.goto('/cellar')
  await box(page, 'Name').fill('Big bin')
  await choose(page, 'Kind', 'Fermenting bin')
  await box(page, 'Capacity').fill('150')
  await button(page, 'Add').click()
  await expect(page.getByRole('link', { name: 'Big bin, empty' })).toBeVisible()
}

for (const size of [
  { width: 1280, height: 800 },
  { width: 390, height: 844 }
]) {
  test(`the red of the demo goes from arrival to pitched yeast in 25 taps and entries at ${size.width} × ${size.height}`, async ({
    page
  }) => {
    test.slow()
    await page.setViewportSize(size)
    await page.clock.install({ time: new Date('2026-10-03T08:00:00') })
    await ownCellar(page)
    await bin(page)
    await page.goto('/lots/new')
    const hands = new Hands()
    await hands.enter(box(page, 'Name'), 'Tempranillo')
    await hands.enter(box(page, 'Fruit'), '118')
    await expect(page.getByText(/65\.2 to 88\.2 L/)).toBeVisible()
    await hands.tap(page.getByRole('radio', { name: /Big bin.*fits/ }))
    await hands.tap(button(page, 'Start the lot'))
    await expect(page.getByRole('heading', { name: 'First sulphite' })).toBeVisible()
    await expect(page.getByText(/Sulphite powder and its gas/)).toBeVisible()
    await hands.tap(button(page, '4.0 g went in'))

    await hands.tap(link(page, 'Measure'))
    await hands.enter(box(page, 'Sugar'), '24,6')
    await hands.enter(box(page, 'Sample temperature'), '17')
    await hands.enter(box(page, 'pH'), '3.71')
    await hands.enter(box(page, 'Titratable acidity (TA)'), '5.5')
    await hands.tap(button(page, 'Log for Tempranillo'))

    await page.clock.fastForward('01:00:00')
    await hands.tap(link(page, 'See what helps'))
    await expect(page.getByRole('slider', { name: 'Try tartaric acid' })).toHaveAttribute('aria-valuetext', /(1\.[5-9]|2\.[0-4])\d? g\/L/)
    await page.getByText('Show the working').first().click()
    await hands.tap(button(page, 'Exactly as planned'))
    await hands.tap(button(page, 'Log it'))
    // The correction has a field for pH too: the one that is meant is on the next page.
    await expect(page.getByRole('heading', { name: 'Measure', exact: true })).toBeVisible()
    await page.clock.fastForward('01:00:00')
    await hands.enter(box(page, 'pH'), '3.57')
    await hands.enter(box(page, 'Titratable acidity (TA)'), '6.6')
    await hands.tap(button(page, 'Log for Tempranillo'))

    await expect(page.getByRole('heading', { name: 'Finish the correction' })).toBeVisible()
    await hands.tap(link(page, 'See the rest'))
    await expect(page.getByRole('heading', { name: 'The rest: what went in' })).toBeVisible()
    await hands.tap(button(page, 'Exactly as planned'))
    await hands.tap(button(page, 'Log it'))
    await expect(page.getByText(/There is still too much sulphite. Wait/)).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth), 'nothing runs off the side').toBeLessThanOrEqual(0)

    await page.clock.fastForward('11:00:00')
    await hands.tap(link(page, 'Prepare the yeast'))
    await hands.tap(button(page, 'The water is warm: start'))
    await expect(page.getByRole('heading', { name: /192 mL of water at 38 °C/ })).toBeVisible()
    await page.reload()
    await page.clock.fastForward('01:10:00')
    // 17 °C was the sample's; nobody has measured the must, so 20 °C is taken.
    await expect(page.getByRole('heading', { name: /^Pitch, at 25/ })).toBeVisible()
    await hands.tap(button(page, '19.2 g are in the must'))
    await expect(page.getByText('The yeast is in, so crush day is over for this lot.')).toBeVisible()
    expect(hands.done).toBeLessThanOrEqual(25)

    await link(page, 'the lot’s page').click()
    await expect(page.getByText(/tartaric acid went in.*to correct the must/)).toHaveCount(2)
    await expect(page.getByText(/Yeast pitched: .*19\.2 g/)).toBeVisible()
  })
}

test('a frozen white thaws, gets its sulphite, settles, and its enzyme waits for the sulphite', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-10-03T08:00:00') })
  await ownCellar(page)
  await page.getByRole('radio', { name: /Frozen must or juice/ }).check()
  await page.getByRole('radio', { name: 'White' }).check()
  await box(page, 'Name').fill('Albariño')
  await box(page, 'Volume').fill('40')
  await button(page, 'Start the lot').click()
  await button(page, 'It is thawing now').click()
  // Sulphite goes in while it thaws; the clock runs on beside it.
  await expect(page.getByRole('heading', { name: 'First sulphite' })).toBeVisible()
  await link(page, /^Thaw: 12 h to go/).click()
  await expect(page.getByRole('img', { name: /gone of 12 to 48 hours/ })).toBeVisible()
  await page.clock.fastForward('13:00:00')
  await link(page, /^Came with: now/).click()
  await button(page, 'No, none in it').click()
  await link(page, /^Sulphite: now/).click()
  await button(page, '2.1 g went in').click()
  await page.clock.fastForward('00:20:00')
  await link(page, /^Settle: now/).click()
  await button(page, 'It is settling now').click()
  await link(page, /^Enzyme: in 5/).click()
  await expect(page.getByText(/would weaken the enzyme\. Wait 5\.\d h more/)).toBeVisible()
  await expect(button(page, '1.2 g went in')).toBeDisabled()
  await page.clock.fastForward('06:00:00')
  await expect(page.getByText(/would weaken the enzyme/)).toBeHidden()
  await button(page, '1.2 g went in').click()
  await expect(page.getByRole('link', { name: /^Enzyme: today/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /^Settle: 18 h to go/ })).toBeVisible()
  for (let day = 0; day < 3; day++) await page.clock.fastForward('24:00:00')
  await link(page, /^Settle: ended/).click()
  await expect(page.getByText(/Time is up/)).toBeVisible()
})

test('a kit is watered in stages to its gravity; too much water is called too much', async ({ page }) => {
  await ownCellar(page)
  await page.getByRole('radio', { name: /Kit or concentrate/ }).check()
  await box(page, 'Name').fill('Barbera kit')
  await box(page, 'Volume').fill('16')
  await box(page, 'Dilute it to').fill('1.085')
  await box(page, 'Mark on the pail').fill('24')
  await button(page, 'The usual four').click()
  await button(page, 'Start the lot').click()
  await box(page, 'Gravity').fill('1.122 sg')
  await button(page, 'Log gravity').click()

  await expect(page.getByText(/You cannot take water out again/).first()).toBeVisible()
  await expect(page.getByText(/The mark at 24 L is only a hint: filled to the mark, the gravity would be about 1\.082/)).toBeVisible()
  await button(page, /^5\.\d+ L went in$/).click()
  await expect(station(page, /^Water: now/)).toBeVisible()
  await box(page, 'Gravity, stirred to the bottom').fill('1.092')
  await button(page, 'Log gravity').click()
  // Nobody listens: two litres too many.
  await box(page, 'Or another amount').fill('3.6')
  await button(page, 'Log it').click()
  await box(page, 'Gravity, stirred to the bottom').fill('1.078')
  await button(page, 'Log gravity').click()
  await expect(page.getByText('There is too much water in it:')).toBeVisible()
  await expect(page.getByText('The wine will be thinner and weaker', { exact: false })).toBeVisible()
  await expect(page.getByText(/No more water/)).toBeHidden()
  await button(page, 'Keep it as it is').click()
  await button(page, 'Bentonite: it is in').click()
  await expect(page.getByRole('link', { name: /^Yeast: now/ })).toBeVisible()
  await link(page, 'Prepare the yeast').click()
  await button(page, 'The kit’s yeast was sprinkled on').click()
  await expect(page.getByText('The yeast is in, so crush day is over for this lot.')).toBeVisible()
  await link(page, /^Packets: /).click()
  await button(page, 'Finings: it is in').click()
  await link(page, 'the lot’s page').click()
  await expect(page.getByText('Packet 4: done, Finings.')).toBeVisible()
  await expect(page.getByText('Yeast pitched: yeast of the kit.')).toBeVisible()
})

test('a shortage shows up when a fourth lot is expected, before its crush day', async ({ page }) => {
  await ownCellar(page)
  await page.goto('/stores/supplies')
  await choose(page, 'What', 'Yeast')
  await box(page, 'How much').fill('46')
  await button(page, 'Add').click()
  const yeast = () => page.getByRole('button', { name: /^Yeast/ })
  // Written before the page is left.
  await expect(yeast()).toBeVisible()
  const expectFruit = async (name: string, kg: string) => {
    await page.goto('/crush')
    await button(page, 'Expect another delivery').click()
    await box(page, 'What is coming').fill(name)
    await box(page, 'How much').fill(kg)
    await button(page, 'Save').click()
    await expect(page.getByRole('link', { name: `${name} is here` })).toBeVisible()
  }
  // 0.65 L of juice a kilogram at 0.25 g/L: 80 kg want 13 g.
  for (const name of ['Tempranillo', 'Grenache', 'Graciano']) await expectFruit(name, '80')
  await page.goto('/stores/supplies')
  await expect(yeast()).toContainText('39 g needed')
  await expect(yeast()).toContainText('enough')
  await expectFruit('Mencía', '80')
  await expect(page.getByText(/Not enough for all lots:/)).toBeVisible()
  await page.goto('/stores/supplies')
  await expect(yeast()).toContainText('52 g needed')
  await expect(yeast()).toContainText('6.0 g short')
  await yeast().click()
  await expect(page.getByText(/are enough for all of them in \d+ hours/)).toBeVisible()
  await expect(page.getByRole('cell', { name: '13 g' }).first()).toBeVisible()
  await expectAccessible(page, 'supplies, one opened')
  await page.goto('/crush')
  await button(page, 'Mencía is not coming').click()
  await expect(page.getByRole('link', { name: 'Mencía is here' })).toBeHidden()
  await expect(page.getByText(/yeast by/)).toBeHidden()
})

test('a pH and a TA that cannot belong together are told at the reading and on the map', async ({ page }) => {
  await openDemo(page, '/bench/measure?lot=lot-tempranillo')
  await box(page, 'pH').fill('3.9')
  await box(page, 'Titratable acidity (TA)').fill('12')
  await expect(page.getByText(/This pH and TA together would need .* potassium/)).toBeVisible()
  await page.goto('/bench/correct?lot=lot-tempranillo')
  await box(page, 'pH').fill('3.9')
  await box(page, 'TA').fill('12')
  await expect(page.getByText(/This pH and TA together would need .* potassium/)).toBeVisible()
})

test('the map of acids is read and moved by hand and by keyboard', async ({ page }) => {
  await openDemo(page, '/bench/correct?lot=lot-tempranillo')
  await expect(page.getByText('For a red its pH is high, and its acid low.', { exact: false })).toBeVisible()
  const acid = page.getByRole('slider', { name: 'Try tartaric acid' })
  await acid.focus()
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight')
  await expect(acid).toHaveAttribute('aria-valuetext', '1.2 g/L')
  const typed = page.getByRole('group', { name: 'Try, per litre' }).getByRole('textbox', { name: 'Tartaric acid' })
  await expect(typed).toHaveValue('1.2')
  await expect(page.getByText('It would be where a red usually is.')).toBeVisible()
  await page.keyboard.press('Home')
  await expect(typed).toHaveValue('')
  // By hand: from the must out along the arrow to its tip.
  const frame = (await acid.locator('path').first().boundingBox())!
  await page.mouse.move(frame.x + frame.width * 0.5, frame.y + frame.height * 0.5)
  await page.mouse.down()
  await page.mouse.move(frame.x, frame.y, { steps: 8 })
  await page.mouse.up()
  await expect(typed).toHaveValue('3')
  await page.getByRole('slider', { name: 'Try malolactic' }).press('End')
  await expect(page.getByRole('checkbox', { name: 'after malolactic' })).toBeChecked()
})

test('the yeast run rings on after a reload and goes out as a calendar file', async ({ page }) => {
  await page.clock.install({ time: new Date() })
  await openDemo(page, '/crush/lot-albarino/yeast')
  await expect(page.getByText(/Sulphite went in less than 12 hours ago. Wait/)).toBeVisible()
  await box(page, 'Must temperature').fill('50')
  await button(page, 'The water is warm: start').click()
  await expect(page.getByText('Between 2 and 40 °C.')).toBeVisible()
  await box(page, 'Must temperature').fill('14')
  await button(page, 'The water is warm: start').click()
  await expect(page.getByRole('timer')).toBeVisible()
  const waiting = page.waitForEvent('download')
  await button(page, 'Calendar file with alarms').click()
  const calendar = readFileSync(await (await waiting).path(), 'utf8')
  expect(calendar.match(/BEGIN:VEVENT/g)!.length).toBeGreaterThanOrEqual(6)
  expect(calendar).toContain('BEGIN:VALARM')
  await page.clock.fastForward('22:00')
  await expect(page.getByRole('heading', { name: /^Stir in \d+ mL of must/ })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: /^Stir in \d+ mL of must/ })).toBeVisible()
  await expectAccessible(page, 'the yeast run')
  await page.clock.fastForward('01:00:00')
  await box(page, 'Yeast temperature').fill('24')
  await expect(page.getByText(/10 degrees apart: more than 6 shocks the yeast/)).toBeVisible()
  await box(page, 'Yeast temperature').fill('19')
  await expect(page.getByText('Close enough. Pitch.')).toBeVisible()
  await button(page, 'Another amount').click()
  await box(page, 'Yeast added').fill('9')
  await button(page, 'Log it').click()
  await link(page, 'the lot’s page').click()
  await expect(page.getByText(/Yeast pitched: .*, 9 g\./)).toBeVisible()
  await expect(page.getByText(/12\.5 g of rehydration nutrient went in/)).toBeVisible()
})

test('a block is watched, sampled and argued over before its harvest', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-09-01T09:00:00') })
  await ownCellar(page)
  await page.goto('/harvest')
  await button(page, 'Add').click()
  await expect(page.getByText('A block needs a name', { exact: false })).toBeVisible()
  await box(page, 'Vineyard or rows').fill('Hillside')
  await box(page, 'Fruit expected').fill('60')
  await button(page, 'Add').click()
  await expect(page.getByRole('heading', { name: 'Add a sample' })).toBeVisible()
  for (const [brix, ph, ta] of [
    ['19', '3.42', '9.5'],
    ['20', '3.5', '8.7'],
    ['21', '3.58', '7.9']
  ] as const) {
    await box(page, 'Sugar').fill(brix)
    await box(page, 'pH').fill(ph)
    await box(page, 'TA').fill(ta)
    await button(page, 'Log sample').click()
    await expect(page.getByRole('cell', { name: ph })).toBeVisible()
    for (let day = 0; day < 4; day++) await page.clock.fastForward('24:00:00')
  }
  // 0.25 °Brix a day, slowing: 22 is reached in the fifth day after the last sample, which is tomorrow.
  await page.clock.fastForward('24:00:00')
  await expect(page.getByRole('heading', { name: 'Sugar at target' })).toBeVisible()
  await expect(page.getByRole('row', { name: /pH 3\.80 passed/ })).toContainText(/Tue 22 Sept|Wed 23 Sept/)
  await button(page, /^Expect it on Tue 15 Sept/).click()
  await expect(page.getByText(/Expected on Tue 15 Sept/)).toBeVisible()
  await choose(page, 'About', 'Weather')
  await box(page, 'Note').fill('Rain from Thursday')
  await button(page, 'Save').click()
  await expect(page.getByText('Weather: Rain from Thursday')).toBeVisible()
  await button(page, 'Delete: Rain from Thursday').click()
  await expect(page.getByText('Weather: Rain from Thursday')).toBeHidden()
  await button(page, 'Delete the sample of Tue 1 Sept').click()
  await expect(page.getByRole('cell', { name: '3.42' })).toBeHidden()
})

test('a test ferment has its week as a protocol', async ({ page }) => {
  await ownCellar(page)
  await page.getByRole('radio', { name: /Test ferment/ }).check()
  await box(page, 'Name').fill('Smoke trial')
  await box(page, 'Fruit').fill('5')
  await button(page, 'Start the lot').click()
  await expect(page.getByText(/1\.7 mL of stock solution \(0\.17 g\)/)).toBeVisible()
  await button(page, 'In, as planned').click()
  await expect(page.getByText('0.97 g', { exact: true }).first()).toBeVisible()
  await button(page, 'In, as planned').click()
  await expect(page.getByRole('heading', { name: 'Final test' })).toBeVisible()
  // To its end: nutrient, punching, watching, pressing, and a verdict that has to be said.
  await button(page, 'In, as planned').click()
  for (const left of [3, 2, 1]) {
    await expect(page.getByText(/^done /)).toHaveCount(6 - left)
    await button(page, 'Done').click()
  }
  await button(page, 'Log verdict').click()
  await expect(page.getByText('Choose a verdict', { exact: false })).toBeVisible()
  await page.getByRole('radio', { name: /^Clean/ }).click()
  await box(page, 'What you smelt and tasted').fill('Cherries, no ash')
  await button(page, 'Log verdict').click()
  await expect(page.getByText('Verdict of the test: clean. Cherries, no ash')).toBeVisible()
  await link(page, 'Lots').first().click()
  await page
    .getByRole('link', { name: /Smoke trial/ })
    .first()
    .click()
  await expect(page.getByText(/Yeast pitched: yeast for the test/)).toBeVisible()
})

test('crush day is done from the keyboard alone', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-10-03T08:00:00') })
  await ownCellar(page)
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 60; i++) {
      await page.keyboard.press('Tab')
      const named = await page.evaluate(() => {
        const at = document.activeElement as HTMLInputElement | null
        return at?.getAttribute('aria-label') ?? at?.labels?.[0]?.textContent ?? at?.textContent ?? ''
      })
      if (name.test(named.trim())) return
    }
    throw new Error(`nothing named ${name} can be reached by Tab`)
  }
  await tabTo(/^Name$/)
  await page.keyboard.type('Grenache')
  await tabTo(/^Fruit$/)
  await page.keyboard.type('60')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'First sulphite' })).toBeVisible()
  await tabTo(/g went in$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Measure the must' })).toBeVisible()
  await tabTo(/^Measure$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Measure', exact: true })).toBeVisible()
  for (const [field, value] of [
    [/^Sugar$/, '24'],
    [/^pH$/, '3.5'],
    [/^Titratable acidity/, '6.5']
  ] as const) {
    await tabTo(field)
    await page.keyboard.type(value)
  }
  await page.keyboard.press('Enter')
  await expect(page.getByText(/There is still too much sulphite/)).toBeVisible()
  await page.clock.fastForward('13:00:00')
  await tabTo(/^Prepare the yeast$/)
  await page.keyboard.press('Enter')
  await expect(button(page, 'The water is warm: start')).toBeVisible()
  await tabTo(/^The water is warm: start$/)
  await page.keyboard.press('Enter')
  await expect(button(page, /g are in the must$/)).toBeVisible()
  await tabTo(/g are in the must$/)
  await page.keyboard.press('Enter')
  await expect(page.getByText('The yeast is in, so crush day is over for this lot.')).toBeVisible()
})

test('in US units crush day speaks gallons, pounds and Fahrenheit, and weighs in grams', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.clock.install({ time: new Date('2026-10-03T08:00:00') })
  await page.goto('/')
  await page.getByRole('radio', { name: /^US/ }).check()
  await button(page, 'Start my first lot').click()
  await box(page, 'Name').fill('Grenache')
  await box(page, 'Fruit').fill('260')
  await expect(page.getByText(/20\.3 US gal/).first()).toBeVisible()
  await button(page, 'Start the lot').click()
  // 260 lb are 117.9 kg, and those 76.7 L of juice: the same 4 g as anywhere.
  await button(page, '4.0 g went in').click()
  await link(page, /^Volume: /).click()
  await box(page, 'Juice in the vessel').fill('21')
  await button(page, 'Log volume').click()
  await expect(page.getByText(/21 US gal/).first()).toBeVisible()
  await link(page, /^Soak: /).click()
  await button(page, 'The soak has begun').click()
  await expect(page.getByText(/Dry ice turns into carbon dioxide/)).toBeVisible()
  await page.clock.fastForward('13:00:00')
  await link(page, /^Yeast: /).click()
  await link(page, 'Prepare the yeast').click()
  await box(page, 'Must temperature').fill('68')
  await expect(page.getByText('Not done yet: measure the must, correct the must.')).toBeVisible()
  await button(page, 'The water is warm: start').click()
  await expect(page.getByRole('heading', { name: /mL of water at 100 °F/ })).toBeVisible()
  await page.clock.fastForward('01:10:00')
  await box(page, 'Yeast temperature').fill('90')
  await expect(page.getByText(/22 degrees apart: more than 11 shocks the yeast/)).toBeVisible()
  await page.goto('/harvest')
  await expect(page.getByText('Add a block and sample', { exact: false })).toBeVisible()
  await expectAccessible(page, 'an empty harvest')
})
