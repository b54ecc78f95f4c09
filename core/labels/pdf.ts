import fontkit from '@cantoo/fontkit'
import { PDFDocument, type PDFFont, type PDFPage, rgb } from '@cantoo/pdf-lib'
import type { LabelFont, Measure, Shape } from './scene'
import { type Sheet, placesOn } from './sheets'

/** TrueType files of the three faces. */
export type LabelFonts = Record<LabelFont, Uint8Array>

/** Points in a millimetre. */
const MM = 72 / 25.4

/** How wide texts are in these faces, and the letters that a face does not have. */
export function measureWith(fonts: LabelFonts): { measure: Measure, missing: (text: string, font: LabelFont) => string[] } {
  const read = Object.fromEntries(Object.entries(fonts).map(([key, bytes]) => [key, fontkit.create(bytes)])) as Record<
    LabelFont,
    NonNullable<ReturnType<typeof fontkit.create>>
  >
  const known = new Map<string, number>()
  return {
    measure(text, font, size) {
      const key = `${font}:${text}`
      let em = known.get(key)
      if (em === undefined) {
        em = read[font].layout(text).advanceWidth / read[font].unitsPerEm
        known.set(key, em)
      }
      return em * size
    },
    missing: (text, font) => [...new Set([...text].filter((c) => !read[font].hasGlyphForCodePoint(c.codePointAt(0)!)))]
  }
}

function inkOf(hex: string) {
  const n = Number.parseInt(hex.slice(1), 16)
  return rgb(((n >> 16) & 255) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255)
}

/** Marks to cut along: short lines off the corners, outside of the label. */
function cutMarks(page: PDFPage, x: number, y: number, w: number, h: number): void {
  const [off, long] = [1.5 * MM, 4 * MM]
  const line = (x1: number, y1: number, x2: number, y2: number) =>
    page.drawLine({ start: { x: x1, y: y1 }, end: { x: x2, y: y2 }, thickness: 0.4, color: rgb(0.5, 0.5, 0.5) })
  for (const [cx, outX] of [
    [x, -1],
    [x + w, 1]
  ] as const) {
    for (const [cy, outY] of [
      [y, -1],
      [y + h, 1]
    ] as const) {
      line(cx + outX * off, cy, cx + outX * long, cy)
      line(cx, cy + outY * off, cx, cy + outY * long)
    }
  }
}

interface Printed {
  shapes: readonly Shape[]
  sheet: Sheet
  count: number
  /** The first free label of the first sheet, 1 for a whole one. */
  from: number
  /** How far a printer is set right and down, mm. */
  nudge: { x: number, y: number }
  title: string
  fonts: LabelFonts
}

/** Labels as a PDF (ISO 32000) in the sheet's own size, each a drawing with its text and not a picture of it. */
export async function labelsPdf({ shapes, sheet, count, from, nudge, title, fonts }: Printed): Promise<Uint8Array> {
  const doc = await PDFDocument.create()
  doc.registerFontkit(fontkit)
  doc.setTitle(title)
  doc.setCreator('Presk')
  const face = {} as Record<LabelFont, PDFFont>
  for (const key of Object.keys(fonts) as LabelFont[]) face[key] = await doc.embedFont(fonts[key], { subset: true })
  const pages: PDFPage[] = []
  for (const place of placesOn(sheet, count, from)) {
    const page = (pages[place.page] ??= doc.addPage([sheet.pageW * MM, sheet.pageH * MM]))
    // A PDF counts from below.
    const [left, top] = [(place.x + nudge.x) * MM, (sheet.pageH - place.y - nudge.y) * MM]
    for (const s of shapes) {
      if (s.is === 'rect')
        page.drawRectangle({ x: left + s.x * MM, y: top - (s.y + s.h) * MM, width: s.w * MM, height: s.h * MM, color: inkOf(s.ink) })
      else if (s.is === 'path') page.drawSvgPath(s.d, { x: left, y: top, scale: MM, color: inkOf(s.ink) })
      else page.drawText(s.text, { x: left + s.x * MM, y: top - s.y * MM, size: s.size * MM, font: face[s.font], color: inkOf(s.ink) })
    }
    if (sheet.cut) cutMarks(page, left, top - sheet.labelH * MM, sheet.labelW * MM, sheet.labelH * MM)
  }
  return doc.save()
}
