import { type LabelWords, type LayoutKey, type SheetKey, abvInBottle, alcoholOnLabel, allergensOf, lotCode } from '~~/core/labels'
import type { LotView } from '~~/core/ledger'
import type { Allergen, OwnCards } from '~~/core/materials'
import { dayHere, sayLongDay } from './days'
import { CLOSURE, STREAM, STYLE } from './terms'

export const LAYOUT: Record<LayoutKey, { label: string, hint: string }> = {
  poured: { label: 'Poured', hint: 'in the colour of the wine' },
  ruled: { label: 'Ruled', hint: 'as in a cellar book' },
  slip: { label: 'Slip', hint: 'for the back, a jug, a vessel' }
}
export const SHEET: Record<SheetKey, string> = {
  'a4-8': 'A4, 8 of 99.1 × 67.7 mm',
  'a4-4': 'A4, 4 of 99.1 × 139 mm',
  'a4-14': 'A4, 14 of 99.1 × 38.1 mm',
  'a4-21': 'A4, 21 of 63.5 × 38.1 mm',
  'a4-cut': 'A4, plain paper, 4 of 80 × 100 mm to cut',
  'letter-6': 'Letter, 6 of 4 × 3⅓ in',
  'letter-10': 'Letter, 10 of 4 × 2 in',
  'letter-cut': 'Letter, plain paper, 4 of 80 × 100 mm to cut'
}
export const ALLERGEN_WORD: Record<Allergen, string> = {
  sulphites: 'sulphites',
  egg: 'egg',
  milk: 'milk',
  fish: 'fish',
  shellfish: 'shellfish'
}

/** What of it the winemaker chooses. */
export interface OwnLabel {
  name: string
  own: string
  sizeMl?: number | undefined
  notForSale: boolean
  code: boolean
}
const share = (n: number): string => (n >= 0.995 ? '' : ` ${Math.round(n * 100)} %`)
const list = (words: string[]): string => (words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`)

/** What a lot's label says. What is not known is left out. */
export function labelWords(lot: LotView, own: OwnLabel, cards?: OwnCards): LabelWords & { number: string } {
  const bottling = lot.bottled.findLast((b) => own.sizeMl === undefined || b.sizeMl === own.sizeMl)
  const abv = abvInBottle(lot)
  const alcohol = abv && `${alcoholOnLabel(abv).percent} % vol`
  const contains = allergensOf(lot, cards).map((a) => ALLERGEN_WORD[a])
  const code = lotCode(own.name || lot.name, dayHere(bottling?.at ?? lot.startedAt))
  const varieties = lot.varieties.map((v) => `${v.name}${share(v.share)}`).join(', ')
  const words = {
    name: own.name || lot.name,
    vintage: lot.vintage === undefined ? '' : String(lot.vintage),
    from: varieties,
    own: own.own,
    strength: [alcohol, own.sizeMl && `${own.sizeMl} mL`].filter(Boolean).join(' · '),
    bottled: bottling ? `Bottled ${sayLongDay(bottling.at)}` : '',
    contains: contains.length ? `Contains ${list(contains)}` : '',
    lot: [`Lot ${code}`, own.notForSale && 'made at home, not for sale'].filter(Boolean).join(' · ')
  }
  return { ...words, number: code, records: own.code ? records(lot, words, code, bottling) : [] }
}

/** The lot's short record as plain text, for a code that any phone reads: whole, then shorter. */
function records(lot: LotView, w: Omit<LabelWords, 'records'>, code: string, bottling: LotView['bottled'][number] | undefined): string[] {
  const title = [w.name, w.vintage].filter(Boolean).join(' ')
  const { ph, ta, totalSo2 } = lot
  const abv = abvInBottle(lot)
  const figures = [
    abv && `${abv.value.toFixed(1)} % vol (± ${abv.uncertainty.toFixed(1)})`,
    ph && `pH ${ph.value.toFixed(2)}`,
    ta && `TA ${ta.value.toFixed(1)} g/L`,
    totalSo2 && `total SO2 ${totalSo2.value.toFixed(0)} mg/L`
  ].filter(Boolean)
  const closed =
    bottling && [dayHere(bottling.at), bottling.closure && CLOSURE[bottling.closure].toLowerCase()].filter(Boolean).join(', ')
  const short = [title, `Lot ${code}`, w.strength, closed && `Bottled ${closed}`, w.contains].filter(Boolean)
  const whole = [
    title,
    `Lot ${code}`,
    `${STYLE[lot.style]} from ${STREAM[lot.stream].toLowerCase()}${w.from ? `: ${w.from}` : ''}`,
    figures.join(', '),
    closed && `Bottled ${closed}`,
    w.contains
  ].filter(Boolean)
  return [whole.join('\n'), short.join('\n'), `${title}\nLot ${code}`]
}
