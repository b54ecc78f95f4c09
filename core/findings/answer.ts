import { DAY_MS } from '../units'
import type { Draft, Fact } from '../ledger'
import type { Finding, WayOut } from './finding'

/**
 * What is written when a way out is taken: what it says of the lot, and that the task was answered so. One that only leads to another
 * place writes nothing: what is done there ends the task.
 * @param finding the decision, with its stable key and its lot
 * @param way one of its ways out
 * @param now ISO UTC
 * @example answerDrafts({ key: 'malolactic-wanted:late', lotId: 'a' }, { code: 'wait', days: 30 }, '2026-03-01T08:00:00.000Z').length // 1
 */
export function answerDrafts(finding: Pick<Finding, 'key' | 'lotId'>, way: WayOut, now: string): Draft<Fact>[] {
  const drafts = [...(way.drafts ?? [])]
  const { lotId, key: task } = finding
  if (lotId === undefined || (drafts.length === 0 && way.action)) return drafts
  // What the entries say ends the task by itself, unless it is to rest for some days first.
  if (drafts.length > 0 && way.days === undefined) return drafts
  const until = way.days === undefined ? undefined : new Date(Date.parse(now) + way.days * DAY_MS).toISOString()
  const ended = { type: 'task-ended', lotId, task, answer: way.code } as const
  return [...drafts, until ? { ...ended, outcome: 'moved', until } : { ...ended, outcome: 'not-wanted' }]
}
