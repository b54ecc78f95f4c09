import { encode } from 'uqr'
import type { Shape } from './scene'

/** A phone reads no smaller dot from a printed label, mm. Common practice, no source. */
const LEAST_DOT = 0.33
/** Dots left white around a code. */
const QUIET = 2

/**
 * A QR code (ISO/IEC 18004) of the longest of several texts whose dots are still large enough.
 * @param texts the longest first
 * @returns its shapes on white, and the text that it holds; undefined when there is no room for any
 */
export function codeIn(texts: readonly string[], x: number, y: number, side: number): { shapes: Shape[], text: string } | undefined {
  for (const text of texts) {
    const { data, size } = encode(text, { ecc: 'M', border: 0 })
    const dot = side / (size + 2 * QUIET)
    if (dot < LEAST_DOT) continue
    const at = (n: number) => Number((n * dot).toFixed(4))
    let d = ''
    data.forEach((row, r) => {
      for (let c = 0; c < size; c++) {
        if (!row[c]) continue
        let end = c
        while (end + 1 < size && row[end + 1]) end++
        d += `M${(x + at(c + QUIET)).toFixed(3)} ${(y + at(r + QUIET)).toFixed(3)}h${at(end - c + 1)}v${at(1)}h${-at(end - c + 1)}z`
        c = end
      }
    })
    return {
      shapes: [
        { is: 'rect', x, y, w: side, h: side, ink: '#ffffff' },
        { is: 'path', d, ink: '#000000' }
      ],
      text
    }
  }
  return undefined
}
