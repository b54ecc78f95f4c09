import type { Action, Finding, Urgency } from '../../findings'
import { type LotView, isHeld, isMust } from '../../ledger'
import { HOUR, type Stage, hoursSince } from '../stage'
import { type CorrectPhase, type CrushStep, type CrushStepCode, crushSteps } from './crush-steps'
import { type Judgement, judgeLot } from './judge'

export type MustSays =
  | { code: 'measure-must', missing: ('sugar' | 'ph' | 'ta')[] }
  | { code: 'sulphite-must' }
  | { code: 'correct-must', phase: CorrectPhase }
  | { code: 'crush-step', step: CrushStepCode }
  | { code: 'clock', step: CrushStepCode, hoursLeft: number }
  | { code: 'wait-for-yeast', hoursLeft: number }
  | { code: 'pitch', hoursSince: number }
  /** Outside its usual window. */
  | { code: 'judged', judgement: Judgement }
  | { code: 'as-usual', judgements: readonly Judgement[] }
  | { code: 'ferments-by-itself', fell: number }

type MustFinding = Finding<MustSays>

/** Minutes that each step usually takes at home: common practice, no source. */
const MINUTES: Partial<Record<CrushStepCode, number>> = {
  'first-sulphite': 10,
  measure: 20,
  correct: 15,
  pitch: 60,
  settle: 5,
  'cold-soak': 5,
  thaw: 5,
  'heat-fruit': 90,
  enzyme: 5,
  'true-volume': 5,
  'water-kit': 20,
  packets: 10
}

/** From arrival to yeast. */
export const mustStage: Stage<MustSays> = {
  code: 'must',
  appliesTo: (lot) => isMust(lot) && isHeld(lot),
  tasks(lot, _cellar, now) {
    const steps = crushSteps(lot, now)
    const next = steps.find((s) => s.status === 'now')
    const clocks = steps
      .filter((s) => !s.optional && (s.status === 'running' || s.status === 'waiting') && s.opensAt)
      .sort((a, b) => (a.opensAt! < b.opensAt! ? -1 : 1))
    return [...(next ? [taskOf(next, lot, now)] : []), ...clocks.map((step) => clockOf(step, lot, now))]
  },
  findings(lot, cellar) {
    const judged = judgeLot(lot)
    const asUsual = judged.filter((j) => j.verdict === 'within')
    const about = { urgency: 'note', task: false, lotId: lot.id } as const
    const evidence = (of: readonly Judgement[]) => of.flatMap(({ quantity }) => lot[quantity === 'brix' ? 'sg' : quantity]?.from ?? [])
    const said: MustFinding[] = [
      ...judged
        .filter((j) => j.verdict !== 'within')
        .map((judgement): MustFinding => ({
          code: 'judged',
          judgement,
          key: `judged:${judgement.quantity}:${judgement.verdict}`,
          evidence: evidence([judgement]),
          ...about
        })),
      ...(asUsual.length > 0
        ? [{
            code: 'as-usual' as const,
            judgements: asUsual,
            key: `as-usual:${asUsual.map((j) => j.quantity).join()}`,
            evidence: evidence(asUsual),
            ...about
          }]
        : [])
    ]
    const byItself = cellar.problems.findLast((p) => p.code === 'ferments-by-itself' && p.lotId === lot.id)
    if (byItself?.code !== 'ferments-by-itself') return said
    return [
      {
        code: 'ferments-by-itself',
        fell: byItself.fell,
        key: `by-itself:${byItself.entryId}`,
        urgency: 'soon',
        task: false,
        lotId: lot.id,
        evidence: [byItself.entryId],
        action: { to: 'lot', lotId: lot.id, log: 'stage' }
      },
      ...said
    ]
  }
}

function taskOf(step: CrushStep, lot: LotView, now: string): MustFinding {
  const about = {
    urgency: 'now' as Urgency,
    task: true,
    lotId: lot.id,
    evidence: [],
    ...(MINUTES[step.code] && { minutes: MINUTES[step.code]! })
  }
  const at = (action: Action) => ({ ...about, action })
  const crush: Action = { to: 'crush', lotId: lot.id }
  switch (step.code) {
    case 'measure':
      return { code: 'measure-must', key: 'measure-must', missing: step.missing ?? [], ...at({ to: 'measure', lotId: lot.id }) }
    case 'first-sulphite':
      return { code: 'sulphite-must', key: 'sulphite-must', ...at(crush), window: { due: lot.startedAt } }
    case 'correct':
      return { code: 'correct-must', key: 'correct-must', phase: step.phase ?? 'plan', ...at(crush) }
    case 'pitch':
      return {
        code: 'pitch',
        key: 'pitch',
        hoursSince: lot.lastSulphiteAt ? hoursSince(lot.lastSulphiteAt, now) : 0,
        ...at(crush),
        ...(step.opensAt && { window: { from: step.opensAt, due: step.opensAt, ...(step.closesAt && { late: step.closesAt }) } })
      }
    default:
      return { code: 'crush-step', key: `crush-step:${step.code}`, step: step.code, ...at(crush) }
  }
}

/** What waits for a clock: it asks for nothing until then. */
function clockOf(step: CrushStep, lot: LotView, now: string): MustFinding {
  const hoursLeft = (Date.parse(step.opensAt!) - Date.parse(now)) / HOUR
  const about = {
    urgency: 'wait' as const,
    task: true,
    lotId: lot.id,
    evidence: [],
    action: { to: 'crush' as const, lotId: lot.id },
    window: { from: step.opensAt!, due: step.opensAt!, ...(step.closesAt && { late: step.closesAt }) }
  }
  return step.code === 'pitch'
    ? { code: 'wait-for-yeast', key: 'wait-for-yeast', hoursLeft, ...about }
    : { code: 'clock', key: `clock:${step.code}`, step: step.code, hoursLeft, ...about }
}
