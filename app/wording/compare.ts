import type { Compared, ComparedRow } from '~~/core/compare'
import type { Shown } from '~/composables/useFormat'

interface Format {
  volume: (n: number) => Shown
  temperature: (n: number) => Shown
  sugar: (n: number) => Shown
  words: (s: Shown) => string
  material: (key: string) => string
}
const LABEL: Record<Compared, string> = {
  originalSg: 'Sugar of the must', mustPh: 'pH of the must', mustTa: 'TA of the must', yeast: 'Yeast', daysToDry: 'From yeast to dry',
  meanC: 'Ferment, on average', warmestC: 'Ferment, warmest', pressedDay: 'Pressed after', rackings: 'Rackings',
  nitrogenGiven: 'Nitrogen given', totalSo2: 'Sulphite given', abv: 'Alcohol', ph: 'pH now', ta: 'TA now', malic: 'Malic acid',
  freeSo2: 'Free SO₂ now', startedL: 'Wine made', bottles: 'Bottles', bottledDay: 'From start to bottle', costPerLitre: 'Cost of a litre',
  rating: 'Last rating'
}
const SAY: Record<Compared, (n: number, f: Format) => string> = {
  originalSg: (n, f) => f.words(f.sugar(n)),
  mustPh: (n) => n.toFixed(2),
  mustTa: (n) => `${n.toFixed(1)} g/L`,
  yeast: String,
  daysToDry: (n) => `${Math.round(n)} days`,
  meanC: (n, f) => f.words(f.temperature(Math.round(n))),
  warmestC: (n, f) => f.words(f.temperature(Math.round(n))),
  pressedDay: (n) => `${Math.round(n)} days`,
  rackings: String,
  nitrogenGiven: (n) => `${Math.round(n)} mg/L`,
  totalSo2: (n) => `${Math.round(n)} mg/L`,
  abv: (n) => `${n.toFixed(1)} % vol`,
  ph: (n) => n.toFixed(2),
  ta: (n) => `${n.toFixed(1)} g/L`,
  malic: (n) => `${n.toFixed(2)} g/L`,
  freeSo2: (n) => `${Math.round(n)} mg/L`,
  startedL: (n, f) => f.words(f.volume(n)),
  bottles: String,
  bottledDay: (n) => `${Math.round(n)} days`,
  costPerLitre: (n) => n.toFixed(2),
  rating: (n) => `${n} of 10`
}
export const sayCompared = ({ of }: ComparedRow, f: Format): string => (typeof of === 'string' ? LABEL[of] : f.material(of.added))
/** A figure of one lot in a line; a dash where nobody knows it. */
export function sayComparedValue({ of }: ComparedRow, value: number | string | undefined, f: Format): string {
  if (value === undefined) return '–'
  if (typeof value === 'string') return value
  return typeof of === 'string' ? SAY[of](value, f) : value === 0 ? 'none' : `${Number(value.toPrecision(2))} ${of.unit}/L`
}
