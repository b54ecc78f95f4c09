import type { MaterialCard, MaterialKind } from './card'
import { MATERIALS, MATERIAL_KEYS } from './register'

/** People's own cards, by key. */
export type OwnCards = ReadonlyMap<string, MaterialCard>
const NONE: OwnCards = new Map()

const OTHER_NAMES = new Map(
  MATERIAL_KEYS.flatMap((key) => (MATERIALS[key].alsoKnownAs ? [[MATERIALS[key].alsoKnownAs, key] as const] : []))
)

/** The ledger's key of what another part calls by another name: "sucrose" is "sugar". */
export const materialKey = (name: string): string => OTHER_NAMES.get(name) ?? name

/**
 * The card of a material: the person's own, or the built-in one.
 * @returns undefined for what nobody has a card of (an entry from another cellar): it does nothing to a lot
 */
export function cardOf(name: string, own: OwnCards = NONE): MaterialCard | undefined {
  const key = materialKey(name)
  // A name from outside may be that of something every object has.
  return own.get(key) ?? (Object.hasOwn(MATERIALS, key) ? (MATERIALS as Record<string, MaterialCard>)[key] : undefined)
}

/** All cards of some kinds, the built-in ones first. */
export function cardsOf(kinds: readonly MaterialKind[], own: OwnCards = NONE): MaterialCard[] {
  return [...MATERIAL_KEYS.map((key) => MATERIALS[key]), ...own.values()].filter((card) => kinds.includes(card.kind))
}

/** The card that a typed word stands for. */
export function cardTyped(word: string, own: OwnCards = NONE): MaterialCard | undefined {
  const mine = [...own.values()].find((card) => card.name?.toLowerCase() === word)
  return mine ?? MATERIAL_KEYS.map((key) => MATERIALS[key]).find((card) => card.key === word || card.aliases.includes(word))
}

/** Hours that should pass after one material before another of these kinds; 0 where nothing speaks against it. */
export function hoursApart(first: MaterialCard, second: MaterialCard): number {
  const between = (a: MaterialCard, b: MaterialCard) => a.avoids.find((x) => x.with === b.kind)?.hours ?? 0
  return Math.max(between(first, second), between(second, first))
}
