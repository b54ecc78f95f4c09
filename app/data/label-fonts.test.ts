import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { describe, expect, it } from 'vitest'
import { LAYOUTS, SHEETS } from '~~/core/labels'
import { type LabelFonts, labelsPdf, measureWith } from '~~/core/labels/pdf'
import { words } from '~~/core/labels/words.fixture'

const { resolve } = createRequire(import.meta.url)
const face = (file: string) => new Uint8Array(readFileSync(resolve(`@expo-google-fonts/${file}`)))
const fonts: LabelFonts = {
  display: face('besley/500Medium/Besley_500Medium.ttf'),
  text: face('atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf'),
  bold: face('atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf')
}
const { measure, missing } = measureWith(fonts)

describe('labels in their own faces', () => {
  it('is a PDF whose text another reader reads back, page by page, in its own size', async () => {
    const sheet = SHEETS['a4-8']
    const shapes = LAYOUTS.ruled({ words, style: 'white', w: sheet.labelW, h: sheet.labelH, measure })
    const bytes = await labelsPdf({ shapes, sheet, count: 10, from: 1, nudge: { x: 0, y: 0 }, title: 'Treixadura 2025', fonts })
    const pdf = await getDocument({ data: bytes, useSystemFonts: false, isEvalSupported: false }).promise
    expect(pdf.numPages).toBe(2)
    const page = await pdf.getPage(1)
    expect(page.view.map((n) => Math.round(n))).toEqual([0, 0, 595, 842])
    const items = (await page.getTextContent()).items.map((i) => ('str' in i ? i.str : ''))
    for (const part of [words.name, words.from, words.contains, words.bottled]) expect(items.filter((i) => i === part)).toHaveLength(8)
  })
  it('tells the letters that its faces do not have', () => {
    expect(missing('Tőke Ñandú œuf', 'display')).toEqual([])
    expect(missing('Саперави 葡', 'display')).toContain('葡')
  })
})
