import { readdirSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Page } from '@playwright/test'
import { expect, expectAccessible, goWithin, onItsWorker, openDemo, test, withoutWorkers } from './fixtures'

const PAGES = [
  '/',
  '/lots',
  '/lots/lot-grenache',
  '/lots/lot-grenache?log=transfer',
  '/lots/new',
  '/winter',
  '/season',
  '/winter/sulphite',
  '/lots/lot-bobal/malolactic',
  '/lots/lot-godello',
  '/cellar/racking?lots=lot-bobal,lot-grenache',
  '/help',
  '/practice',
  '/practice/hydrometer?seed=3',
  '/bench',
  '/bench/measure?lot=lot-tempranillo',
  '/bench/sulphite?lot=lot-tempranillo',
  '/bench/correct?lot=lot-tempranillo',
  '/bench/sweeten',
  '/bench/yeast?lot=lot-tempranillo',
  '/bench/alcohol?lot=lot-grenache',
  '/bench/blend',
  '/bench/free-so2?lot=lot-grenache',
  '/cellar',
  '/stores/instruments',
  '/settings',
  '/stores/supplies',
  '/stores/cards',
  '/words',
  '/harvest',
  '/crush',
  '/crush/lot-tempranillo',
  '/crush/lot-tempranillo?step=true-volume',
  '/crush/lot-albarino',
  '/crush/lot-albarino?step=enzyme',
  '/crush/lot-albarino/yeast',
  '/round',
  '/round/sheet',
  '/round/filled',
  '/lots/curves',
  '/lots/score',
  '/calculations',
  '/lots/lot-mencia',
  '/lots/lot-mencia/restart',
  '/lots/lot-treixadura/feed',
  '/lots/lot-blaufrankisch/press',
  '/bench/heat?lot=lot-blaufrankisch',
  '/lots/lot-grenache/move?as=top-up',
  '/lots/lot-godello/ready',
  '/bench/trial?lot=lot-godello',
  '/bench/cold?lot=lot-loureiro',
  '/bench/stability?lot=lot-godello&test=cold',
  '/bench/sweet?lot=lot-godello',
  '/bench/sparkling?lot=lot-godello',
  '/bench/bottles?lot=lot-godello',
  '/cellar/bottles',
  '/lots/lot-loureiro/labels',
  '/lots/lot-carignan'
]

const [LAPTOP, PHONE] = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 }
]
/** What a page must bear without scrolling sideways: WCAG 2.2, 1.4.10. */
const NARROWEST = { width: 320, height: 640 }
/** The structure is the same in both themes: the dark one needs its colours checked alone. */
async function inTheDark(page: Page) {
  await page.emulateMedia({ colorScheme: 'dark' })
  // Begun in the dark, as somebody does who has set it so.
  await page.reload()
  await expect(page.locator('html')).toHaveClass(/dark/)
}
test.describe('the accessibility checker, in both themes, on a laptop and on a phone, has nothing against', () => {
  test('the first visit', async ({ page }) => {
    const start = page.getByRole('button', { name: 'Start my first lot' })
    await page.goto('/')
    await expect(start).toBeVisible()
    await expectAccessible(page, 'welcome')
    await page.setViewportSize(PHONE)
    await expectAccessible(page, 'welcome on a phone')
    await inTheDark(page)
    await expect(start).toBeVisible()
    await expectAccessible(page, 'welcome in the dark', true)
  })
  // Every sixth page is a test, so that they run side by side.
  for (const part of [0, 1, 2, 3, 4, 5])
    test(`the views of the demo, part ${part + 1}`, async ({ page }) => {
      const paths = PAGES.filter((_, i) => i % 6 === part)
      await openDemo(page)
      for (const path of paths) {
        await goWithin(page, path)
        await expectAccessible(page, path)
        await page.setViewportSize(PHONE)
        await expectAccessible(page, `${path} on a phone`)
        await page.setViewportSize(LAPTOP)
        // The light goes off while one looks at it.
        await page.getByRole('button', { name: 'Dark theme' }).click()
        await expect(page.locator('html')).toHaveClass(/dark/)
        await expectAccessible(page, `${path} in the dark`, true)
        await page.getByRole('button', { name: 'Light theme' }).click()
      }
    })
})

test('in gallons and °F nothing is told in litres or °C, and no page is wider than the narrowest phone', async ({ page }) => {
  await page.addInitScript(() =>
    localStorage.setItem('presk.settings', JSON.stringify({ asked: true, system: 'US', temperature: '°F', sugar: 'SG' }))
  )
  await page.setViewportSize(NARROWEST)
  await openDemo(page)
  // Said in both on purpose: what is printed on a hydrometer, what a gallon is, and a formula of the trade.
  const BOTH = /°C \(\d+ °F\)|gallons of 3\.785 L|÷ 2 \+ 1 °C/
  for (const path of PAGES) {
    await goWithin(page, path)
    await page.evaluate(() => new Promise((stands) => requestIdleCallback(stands, { timeout: 300 })))
    const lines = (await page.getByRole('main').innerText()).split('\n')
    const metric = lines.filter((line) => /\d\s?(°C|L|kg|bar|litres?)(?![\w/])/.test(line) && !BOTH.test(line))
    expect(metric, path).toEqual([])
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(NARROWEST.width)
  }
})

test('lots of the demo can each be measured, dosed, logged and found again', async ({ page }) => {
  await openDemo(page)
  // Where sulphite is the next move its button leads there, and it is not offered twice.
  for (const [id, name, way] of [
    ['lot-tempranillo', 'Tempranillo', 'Sulphite'],
    ['lot-barbera-kit', 'Barbera kit', 'Sulphite'],
    ['lot-grenache', 'Grenache', 'Work out the dose']
  ] as const) {
    await page.goto(`/bench/measure?lot=${id}&what=ph`)
    await page.getByRole('textbox', { name: 'pH' }).fill('3.66')
    await page.getByRole('button', { name: `Log for ${name}` }).click()
    await page.getByRole('link', { name: way, exact: true }).click()
    await expect(page.getByRole('textbox', { name: 'pH' })).toHaveValue('3.66')
    // A must gets its first sulphite by its fruit; what is free in it is no question.
    if (id !== 'lot-tempranillo') await page.getByRole('textbox', { name: 'Free SO₂ already there' }).fill('0')
    await page.getByRole('button', { name: 'Exactly as planned' }).click()
    // The message of what was just logged covers nothing that comes next.
    const log = page.getByRole('button', { name: 'Log it' })
    await log.scrollIntoViewIfNeeded()
    await expect(page.getByText(`1 reading logged for ${name}`, { exact: true })).toBeVisible()
    expect(
      await log.evaluate((button) => {
        const { left, top, width, height } = button.getBoundingClientRect()
        return button.contains(document.elementFromPoint(left + width / 2, top + height / 2))
      })
    ).toBe(true)
    await log.click()
    await expect(page.getByText(/went in.*(first sulphite|for 0\.[58] mg\/L molecular|to last until the next round|to its level)/).first()).toBeVisible()
  }
  // One that has had its first sulphite gets no second.
  await page.goto('/bench/sulphite?lot=lot-albarino')
  await expect(page.getByText('Nothing', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: /^Tempranillo, 76\.7 L/ }).click()
  await expect(page.getByText('pH 3.66 (Pocket pH meter).', { exact: true })).toBeVisible()
})

test('a deleted entry leaves the figures and stays, marked, in the history', async ({ page }) => {
  await openDemo(page, '/lots/lot-grenache')
  await page.getByRole('button', { name: 'Delete: Free SO₂ 21 mg/L.' }).click()
  await expect(page.getByText('Deleted, kept in the history.').first()).toBeVisible()
  await expect(page.locator('s', { hasText: 'Free SO₂ 21 mg/L.' })).toBeVisible()
})

test('one leaves the demo for an empty cellar of one’s own, and comes back', async ({ page }) => {
  await openDemo(page)
  await page.getByRole('button', { name: 'Go to my own cellar' }).click()
  await expect(page.getByRole('button', { name: 'Start my first lot' })).toBeVisible()
  await page.getByRole('button', { name: 'Explore the demo cellar' }).click()
  await expect(page.getByRole('heading', { name: /tasks today$/ })).toBeVisible()
})

test('US units and °F are shown throughout once chosen', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('radio', { name: /^US/ }).check()
  await page.getByRole('button', { name: 'Explore the demo cellar' }).click()
  await expect(page.getByRole('link', { name: /^Albariño, 10\.6 US gal/ })).toBeVisible()
  await page.goto('/lots/lot-albarino')
  await expect(page.getByText('Gravity 1.089, sample at 46 °F (Long hydrometer).')).toBeVisible()
})

test('two tabs of one cellar stay in step', async ({ page, context }) => {
  await openDemo(page, '/lots/lot-grenache')
  const second = await context.newPage()
  await second.goto('/lots/lot-grenache')
  await second.getByRole('textbox', { name: 'Note' }).fill('Smells of cherries')
  await second.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('Note: Smells of cherries')).toBeVisible()
})

test('a full disk is said plainly, the entry stays in the form, nothing stored is lost', async ({ page }) => {
  await withoutWorkers(page)
  await openDemo(page, '/lots/lot-grenache')
  await page.evaluate(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
  })
  await page.getByRole('textbox', { name: 'Note' }).fill('Will this be kept?')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('The browser’s storage is full, so this was not saved.', { exact: false })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('Will this be kept?')
  await page.reload()
  await expect(page.getByText('Free SO₂ 21 mg/L.', { exact: true })).toBeVisible()
})

test('an unknown page and an unknown lot lead back, and the cellar can be exported from there', async ({ page, watch }) => {
  await openDemo(page, '/lots/lot-nowhere')
  await expect(page.getByRole('heading', { name: 'This cellar has no such lot' })).toBeVisible()
  await page.goto('/no/such/page')
  await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export the cellar' }).click()
  expect((await waiting).suggestedFilename()).toMatch(/\.presk\.json$/)
  // The router says in the console that there is no such page; nothing else may be wrong.
  watch.problems = watch.problems.filter((p) => !p.includes('Page not found') && !p.includes('404'))
})

test('the first view, the lots and Practice bring less than 300 kB of script each, as it is sent', async ({ page }) => {
  for (const path of ['/', '/lots', '/practice', '/practice/hydrometer?seed=3']) {
    await openDemo(page, path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    // What workers fetch is in their own lists, but for the file that each begins with.
    const sent = await page.evaluate(() =>
      performance.getEntriesByType('resource')
        .filter(({ name }) => name.endsWith('.js') && !name.includes('.worker'))
        .reduce((sum, file) => sum + (file as PerformanceResourceTiming).encodedBodySize, 0))
    expect.soft(Math.round(sent / 1000), path).toBeGreaterThan(100)
    expect.soft(Math.round(sent / 1000), path).toBeLessThan(300)
  }
})

test('the licences of what Presk ships go out with it, fonts and icons too, and none is wanting', async ({ request }) => {
  const text = await (await request.get('/licences.txt')).text()
  for (const name of ['vue 3', 'zod 4', 'dexie 4', 'apexcharts 4', '@fontsource-variable/besley', '@iconify-json/lucide'])
    expect(text).toContain(name)
  expect(text).toContain('SIL OPEN FONT LICENSE')
  expect(text).not.toContain('states no licence')
  // What lies beside the built server goes out as well.
  const beside = readdirSync('.output/server/node_modules').flatMap((name) =>
    name.startsWith('@') ? readdirSync(`.output/server/node_modules/${name}`).map((of) => `${name}/${of}`) : [name]
  )
  expect(beside.filter((name) => !name.startsWith('.') && !text.includes(`\n${name} `))).toEqual([])
})

test('every answer of the server carries a strict content policy', async ({ request }) => {
  for (const path of ['/', '/api/health', '/icon.svg']) {
    const headers = (await request.get(path)).headers()
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'wasm-unsafe-eval'( 'sha256-[^']+')+;/)
    expect(headers['x-content-type-options']).toBe('nosniff')
  }
})

/** Presk behind a door of its own, on which a newer service worker can come out. */
async function behind(baseURL: string) {
  let newer = ''
  const server = createServer(async (request, response) => {
    const answer = await fetch(baseURL + request.url)
    const body = Buffer.from(await answer.arrayBuffer())
    const headers = Object.fromEntries([...answer.headers].filter(([name]) => !/^(content-encoding|content-length|etag)$/.test(name)))
    response.writeHead(answer.status, headers).end(request.url === '/sw.js' ? body + newer : body)
  })
  await new Promise<void>((done) => server.listen(0, 'localhost', done))
  const { port } = server.address() as AddressInfo
  return { url: `http://localhost:${port}`, bringOut: () => (newer = '\n// newer'), close: () => server.close() }
}

test.describe('with its service worker', () => {
  test.use({ serviceWorkers: 'allow' })
  test('a newer Presk is offered, and taken on a tap; what was half typed on a bench is still there', async ({ page, baseURL }) => {
    const { url, bringOut, close } = await behind(baseURL!)
    await page.goto(url)
    await page.getByRole('button', { name: /demo/i }).first().click()
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready
    })
    await page.goto(`${url}/bench/measure?lot=lot-grenache`)
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
    const [sugar, ph] = [page.getByRole('textbox', { name: 'Gravity' }), page.getByRole('textbox', { name: 'pH' })]
    await page.getByRole('button', { name: 'Other readings' }).click()
    await sugar.fill('-1,2')
    await ph.fill('3.6')
    // Another tab of the same cellar, with something half typed as well.
    const other = await page.context().newPage()
    await other.goto(`${url}/bench/measure?lot=lot-grenache`)
    await other.getByRole('textbox', { name: 'pH' }).fill('3.71')
    bringOut()
    await page.evaluate(async () => {
      await (await navigator.serviceWorker.ready).update()
    })
    const loaded = Promise.all([page, other].map((tab) => tab.waitForEvent('load')))
    await page.getByRole('button', { name: 'Update now' }).click()
    await loaded
    await expect(sugar).toHaveValue('-1,2')
    await expect(ph).toHaveValue('3.6')
    await expect(other.getByRole('textbox', { name: 'pH' })).toHaveValue('3.71')
    await expect(page.getByRole('button', { name: 'Update now' })).toBeHidden()
    close()
  })
  test('once opened, the cellar opens again without a network, and logs', async ({ page, context, watch }) => {
    await openDemo(page)
    await onItsWorker(page)
    await context.setOffline(true)
    await page.goto('/crush')
    await expect(page.getByRole('heading', { name: 'First sulphite' })).toBeVisible()
    await page.goto('/lots/lot-grenache')
    await page.getByRole('textbox', { name: 'Note' }).fill('No signal down here')
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    await expect(page.getByText('Note: No signal down here')).toBeVisible()
    await page.goto('/harvest')
    await expect(page.getByRole('img', { name: /^Sugar: 4 samples/ })).toBeVisible()
    expect(watch.problems.filter((p) => !p.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([])
    watch.problems.length = 0
  })
})

test('a wine term says what it means where it stands, and leaves those alone who know it', async ({ page }) => {
  await openDemo(page, '/lots/lot-grenache')
  const word = page.getByRole('button', { name: /^free SO₂: what does it mean\?$/i }).first()
  await word.click()
  const card = page.getByText('The part of the sulphite that is not bound to anything', { exact: false })
  await expect(card).toBeVisible()
  await expectAccessible(page, 'a word that is explained')
  await page.keyboard.press('Escape')
  await expect(card).toBeHidden()
  await expect(word).toBeFocused()
  await word.press('Enter')
  await page.getByRole('link', { name: 'Glossary' }).click()
  await expect(page.getByRole('heading', { name: 'Glossary' })).toBeVisible()
  await page.getByRole('textbox', { name: 'Find a word' }).fill('crystals')
  await expect(page.getByRole('definition')).toHaveCount(2)
  await goWithin(page, '/settings')
  await page.getByRole('switch', { name: 'Explain wine terms' }).click()
  await goWithin(page, '/lots/lot-grenache')
  await expect(page.getByText('free SO₂', { exact: false }).first()).toBeVisible()
  await expect(word).toHaveCount(0)
})
