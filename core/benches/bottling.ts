import { fact, lotEnded } from '../drafts'
import { type BottleMix, bottleMix } from '../finishing'
import { CLOSURE_MATERIAL, HELD_L, type CellarState, type Closure, type EntryOf, type LotView } from '../ledger'
import { type MaterialCard, type OwnCards, cardsOf } from '../materials'
import { BOTTLE_L } from '../stages'
import { withinLimits } from '../units'
import { type Bench, type BenchContext, known, usual } from './bench'

/** What hoses, filter and lees keep when nobody said, L: common practice, no source. */
const USUAL_LOSS_L = 0.3
/** Sizes that are offered before anything else is said. */
const USUAL = { still: ['bottle-750', 'bottle-375'], sparkling: ['sparkling-bottle-750'] } as const
/** Closures that a second ferment throws off, craft 3.13. */
const LETS_GO: ReadonlySet<string> = new Set(['cork', 'screw'])

/** A closure by its kind holds what this wine will be. */
export const closureHolds = (closes: string | undefined, sparkling: boolean): boolean =>
  closes !== undefined && !(sparkling && LETS_GO.has(closes))

/** Both parts of an entry that a choice of closure makes: one of the usual kinds, a card of one's own, or not said. */
export function closedWith(chosen: string, cards: OwnCards): Pick<EntryOf<'bottling'>, 'closure' | 'closureMaterial'> {
  const own = cards.get(chosen)
  if (own?.closes) return { closure: own.closes, closureMaterial: own.key }
  return { closure: chosen === '' ? undefined : (chosen as EntryOf<'bottling'>['closure']) }
}

/** Bottles that are made for still wine burst under a second ferment. */
export const tooWeak = (card: MaterialCard | undefined, lot: LotView | undefined): boolean =>
  lot?.plan.sparkling === true && card?.bottle?.ratedBar === 0

/** Pieces of a material in the store, as far as it is kept account of. */
const inStore = (material: string | undefined, { stock }: CellarState): number | undefined =>
  material === undefined ? undefined : stock.get(material)?.packages.reduce((sum, p) => sum + p.left, 0)

/** All that hold what this wine will be; the others would burst. */
export function bottlesFor(lot: LotView | undefined, cellar: CellarState): MaterialCard[] {
  const sparkling = lot?.plan.sparkling === true
  return cardsOf(['bottle'], cellar.cards).filter(
    (card) =>
      !tooWeak(card, lot) &&
      (sparkling || card.name !== undefined || card.bottle!.ratedBar === 0 || (inStore(card.key, cellar) ?? 0) > 0)
  )
}

/** What is left when the bottles are full: lees, drunk or used up, to be moved into something smaller, or bottled another day. */
export const RESTS = ['lees', 'used', 'jug', 'later'] as const
export type Rest = (typeof RESTS)[number]

/** `volume`, `loss`, and for each card of a bottle what is in store and what was filled. */
export type BottlingNumber = 'volume' | 'loss' | `stock:${string}` | `filled:${string}`
export interface BottlingChoices {
  /** Keys of the bottles' cards, with commas between. */
  used: string
  /** A kind, the key of one's own card, or nothing. */
  closure: string
  place: string
  /** What becomes of what is left; nothing while it is as usual. */
  rest: '' | Rest
}
export interface BottlingAnswer {
  sparkling: boolean
  used: MaterialCard[]
  mix?: BottleMix | undefined
  /** Closures of the chosen kind: needed, and in the store as far as it is kept account of. */
  closing: { needed: number, inStore?: number | undefined }
  /** What the bottles that were filled leave in the vessel, L, and what becomes of it. */
  rest?: { litres: number, becomes: Rest } | undefined
}
export const usedOf = ({ used }: Pick<BottlingChoices, 'used'>, { lot, cellar }: Pick<BenchContext, 'lot' | 'cellar'>): MaterialCard[] => {
  const keys = used.split(',')
  return bottlesFor(lot, cellar).filter((card) => keys.includes(card.key))
}

/** Bottling day: which bottles from the net volume, and the real numbers back. */
export const bottling: Bench<BottlingNumber, BottlingChoices, BottlingAnswer> = {
  choices: ({ lot }) => ({ used: USUAL[lot?.plan.sparkling ? 'sparkling' : 'still'].join(','), closure: '', place: '', rest: '' }),
  fill({ lot, cellar }, values) {
    // What the store says is the first word; who counts otherwise types over it.
    const stock = usedOf(values, { lot, cellar }).flatMap(({ key }) => {
      const pieces = inStore(key, cellar)
      return pieces === undefined ? [] : [[`stock:${key}`, { value: Math.floor(pieces), origin: 'estimated' as const }] as const]
    })
    return { volume: known(lot?.volume), loss: usual(USUAL_LOSS_L), ...Object.fromEntries(stock) }
  },
  answer(values, { lot, cellar }) {
    const { volume, loss, closure, rest } = values
    const used = usedOf(values, { lot, cellar })
    const filledL = used.reduce((sum, { key, bottle }) => sum + ((values[`filled:${key}`] ?? 0) * bottle!.ml) / 1000, 0)
    const leftL = lot && filledL > 0 ? lot.volume.value - filledL : 0
    // Bottles of one size are listed together, whatever they are.
    const there = new Map<number, number | undefined>()
    for (const { key, bottle } of used) {
      const [n, before] = [values[`stock:${key}`], there.has(bottle!.ml) ? there.get(bottle!.ml) : 0]
      there.set(bottle!.ml, before === undefined || n === undefined ? undefined : before + Math.floor(n))
    }
    const sizes = [...there].map(([ml, available]) => ({ ml, ...(available !== undefined && { available }) }))
    const mix = volume === undefined || loss === undefined || used.length === 0 || sizes.some((s) => Number.isNaN(s.available ?? 0))
      ? undefined
      : withinLimits(() => bottleMix(volume, sizes, loss))
    const own = cellar.cards.get(closure)
    const material = own?.closes ? own.key : CLOSURE_MATERIAL[closure as Closure]
    return {
      sparkling: lot?.plan.sparkling === true,
      used,
      mix,
      closing: { needed: mix?.bottles.reduce((sum, b) => sum + b.count, 0) ?? 0, inStore: inStore(material, cellar) },
      // Less than a bottle of it is mostly lees.
      rest: leftL > HELD_L ? { litres: leftL, becomes: rest || (leftL < BOTTLE_L ? 'lees' : 'later') } : undefined
    }
  },
  drafts(values, { used, rest }, { lot, cellar, note }) {
    const counts = used.map((card) => ({ card, count: values[`filled:${card.key}`] ?? 0 }))
    if (!counts.every(({ count }) => Number.isInteger(count))) return { refused: 'whole-number' }
    const bottles = counts.filter(({ count }) => count > 0)
      .map(({ card, count }) => ({ sizeMl: card.bottle!.ml, count, material: card.key }))
    if (bottles.length === 0) return { refused: 'no-bottles' }
    const keeps = rest?.becomes === 'jug' || rest?.becomes === 'later'
    const over = rest && !keeps ? [lotEnded(lot.id, note)] : []
    const about = { ...closedWith(values.closure, cellar.cards), place: values.place.trim() || undefined }
    return [fact('bottling', { lotId: lot.id, bottles, ...about, keeps: keeps || undefined }), ...over]
  }
}
