import { z } from 'zod'
import { sayFinding } from '../../app/wording/findings'
import { materialName } from '../../app/wording/materials'
import { metricFormat } from '../../app/wording/metric-format'
import { outOfTime } from '../../app/data/cellar-file'
import { type RawCellar, foldCellar, lotAt, upcast } from '../../core/ledger'
import { cellarFileSchema } from '../../core/ledger/schema'
import { type StageFinding, findingsOf, tasksOf } from '../../core/stages'
import { sittingsOf, habitsOf, wayOf } from '../../core/way'

/** The body of /api/advice: a cellar as Presk exports it, and the instant that is asked about. */
export const ADVICE_BODY = z.strictObject({
  cellar: z
    .preprocess((raw) => (isCellar(raw) ? upcast(raw) : raw), cellarFileSchema)
    .describe('a cellar as Presk exports it'),
  now: z.iso.datetime({ error: 'must be an instant in UTC, like 2026-10-03T14:20:00Z' })
})
const isCellar = (raw: unknown): raw is RawCellar =>
  typeof raw === 'object' && raw !== null && 'version' in raw && typeof raw.version === 'number' && 'entries' in raw
    && Array.isArray(raw.entries)

/**
 * What Today shows, for a kitchen display or a script of one's own. Nothing is stored. Forecasts of ferments are left to the app: what is
 * said here rests on the ledger alone.
 */
export function advice({ cellar: file, now }: z.output<typeof ADVICE_BODY>) {
  const odd = file.entries.findIndex((e) => outOfTime(e.at, Date.parse(now)) !== undefined)
  const entries = odd < 0 ? file.entries : file.entries.filter((e) => outOfTime(e.at, Date.parse(now)) === undefined)
  const cellar = foldCellar(entries)
  const format = { ...metricFormat, material: (key: string) => materialName(key, cellar.cards) }
  const asked: StageFinding[] = []
  const views = [...cellar.lots.values()].map((state) => lotAt(state, now))
  const habits = habitsOf(views)
  const lots = views.map((lot) => {
    const tasks = tasksOf(lot, cellar, now)
    asked.push(...tasks.filter((task) => task.urgency !== 'wait'))
    const says = (finding: (typeof tasks)[number]) => {
      const { title, reason } = sayFinding(finding, lot, format)
      return `${title}${/[?!]$/.test(title) ? '' : '.'} ${reason}`
    }
    return {
      id: lot.id,
      name: lot.name,
      standing: lot.standing,
      tasks: tasks.map((task) => ({
        code: task.code,
        urgency: task.urgency,
        ...task.window,
        says: says(task),
        ...(task.minutes !== undefined && { minutes: task.minutes }),
        ...(task.amounts && { amounts: task.amounts })
      })),
      findings: findingsOf(lot, cellar, now).map((f) => ({ code: f.code, urgency: f.urgency, says: says(f), evidence: f.evidence })),
      way: wayOf(lot, now, undefined, habits).map(({ open: _open, ...step }) => step)
    }
  })
  const sittings = sittingsOf(asked).map(({ code, tasks, lotIds, minutes }) => ({ code, lotIds, minutes, tasks: tasks.map((t) => t.code) }))
  return { lots, sittings, leftOut: file.entries.length - entries.length }
}
