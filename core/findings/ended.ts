import { hoursBetween } from '../units'
import type { EndedTask } from '../ledger'
import type { Finding } from './finding'

/** What is put off, or done, comes back the next morning or evening, h. */
const AGAIN_H = 20
/** What was done in another way, or was so already, is asked about again after so long where it is still derived, h. Ours. */
const OTHERWISE_H = 60 * 24
/** What could not be done is asked again after this, and each time after twice as long, h. Ours. */
const COULD_NOT = { firstH: 3 * 24, most: 5 } as const

/**
 * Whether somebody has dealt with it: not today, moved to another time, done in whatever way, not wanted, or seen and left as it is.
 * @param finding with its stable key, and how long an answer to it holds
 * @param ended how the lot's tasks were last ended, by key
 * @param now ISO UTC
 */
export function isEnded(finding: Pick<Finding, 'key' | 'againH'>, ended: ReadonlyMap<string, EndedTask>, now: string): boolean {
  const last = ended.get(finding.key)
  if (!last) return false
  const hours = hoursBetween(last.at, now)
  switch (last.outcome) {
    case 'seen':
    case 'not-wanted':
      return true
    case 'moved':
      return last.until !== undefined && now < last.until
    case 'done':
    case 'skipped':
      return hours < AGAIN_H
    case 'otherwise':
    case 'was-so':
      return hours < (finding.againH ?? OTHERWISE_H)
    case 'could-not':
      return hours < COULD_NOT.firstH * 2 ** (Math.min(COULD_NOT.most, Math.max(1, last.times)) - 1)
  }
}
