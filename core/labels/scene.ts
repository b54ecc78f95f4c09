/** The typefaces of a label: the name in one, the rest in another. */
export type LabelFont = 'display' | 'text' | 'bold'

/** What stands on a label, mm from its upper left corner. A text's `y` is its baseline, its size the em. */
export type Shape =
  | { is: 'rect', x: number, y: number, w: number, h: number, ink: string }
  | { is: 'path', d: string, ink: string }
  | { is: 'text', x: number, y: number, size: number, font: LabelFont, text: string, ink: string }

/** How wide a text is, mm, at an em of `size` mm. */
export type Measure = (text: string, font: LabelFont, size: number) => number

export interface Box {
  x: number
  y: number
  w: number
  h: number
}

export const inset = (box: Box, by: number): Box => ({ x: box.x + by, y: box.y + by, w: box.w - 2 * by, h: box.h - 2 * by })
