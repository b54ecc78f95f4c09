/** Where a style ferments, °C (craft 3.7, common practice). */
const STYLE_BAND = { red: { min: 20, max: 30 }, rose: { min: 13, max: 19 }, white: { min: 11, max: 18 } } as const

/**
 * The band in which a ferment is to be held: the style's, within what the yeast bears. Where the two do not meet the yeast's own edge that
 * lies nearest is what there is.
 * @example targetBand('white', { min: 13, max: 24 }) // 13 to 18 °C
 */
export function targetBand(style: 'red' | 'rose' | 'white', yeast?: { min: number, max: number }): { min: number, max: number } {
  const band = STYLE_BAND[style]
  if (!yeast) return { ...band }
  const min = Math.max(band.min, yeast.min)
  const max = Math.min(band.max, yeast.max)
  if (min < max) return { min, max }
  return yeast.min > band.max
    ? { min: yeast.min, max: Math.min(yeast.max, yeast.min + 3) }
    : { min: Math.max(yeast.min, yeast.max - 3), max: yeast.max }
}
