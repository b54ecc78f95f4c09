import type { Style } from '../ledger'
import { codeIn } from './code'
import { type Box, type Measure, type Shape, inset } from './scene'
import { type Row, stack } from './stack'

/** What a label says, in words. */
export interface LabelWords {
  name: string
  vintage: string
  /** Varieties. */
  from: string
  /** A line of the winemaker's own. */
  own: string
  /** What must be said, short: alcohol and volume. */
  strength: string
  bottled: string
  /** Sulphites and other allergens. */
  contains: string
  /** Lot and "not for sale". */
  lot: string
  /** The lot's short record, the longest first; none for no code. */
  records: readonly string[]
}
export interface LabelAsked {
  words: LabelWords
  style: Style
  w: number
  h: number
  measure: Measure
}

/** Printed: no light behind it, so the wine is a little brighter than on the screen. */
const WINE: Record<Style, { ground: string, on: string, soft: string }> = {
  red: { ground: '#6a1631', on: '#ffffff', soft: '#f0d9df' },
  rose: { ground: '#e9aa99', on: '#3c1a15', soft: '#5a2f28' },
  white: { ground: '#e6d78f', on: '#2f290d', soft: '#514a1f' }
}
const INK = '#1d1a16'
const SOFT = '#4c463d'
const LINE = '#b9b0a2'

/** A large label is read from farther off: its small print grows with it. */
const scaleOf = (w: number, h: number): number => Math.min(1.4, Math.max(0.8, Math.sqrt(w * h) / 82))
const smallAt =
  (scale: number) =>
    (text: string, more: Partial<Row> = {}): Row => ({
      text, font: 'text', ink: SOFT, gap: 0.15, maxLines: 2, ...more, size: (more.size ?? 2.9) * scale
    })
/** What must be said, in the order in which one looks for it. */
const said = (w: LabelWords, small: ReturnType<typeof smallAt>): Row[] => [
  small(w.strength, { font: 'bold', ink: INK, size: 3.2 }),
  small(w.contains, { maxLines: 4 }),
  small(w.bottled),
  small(w.lot, { spare: 1 })
]
/** A wine of one variety that is called by it need not say so twice. */
const fromOf = (w: LabelWords): string => (w.from === w.name ? '' : w.from)
/** So much of a side for the code, and never more than reads well. */
const codeSide = (side: number): number => Math.min(26, side)

/** Texts beside the code, which stands to the right; without one they have the whole width. */
function besideCode(rows: Row[], box: Box, side: number, { words, measure }: LabelAsked): Shape[] {
  const code = codeIn(words.records, box.x + box.w - side, box.y + box.h - side, side)
  return [...stack(rows, { ...box, w: code ? box.w - side - 3 : box.w }, measure, 'bottom'), ...(code?.shapes ?? [])]
}

/** The upper part is the wine, up to its level as it stands in a glass. */
function poured(asked: LabelAsked): Shape[] {
  const { words: w, style, w: W, h: H, measure } = asked
  const wine = WINE[style]
  const small = smallAt(scaleOf(W, H))
  const wide = W / H > 1.9
  const m = Math.min(5, Math.min(W, H) * 0.08)
  // A wide label is poured from the left.
  const part = wide ? W * 0.46 : H * 0.56
  const sag = Math.min(2.2, part * 0.06)
  const d = wide ? `M0 0H${part}Q${part + sag * 2} ${H / 2} ${part} ${H}H0Z` : `M0 0H${W}V${part}Q${W / 2} ${part + sag * 2} 0 ${part}Z`
  const head: Row[] = [
    { text: w.name, font: 'display', size: Math.min(15, W * 0.13), ink: wine.on, maxLines: 3 },
    { text: w.vintage, font: 'display', size: Math.min(8, W * 0.075), ink: wine.on, gap: 0.2 },
    { text: w.own, font: 'text', size: 3.8, ink: wine.soft, gap: 0.35, maxLines: 2, spare: 2 }
  ]
  const headBox = wide ? { x: m, y: m, w: part - 1.5 * m, h: H - 2 * m } : { x: m, y: m, w: W - 2 * m, h: part - 1.5 * m }
  const foot: Box = wide
    ? { x: part + sag + m, y: m, w: W - part - sag - 2 * m, h: H - 2 * m }
    : { x: m, y: part + sag + m * 0.8, w: W - 2 * m, h: H - part - sag - 1.8 * m }
  const rows = [small(fromOf(w), { size: 3.6, ink: INK, spare: 3 }), ...said(w, small)]
  const side = codeSide(wide ? foot.w * 0.42 : Math.min(foot.h, foot.w * 0.34))
  return [{ is: 'path', d, ink: wine.ground }, ...stack(head, headBox, measure, 'middle'), ...besideCode(rows, foot, side, asked)]
}

/** Written as in a cellar book: the name and the year on a line, and what is known of it in ruled rows. */
function ruled(asked: LabelAsked): Shape[] {
  const { words: w, style, w: W, h: H, measure } = asked
  const m = Math.min(5, Math.min(W, H) * 0.08)
  const box = inset({ x: 0, y: 0, w: W, h: H }, m)
  const tall = H > W
  const small = smallAt(scaleOf(W, H))
  const bar = 1.6
  const headH = box.h * (tall ? 0.48 : 0.4)
  const yearSize = Math.min(9, W * 0.08)
  const yearW = w.vintage ? measure(w.vintage, 'display', yearSize) + 2 : 0
  const ruleY = box.y + headH
  const name: Row[] = [
    { text: w.name, font: 'display', size: Math.min(13, W * 0.11), ink: INK, maxLines: tall ? 3 : 2 },
    { text: w.own, font: 'text', size: 3.6, ink: SOFT, gap: 0.25, maxLines: 2, spare: 2 }
  ]
  const below: Box = { x: box.x, y: ruleY + 2.2, w: box.w, h: box.y + box.h - ruleY - 2.2 }
  const rows = [small(fromOf(w), { size: 3.6, ink: INK, spare: 3 }), ...said(w, small)]
  return [
    ...stack(name, { x: box.x, y: box.y, w: box.w - yearW, h: headH - 2.4 }, measure, 'bottom'),
    ...(w.vintage
      ? [
          {
            is: 'text' as const,
            x: box.x + box.w - yearW + 2,
            y: ruleY - 2.4 - yearSize * 0.25,
            size: yearSize,
            font: 'display' as const,
            text: w.vintage,
            ink: INK
          }
        ]
      : []),
    { is: 'rect', x: box.x, y: ruleY - bar / 2, w: box.w, h: bar, ink: WINE[style].ground },
    ...besideCode(rows, below, codeSide(Math.min(below.h, box.w * 0.32)), asked),
    { is: 'rect', x: box.x, y: box.y + box.h + m * 0.35, w: box.w, h: 0.25, ink: LINE }
  ]
}

/** All on white, small: for the back, a neck, a jug, a vessel. */
function slip(asked: LabelAsked): Shape[] {
  const { words: w, w: W, h: H, style } = asked
  const m = Math.min(4, Math.min(W, H) * 0.08)
  const box = { x: m + 2.4, y: m, w: W - 2 * m - 2.4, h: H - 2 * m }
  const small = smallAt(scaleOf(W, H))
  const rows: Row[] = [
    { text: [w.name, w.vintage].filter(Boolean).join(' '), font: 'bold', size: Math.min(8, W * 0.075), ink: INK, maxLines: 2 },
    small(w.own, { spare: 4 }),
    small(fromOf(w), { spare: 3 }),
    ...said(w, small)
  ]
  return [
    { is: 'rect', x: 0, y: 0, w: 2.4, h: H, ink: WINE[style].ground },
    ...besideCode(rows, box, codeSide(Math.min(box.h, box.w * 0.36)), asked)
  ]
}

export const LAYOUTS = { poured, ruled, slip } as const satisfies Record<string, (asked: LabelAsked) => Shape[]>
export type LayoutKey = keyof typeof LAYOUTS
export const LAYOUT_KEYS = Object.keys(LAYOUTS) as LayoutKey[]
