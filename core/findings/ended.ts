import type { EndedTask } from '../ledger'
import type { Finding } from './finding'

/** What is put off, or done, comes back the next morning or evening, h. */
const AGAIN_H = 20

/**
 * Whether somebody has dealt with it: not today, moved to another time, done, or seen and left as it is.
 * @param finding with its stable key
 * @param ended how the lot's tasks were last ended, by key
 * @param now ISO UTC
 */
export function isEnded(finding: Pick<Finding, 'key'>, ended: ReadonlyMap<string, EndedTask>, now: string): boolean {
  const last = ended.get(finding.key)
  if (!last) return false
  switch (last.outcome) {
    case 'seen':
      return true
    case 'moved':
      return last.until !== undefined && now < last.until
    case 'done':
    case 'skipped':
      return Date.parse(now) - Date.parse(last.at) < AGAIN_H * 3_600_000
  }
}
