/** A refractometer's round field: above the line it is blue, below it white. */
export interface Field {
  lineY: number
  /** Half the height over which the line is blurred. */
  blur: number
  ticks: { y: number, brix: number, label?: string }[]
  height: number
}
const HEIGHT = 300
const TOP = 24
const MOST_BRIX = 32
const PER_BRIX = (HEIGHT - 2 * TOP) / MOST_BRIX

/**
 * @param brix where the line stands, −2 to 32, its wrong zero in it
 * @param blur °Brix: little in juice, much in a cloudy must
 */
export function fieldOf(brix: number, blur: number): Field {
  const yOf = (b: number) => HEIGHT - TOP - b * PER_BRIX
  const ticks = Array.from({ length: MOST_BRIX + 1 }, (_, b) => ({ y: yOf(b), brix: b, ...(b % 5 === 0 && { label: String(b) }) }))
  return { lineY: yOf(brix), blur: Math.max(0.5, blur * PER_BRIX), ticks, height: HEIGHT }
}
/** Read off the drawing at the middle of the blur. */
export function readField({ lineY, ticks }: Pick<Field, 'lineY' | 'ticks'>): number {
  const [zero, one] = ticks
  return (zero!.y - lineY) / (zero!.y - one!.y)
}
