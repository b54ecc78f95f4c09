import type { Box, LabelFont, Measure, Shape } from './scene'

/** One text of a column: as large as wanted, smaller where it must be, over a few lines at most. */
export interface Row {
  text: string
  font: LabelFont
  /** Em, mm. */
  size: number
  ink: string
  /** Space above it, in its own em. */
  gap?: number
  maxLines?: number
  /** It may be left out where all of it does not fit: the highest first. What must be said has none. */
  spare?: number
}

/** Nobody reads less at arm's length, mm: about six points. */
export const LEAST_SIZE = 2.1
const LEADING = 1.16
/** Of the em: how far a letter comes down below its line, and up above it. */
const [DOWN, UP] = [0.25, 0.8]
const SMALLER = 0.94

/** Breaks at spaces; a word that is wider than the line is broken where it must be. */
function broken(text: string, fits: (part: string) => boolean): string[] {
  const lines: string[] = []
  let line = ''
  const put = (word: string) => {
    const longer = line ? `${line} ${word}` : word
    if (fits(longer)) line = longer
    else {
      if (line) lines.push(line)
      line = ''
      let rest = word
      while (rest && !fits(rest)) {
        let n = rest.length - 1
        while (n > 1 && !fits(rest.slice(0, n))) n--
        lines.push(rest.slice(0, Math.max(1, n)))
        rest = rest.slice(Math.max(1, n))
      }
      line = rest
    }
  }
  text.split(/\s+/).filter(Boolean).forEach(put)
  if (line) lines.push(line)
  return lines
}

/** A text in at most so many lines: smaller as far as it may be, then cut with an ellipsis. */
function set(row: Row, w: number, scale: number, measure: Measure): { lines: string[], size: number } {
  const most = row.maxLines ?? 1
  const least = Math.min(row.size, LEAST_SIZE)
  let size = Math.max(least, row.size * scale)
  for (;;) {
    const fits = (part: string) => measure(part, row.font, size) <= w
    const lines = broken(row.text, fits)
    const whole = lines.length <= most && (most > 1 || fits(row.text)) && !splitsWord(row.text, lines)
    if (whole) return { lines, size }
    if (size <= least) {
      if (lines.length <= most) return { lines, size }
      let last = lines.slice(most - 1).join(' ')
      while (last.length > 1 && !fits(`${last}…`)) last = last.slice(0, -1)
      return { lines: [...lines.slice(0, most - 1), `${last.trimEnd()}…`], size }
    }
    size = Math.max(least, size * SMALLER)
  }
}
const splitsWord = (text: string, lines: string[]) => lines.join(' ') !== text.split(/\s+/).filter(Boolean).join(' ')

/**
 * Texts under each other in a box, each as large as it may be: where they do not fit all become smaller together, then what can
 * be spared goes. Nothing leaves the box.
 * @param align where in the box they stand when there is room left
 */
export function stack(rows: readonly Row[], box: Box, measure: Measure, align: 'top' | 'middle' | 'bottom' = 'top'): Shape[] {
  let kept = rows.filter((r) => r.text.trim() !== '')
  for (;;) {
    const spare = kept.reduce((most, row) => Math.max(most, row.spare ?? 0), 0)
    // What can be spared goes before all becomes tiny; what cannot is made as small as can be read.
    for (let scale = 1; scale > (spare > 0 ? 0.5 : 0); scale *= SMALLER) {
      const laid = kept.map((row) => ({ row, ...set(row, box.w, scale, measure) }))
      const heights = laid.map(({ row, lines, size }, i) => (i > 0 ? (row.gap ?? 0) * size : 0) + lines.length * size * LEADING)
      const h = heights.reduce((sum, one) => sum + one, 0)
      const last = kept.every((row) => row.size * scale <= LEAST_SIZE)
      if (h <= box.h + 1e-9) {
        let y = box.y + (align === 'top' ? 0 : align === 'middle' ? (box.h - h) / 2 : box.h - h)
        return laid.flatMap(({ row, lines, size }, i) => {
          if (i > 0) y += (row.gap ?? 0) * size
          return lines.map((text): Shape => {
            const at = y + size * (UP + (LEADING - UP - DOWN) / 2)
            y += size * LEADING
            return { is: 'text', x: box.x, y: at, size, font: row.font, text, ink: row.ink }
          })
        })
      }
      if (last) break
    }
    const drop = kept.findLastIndex((row) => (row.spare ?? 0) === spare)
    if (kept.length <= 1 || drop < 0) return []
    kept = kept.filter((_, i) => i !== drop)
  }
}
