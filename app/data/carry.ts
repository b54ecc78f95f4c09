import { DAY_MS } from '~~/core/units'
import type { Folder } from './folder'
import type { Doubt } from './review'

/**
 * A cellar kept in a folder, and carried by whatever keeps that folder in step between devices. Each device writes a file of its own and
 * reads those of the others: two that write at once never write the same file, so nothing can be lost between them.
 */
const CARRIED = /^presk-carry-([a-z0-9-]+)\.json$/
const COPY = /^presk-copy-(\d{4}-\d{2}-\d{2})\.json$/
const carriedBy = (device: string): string => `presk-carry-${device}.json`
const copyOf = (day: string): string => `presk-copy-${day}.json`

export interface CarryWork {
  folder: Folder
  device: string
  /** The day by the person's calendar, "2026-11-30". */
  day: string
  /** The whole cellar as a file. */
  text: () => Promise<string>
  /** Takes another device's file in. @returns how many entries were new and how many wait for the person, or why it could not be read */
  take: (text: string, fileName: string) => Promise<{ fresh: number, waiting: number } | { problem: string }>
}
export interface Carried {
  came: { device: string, fresh: number }[]
  /** Files with entries that contradict this cellar: they are left out until the person has looked at them. */
  waiting: { name: string, count: number }[]
  unread: { name: string, problem: string }[]
  copies: string[]
}

/**
 * Entries of another device's file that wait for the person. A correction is none of them: both devices are the same household's, each
 * entry has its latest correction, and without it the two would never agree again.
 */
export const waitingOf = (doubts: readonly Doubt[]): string[] =>
  doubts.filter((d) => d.code !== 'corrects').map((d) => d.entryId)

/** Reads what is new of the other devices, and writes this one's file and the copy of the day. */
export async function carry({ folder, device, day, text, take }: CarryWork): Promise<Carried> {
  const came: Carried['came'] = []
  const waiting: Carried['waiting'] = []
  const unread: Carried['unread'] = []
  for (const name of await folder.names()) {
    const other = CARRIED.exec(name)?.[1]
    if (other === undefined || other === device) continue
    // Another program may be writing it at this moment: it is read again the next time.
    const file = await folder.read(name).catch(() => undefined)
    const taken = file === undefined ? { problem: 'it could not be opened' } : await take(file, name)
    if ('problem' in taken) {
      unread.push({ name, problem: taken.problem })
      continue
    }
    if (taken.fresh > 0) came.push({ device: other, fresh: taken.fresh })
    if (taken.waiting > 0) waiting.push({ name, count: taken.waiting })
  }
  const own = await text()
  if ((await folder.read(carriedBy(device)).catch(() => undefined)) !== own) await folder.write(carriedBy(device), own)
  await folder.write(copyOf(day), own)
  const copies = daysOf(await folder.names())
  for (const old of copiesToDrop(copies, day)) await folder.remove(copyOf(old))
  return { came, waiting, unread, copies: copies.filter((c) => !copiesToDrop(copies, day).includes(c)) }
}
const daysOf = (names: readonly string[]): string[] => names.flatMap((name) => COPY.exec(name)?.[1] ?? []).sort()
export const readCopy = (folder: Folder, day: string): Promise<string | undefined> => folder.read(copyOf(day))

const KEPT = { days: 7, weeks: 5, months: 12 } as const
const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_MS)

/**
 * Copies that need not be kept: of each of the last seven days, five weeks and twelve months one stays, the newest of it, and always the
 * newest and the oldest of all.
 * @param copies days, "2026-11-30", in any order
 */
export function copiesToDrop(copies: readonly string[], today: string): string[] {
  const newestFirst = [...new Set(copies)].sort().toReversed()
  const keep = new Set([newestFirst[0], newestFirst.at(-1)])
  const age = (day: string) => dayNumber(today) - dayNumber(day)
  for (const [span, count] of [[1, KEPT.days], [7, KEPT.weeks], [30.44, KEPT.months]] as const) {
    const seen = new Set<number>()
    for (const day of newestFirst) {
      const part = Math.floor(age(day) / span)
      if (part >= count || seen.has(part)) continue
      seen.add(part)
      keep.add(day)
    }
  }
  return newestFirst.filter((day) => !keep.has(day))
}
