import type { Locator, Page } from '@playwright/test'
import { entriesOf, expect, goWithin } from './fixtures'

type Move = (page: Page) => Promise<void>

export const main = (page: Page): Locator => page.getByRole('main')
export const bar = (page: Page): Locator => page.getByRole('region', { name: 'Practice' })
const instruments: Move = (page) => bar(page).getByRole('link', { name: 'Instruments' }).click()
const notToday = (page: Page) => main(page).getByRole('button', { name: /^Not today: / }).first()
const first = (page: Page) => main(page).getByRole('listitem')
  .filter({ has: page.getByRole('button', { name: /^Not today: / }) }).first()
const follow: Move = async (page) => {
  await first(page).getByRole('link', { name: /: / }).first().click()
  await expect(page).not.toHaveURL((url) => url.pathname === '/')
}
const press = (page: Page, name: string | RegExp) => main(page).getByRole('button', { name }).first().click()
const logged: Move = (page) => press(page, /^Log( it)?$/)

async function intoFirstVessel(page: Page): Promise<void> {
  await main(page).getByRole('combobox').first().click()
  await page.getByRole('option').first().click()
}

async function otherwise(page: Page, way: string): Promise<void> {
  await first(page).getByRole('button', { name: /^Otherwise/ }).click()
  await page.getByRole('menuitem', { name: way }).click()
}

/** A plan is worked out, and its moves are done one after the other. */
async function rackingDay(page: Page): Promise<void> {
  await press(page, 'Work it out')
  const done = main(page).getByRole('button', { name: 'Done', exact: true })
  const over = main(page).getByText(/^(All is done|Nothing has to be moved)/)
  await expect(done.or(over).first()).toBeVisible()
  while ((await over.count()) === 0) {
    const before = await entriesOf(page, 'practice')
    await done.click()
    await expect.poll(() => entriesOf(page, 'practice')).toBeGreaterThan(before)
    // Its button rests while it is written.
    await expect(done.or(over).first()).toBeEnabled()
  }
}

/** What Today asks first, done as the page offers it. By the words of the task; a task with other words fails the test. */
const MOVES: [RegExp, Move][] = [
  [/^Did it come with sulphite/, (page) => press(page, /^I do not know/)],
  [/^Let it thaw/, async (page) => {
    await follow(page)
    await press(page, 'It is thawing now')
  }],
  [/^Dilute/, async (page) => {
    await follow(page)
    await press(page, /L went in$/)
  }],
  [/^Packets before|^Add packet/, async (page) => {
    await follow(page)
    await press(page, 'It is in')
  }],
  [/yeast/i, async (page) => {
    await follow(page)
    await press(page, /was sprinkled on|^Sprinkled dry/)
  }],
  [/^Sugar is left/, async (page) => {
    // A restart first; where it took none, sweet.
    const restart = first(page).getByRole('link', { name: /^Restart it/ })
    if (/took none/.test(await first(page).innerText())) return press(page, /^Leave it sweet/)
    await restart.first().click()
    await press(page, /^Start: the yeast/)
    await press(page, /^The starter is in the wine/)
    await expect(page).not.toHaveURL(/restart$/)
  }],
  [/^Stuck/, async (page) => {
    await first(page).getByRole('link', { name: /^Restart it/ }).click()
    await press(page, /^Start: the yeast/)
    await press(page, /^The starter is in the wine/)
    await expect(page).not.toHaveURL(/restart$/)
  }],
  [/^Racking does not clear it/, async (page) => press(page, /^Accept the haze/)],
  [/^Shake|^Check (how clear|the clarity|for gas)|^Smell/, async (page) => {
    await instruments(page)
    await page.getByRole('button', { name: 'Smell, look and taste' }).click()
    await page.getByRole('button', { name: 'Log all four' }).click()
  }],
  [/^(Correct the must|Finish the correction)/, async (page) => {
    await follow(page)
    await press(page, 'Exactly as planned')
    await press(page, 'Log it')
  }],
  [/^Degas|^Stir the gas out/, async (page) => {
    await follow(page)
    // The form that opens is about what was asked.
    const log = page.getByRole('region', { name: 'Log something' })
    await expect(log.getByRole('combobox').first()).toContainText('Degassed')
    await log.getByRole('button', { name: 'Log', exact: true }).click()
  }],
  [/^Add the first sulphite/, async (page) => {
    await follow(page)
    await press(page, /g went in$/)
  }],
  [/^Add sulphite|^Sulphite|add sulphite$/, async (page) => {
    await follow(page)
    await press(page, 'Exactly as planned')
    await logged(page)
  }],
  [/^Add the malolactic bacteria/, async (page) => {
    await follow(page)
    await press(page, /went in$/)
  }],
  [/^Do a heat test|^Test it for haze/, async (page) => {
    await follow(page)
    await press(page, 'It is in the bath now')
  }],
  [/^Do a cold test/, async (page) => {
    await follow(page)
    await press(page, 'It is in the cold now')
  }],
  [/^(Heat|Cold) test: look at the sample/, async (page) => {
    await follow(page)
    const glass = (await main(page).getByText(/^The glass:/).textContent())!
    const looks = /as clear as|no crystals/.test(glass) ? /^(As clear as|No crystals)/ : /^(Haze or flakes|A layer)/
    await main(page).getByRole('radio', { name: looks }).check()
    await press(page, 'Log it')
  }],
  [/^Sweeten it/, async (page) => {
    await follow(page)
    await page.getByRole('textbox', { name: 'Sweetness chosen' }).fill('12')
    await press(page, 'Exactly as planned')
    await logged(page)
  }],
  [/^Keep it from fermenting again/, (page) => otherwise(page, 'Pasteurise the bottles')],
  [/^Chill it/, (page) => otherwise(page, 'Chill it now')],
  [/^Fine it with bentonite/, (page) => otherwise(page, 'Accept the haze')],
  [/^Rack it|^Get it clear/, async (page) => {
    await follow(page)
    if (page.url().includes('/cellar/racking')) return rackingDay(page)
    await intoFirstVessel(page)
    await logged(page)
  }],
  [/^Top up/, (page) => otherwise(page, 'Marbles are in')],
  [/^Read |^Measure|^Find out how much sugar|^Test for sugar|^Check the malic|^Malolactic has nearly/, async (page) => {
    await instruments(page)
    await page.getByRole('button', { name: 'Let the cellar hand read everything' }).click()
  }]
]

/**
 * A season of Practice by nothing but what stands first on Today.
 * @param bottles as many as are filled at the end
 * @returns what was asked, in its order
 */
export async function playBlindly(page: Page, lot: string, bottles: number, turns = 200): Promise<string[]> {
  const asked: string[] = []
  // Far more than it takes: it ends with the bottle, or fails with what was asked.
  for (let turn = 0; turn < turns && !asked.includes('Bottle it'); turn++) {
    await goWithin(page, '/')
    const heading = main(page).getByRole('heading', { level: 1 })
    await expect(heading).toContainText(/today/)
    const says = (await heading.textContent())!
    if (/warning/.test(says)) {
      const before = await entriesOf(page, 'practice')
      await press(page, /^(I am (cooling|warming) it|Dismiss)/)
      await expect.poll(() => entriesOf(page, 'practice')).toBeGreaterThan(before)
      continue
    }
    if (says === 'Nothing to do today') {
      const clock = (await bar(page).textContent())!
      await bar(page).getByRole('button', { name: 'Next task' }).click()
      await expect(bar(page)).not.toHaveText(clock)
      continue
    }
    const label = (await notToday(page).getAttribute('aria-label'))!
    const title = label.replace(/^Not today: /, '').replace(new RegExp(`, ${lot}$`), '')
    const before = await entriesOf(page, 'practice')
    await answer(page, title, lot, bottles, asked)
    await expect.poll(() => entriesOf(page, 'practice'), `${title} after ${asked.slice(-5).join('; ')}`).toBeGreaterThan(before)
    asked.push(title)
  }
  expect(asked, asked.join('; ')).toContain('Bottle it')
  return asked
}

async function answer(page: Page, title: string, lot: string, bottles: number, asked: string[]): Promise<void> {
  if (/^Bottle it/.test(title)) {
    await follow(page)
    const field = page.getByRole('textbox', { name: 'Bottles of 750 mL' }).or(page.getByRole('spinbutton', { name: 'Bottles of 750 mL' }))
    const known = page.getByRole('checkbox', { name: 'I know, and want to go ahead' })
    await expect(field.or(known).first()).toBeVisible()
    if (await known.count() > 0) await known.check()
    await field.fill(String(bottles))
    return logged(page)
  }
  if (title === 'Press') {
    await first(page).getByRole('link', { name: /^Press/ }).click()
    await page.getByRole('textbox', { name: 'Free run' }).fill(String(Math.round(bottles * 0.95)))
    return press(page, /^Log pressing/)
  }
  const move = MOVES.find(([words]) => words.test(title))
  const alert = first(page).getByRole('button', { name: /^I am (cooling|warming) it/ })
  if ((await alert.count()) > 0) return alert.click()
  // Done just as it says: one tap.
  const tap = first(page).getByRole('button', { name: new RegExp(`: ${lot}$`) })
  if (!move && (await tap.count()) > 0) return tap.first().click()
  expect(move, `Today asks “${title}” after ${asked.slice(-5).join('; ')}`).toBeDefined()
  return move![1](page)
}
