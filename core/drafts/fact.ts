import type { Draft, EntryOf, Fact } from '../ledger'
import { said } from './said'

/** Kinds whose entries need no more than what was said. */
type Plain = Exclude<Fact['type'], 'reading' | 'addition' | 'inoculation' | 'transfer'>
type Given<T extends Plain> = { [K in keyof Omit<EntryOf<T>, 'id' | 'device' | 'written' | 'type' | 'at'>]: EntryOf<T>[K] | undefined } & {
  at?: string | undefined
}

/**
 * An entry of a kind that takes what was said as it is: an observation, work done, a plan, a task that was ended, a vessel, a
 * package in the store. Its schema judges it when it is written.
 */
export const fact = <T extends Plain>(type: T, given: Given<T>): Draft<EntryOf<T>> =>
  said({ type, ...given }) as unknown as Draft<EntryOf<T>>

/** A lot of which nothing is held any more: poured away, drunk or given. */
export const lotEnded = (lotId: string, note = ''): Draft<EntryOf<'lot-amended'>> =>
  said({ type: 'lot-amended' as const, lotId, ended: true, note: note || undefined }) as Draft<EntryOf<'lot-amended'>>

/** An entry as it should have been. What was written first stays in the ledger, behind it. */
export const correction = (targetId: string, replacement: Fact | null, reason = ''): Draft<EntryOf<'correction'>> => ({
  type: 'correction',
  targetId,
  reason: reason.trim().slice(0, 200),
  replacement
})
