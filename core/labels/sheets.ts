import type { Box } from './scene'

/** A sheet of labels, mm. Figures of the usual cuts: common trade sizes, from memory; a nudge sets a printer right. */
export interface Sheet {
  pageW: number
  pageH: number
  labelW: number
  labelH: number
  columns: number
  rows: number
  left: number
  top: number
  /** From the edge of one label to that of the next. */
  stepX: number
  stepY: number
  /** Plain paper, cut along marks. */
  cut?: boolean
}
const A4 = { pageW: 210, pageH: 297 }
const LETTER = { pageW: 215.9, pageH: 279.4 }

export const SHEETS = {
  'a4-8': { ...A4, labelW: 99.1, labelH: 67.7, columns: 2, rows: 4, left: 4.65, top: 13.1, stepX: 101.6, stepY: 67.7 },
  'a4-4': { ...A4, labelW: 99.1, labelH: 139, columns: 2, rows: 2, left: 4.65, top: 9.5, stepX: 101.6, stepY: 139 },
  'a4-14': { ...A4, labelW: 99.1, labelH: 38.1, columns: 2, rows: 7, left: 4.65, top: 15.15, stepX: 101.6, stepY: 38.1 },
  'a4-21': { ...A4, labelW: 63.5, labelH: 38.1, columns: 3, rows: 7, left: 7.25, top: 15.15, stepX: 66, stepY: 38.1 },
  'a4-cut': { ...A4, labelW: 80, labelH: 100, columns: 2, rows: 2, left: 20, top: 43.5, stepX: 90, stepY: 110, cut: true },
  'letter-6': { ...LETTER, labelW: 101.6, labelH: 84.6, columns: 2, rows: 3, left: 3.96, top: 12.7, stepX: 106.36, stepY: 84.67 },
  'letter-10': { ...LETTER, labelW: 101.6, labelH: 50.8, columns: 2, rows: 5, left: 3.96, top: 12.7, stepX: 106.36, stepY: 50.8 },
  'letter-cut': { ...LETTER, labelW: 80, labelH: 100, columns: 2, rows: 2, left: 22.95, top: 34.7, stepX: 90, stepY: 110, cut: true }
} as const satisfies Record<string, Sheet>
export type SheetKey = keyof typeof SHEETS
export const SHEET_KEYS = Object.keys(SHEETS) as SheetKey[]

export const perSheet = (sheet: Sheet): number => sheet.columns * sheet.rows

/**
 * Where so many labels lie: by page, row by row, the first at the first that is free.
 * @param from 1 for a whole sheet
 */
export function placesOn(sheet: Sheet, count: number, from = 1): (Box & { page: number })[] {
  const each = perSheet(sheet)
  const first = Math.min(each, Math.max(1, Math.round(from))) - 1
  return Array.from({ length: Math.max(0, Math.round(count)) }, (_, i) => {
    const at = first + i
    const [page, here] = [Math.floor(at / each), at % each]
    return {
      page,
      x: sheet.left + (here % sheet.columns) * sheet.stepX,
      y: sheet.top + Math.floor(here / sheet.columns) * sheet.stepY,
      w: sheet.labelW,
      h: sheet.labelH
    }
  })
}
