import { JOINING } from './words'

export interface Named {
  lots: readonly { id: string, name: string }[]
  /** Names of vessels, which stand for the lot in them. */
  vessels: readonly { id: string, name: string, lotId?: string }[]
}

/** As it is compared: small letters without their marks. */
export const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')

/**
 * The lots that some words can mean, by their own name or their vessel's. A vessel named after the lot tells lots of one name apart.
 * @param words as typed
 * @param taken words that mean something else, and are no beginning of a name in the middle of a line
 * @returns the lots, one where it is clear, and the words that are left
 */
export function lotNamed(words: string[], context: Named, taken: (word: string) => boolean): { lotIds: string[], rest: string[] } {
  for (let at = 0; at < words.length; at++) {
    if (at > 0 && (taken(plain(words[at]!)) || JOINING.has(plain(words[at]!)) || plain(words[at]!).length < 3)) continue
    const found = namedAt(words.slice(at), context)
    if (found) return { lotIds: found.lotIds, rest: [...words.slice(0, at), ...words.slice(at + found.used)] }
  }
  return { lotIds: [], rest: words }
}

function namedAt(words: string[], { lots, vessels }: Named): { lotIds: string[], used: number } | undefined {
  const candidates = [
    ...lots.map((l) => ({ name: plain(l.name), id: l.id })),
    ...vessels.flatMap((v) => (v.lotId ? [{ name: plain(v.name), id: v.lotId }] : []))
  ]
  const longest = Math.min(Math.max(0, ...candidates.map((c) => c.name.split(' ').length)), words.length)
  for (let used = longest; used > 0; used--) {
    const start = plain(words.slice(0, used).join(' ')).replace(/[,;]+$/, '')
    const exact = candidates.filter((c) => c.name === start)
    const lotIds = [...new Set((exact.length > 0 ? exact : candidates.filter((c) => c.name.startsWith(start))).map((c) => c.id))]
    if (lotIds.length === 0) continue
    const after = lotIds.length > 1 ? vesselAt(words.slice(used), vessels, lotIds) : undefined
    return after ? { lotIds: [after.lotId], used: used + after.used } : { lotIds, used }
  }
  return undefined
}

/** Another lot that is named in full behind "in", "of" or "for", before what was smelled or noted. */
export function secondLot(
  rest: readonly string[],
  lotIds: readonly string[],
  lots: Named['lots'],
  ends: (word: string) => boolean
): string | undefined {
  const end = rest.findIndex((word) => ends(plain(word)))
  const line = rest.slice(0, end < 0 ? rest.length : end).map((word) => plain(word).replace(/[,;]+$/, ''))
  return lots.find(({ id, name }) => {
    const own = plain(name).split(' ')
    return !lotIds.includes(id) && line.some((word, i) => INTO.has(word) && own.every((part, j) => line[i + 1 + j] === part))
  })?.name
}
const INTO: ReadonlySet<string> = new Set(['in', 'into', 'of', 'for', 'and'])

function vesselAt(words: string[], vessels: Named['vessels'], lotIds: string[]): { lotId: string, used: number } | undefined {
  const said = words[0] && plain(words[0]) === 'in' ? words.slice(1) : words
  for (const vessel of vessels) {
    const used = vessel.name.split(' ').length
    if (vessel.lotId && lotIds.includes(vessel.lotId) && plain(said.slice(0, used).join(' ')) === plain(vessel.name))
      return { lotId: vessel.lotId, used: used + words.length - said.length }
  }
  return undefined
}
