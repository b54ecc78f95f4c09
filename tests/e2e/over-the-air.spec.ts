import { writeFile } from 'node:fs/promises'
import { chromium, type Page } from '@playwright/test'
import { expect, test } from './fixtures'

/** A camera's picture: so many pixels wide and high. */
const SIDE = 720

/** The codes that a page shows, as grey pictures. Tests ask for calm: the run waits, and is put on by hand. */
async function picturesOf(page: Page): Promise<Buffer[]> {
  const section = page.getByRole('region', { name: 'From screen to screen' })
  const of = Number(/of (\d+)/.exec((await section.getByRole('img').getAttribute('alt'))!)![1])
  const pictures: Buffer[] = []
  for (let n = 0; n < of; n++) {
    const grey = await section.getByRole('img').evaluate(async (shown, side) => {
      const image = shown as HTMLImageElement
      await image.decode()
      const canvas = document.createElement('canvas')
      canvas.width = canvas.height = side
      const context = canvas.getContext('2d')!
      context.fillStyle = '#ccc'
      context.fillRect(0, 0, side, side)
      // Not quite in the middle and not quite straight, as a hand holds it.
      context.translate(side / 2 + 9, side / 2 - 6)
      context.rotate(0.05)
      context.drawImage(image, -side * 0.42, -side * 0.42, side * 0.84, side * 0.84)
      const { data } = context.getImageData(0, 0, side, side)
      return Array.from({ length: side * side }, (_, i) => data[i * 4]!)
    }, SIDE)
    pictures.push(Buffer.from(grey))
    await section.getByRole('button', { name: 'Next code' }).click()
  }
  return pictures
}

/** Uncompressed film (YUV4MPEG2), each picture for half a second, from the start again when it is over. */
function filmOf(pictures: readonly Buffer[]): Buffer {
  const colour = Buffer.alloc(SIDE * SIDE / 2, 128)
  const frame = (grey: Buffer) => Buffer.concat([Buffer.from('FRAME\n'), grey, colour])
  return Buffer.concat([Buffer.from(`YUV4MPEG2 W${SIDE} H${SIDE} F2:1 Ip A1:1 C420jpeg\n`), ...pictures.map(frame)])
}

test('a day’s entries go from one screen to another by codes and a camera, and are shown before they come in', async ({ page }, info) => {
  await page.goto('/lots/lot-grenache?cellar=demo')
  await page.getByRole('textbox', { name: 'Note' }).fill('Topped by torchlight')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.getByText('Topped by torchlight').first()).toBeVisible()
  await page.goto('/settings')
  const section = page.getByRole('region', { name: 'From screen to screen' })
  await section.getByRole('button', { name: 'Show codes' }).click()
  const film = info.outputPath('codes.y4m')
  await writeFile(film, filmOf(await picturesOf(page)))

  // A phone of its own, whose camera sees that film.
  const browser = await chromium.launch({
    executablePath: info.project.use.launchOptions?.executablePath,
    args: [
      ...(info.project.use.launchOptions?.args ?? []),
      '--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream', `--use-file-for-fake-video-capture=${film}`
    ]
  })
  try {
    const context = await browser.newContext({ baseURL: info.project.use.baseURL, viewport: { width: 390, height: 844 }, locale: 'en-GB' })
    const phone = await context.newPage()
    await phone.goto('/settings?cellar=demo')
    const receiving = phone.getByRole('region', { name: 'From screen to screen' })
    await receiving.getByRole('button', { name: 'Read codes' }).click()
    await expect(phone.getByRole('status').filter({ hasText: '1 new entry' })).toBeVisible()
    await phone.getByRole('button', { name: 'Import', exact: true }).click()
    await expect(phone.getByText('1 entry imported').first()).toBeVisible()
    await phone.goto('/lots/lot-grenache')
    await expect(phone.getByText('Topped by torchlight').first()).toBeVisible()
  }
  finally {
    await browser.close()
  }
})

test('a camera that may not be used is said in its place', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, permissions: [] })
  const page = await context.newPage()
  await page.goto('/settings')
  await page.getByRole('button', { name: 'Read codes' }).click()
  await expect(page.getByRole('region', { name: 'From screen to screen' }).getByRole('alert')).toContainText('camera')
  await context.close()
})
