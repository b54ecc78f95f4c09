import { type MaterialCard, type OwnCards, MATERIALS, MATERIAL_KEYS } from '../materials'
import { plain } from './lot-named'
import { INSTRUMENTS, MOVES, OPERATIONS, PITCHED } from './words'

/** A word as it is looked up. */
export const tidy = (word: string): string => plain(word).replace(/[,;]+$/, '')

/** What names a card on the line: its own name, its key or what people call it. */
export function namesOf(cards: OwnCards | undefined): { name: string, card: MaterialCard }[] {
  // A stock solution is known by the word behind its powder.
  const built = MATERIAL_KEYS.filter((key) => key !== 'sulphite-stock').map((key): MaterialCard => MATERIALS[key])
  return [
    ...[...(cards?.values() ?? [])].flatMap((card) => (card.name ? [{ name: plain(card.name), card }] : [])),
    ...built.flatMap((card) => [card.key.replaceAll('-', ' '), ...card.aliases].map((name) => ({ name, card })))
  ]
}

/** The longest of some names that stands at the head of the words. */
export function longest<T extends { name: string }>(words: readonly string[], among: readonly T[]): { hit: T, used: number } | undefined {
  const hits = among.filter(({ name }) => ` ${words.join(' ')} `.startsWith(` ${name} `))
  const hit = hits.sort((a, b) => b.name.length - a.name.length)[0]
  return hit && { hit, used: hit.name.split(' ').length }
}
const tableOf = <T>(table: Record<string, T>) => Object.entries(table).map(([name, value]) => ({ name, value }))
export const [OPERATION_NAMES, PITCHED_NAMES, MOVE_NAMES, INSTRUMENT_NAMES] = [
  tableOf(OPERATIONS),
  tableOf(PITCHED),
  tableOf(MOVES),
  tableOf(INSTRUMENTS)
] as const
