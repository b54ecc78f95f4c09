import type { Action, Amount, Finding, Urgency, WayOut } from '../../findings'
import { type LotView, isHeld, isMust } from '../../ledger'
import { materialKey } from '../../materials'
import { CLOCKS, FIRST_STAGE, clockAt } from '../../must'
import { HOUR, type Stage, hoursSince } from '../stage'
import { correctionOf } from './correction-of-lot'
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
  /** It soaks or settles, and is too warm for that: what is in it wakes. */
  | { code: 'soak-warm', what: 'settle' | 'cold-soak', celsius: number, max: number }

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
  'came-sulphited': 2,
  'rack-solids': 30,
  'true-volume': 5,
  'water-kit': 20,
  packets: 10
}

/** From arrival to yeast. */
export const mustStage: Stage<MustSays> = {
  code: 'must',
  appliesTo: (lot) => isMust(lot) && isHeld(lot),
  tasks(lot, cellar, now) {
    const steps = crushSteps(lot, now, cellar.equipment)
    const next = steps.find((s) => s.status === 'now')
    const clocks = steps
      .filter((s) => !s.optional && (s.status === 'running' || s.status === 'waiting') && s.opensAt)
      .sort((a, b) => (a.opensAt! < b.opensAt! ? -1 : 1))
    return [
      ...(next ? [taskOf(next, lot, now)] : []),
      ...pitchBeside(steps, lot, now),
      ...clocks.map((step) => clockOf(step, lot, now))
    ]
  },
  findings(lot, cellar, now) {
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
    said.push(...soakingWarm(lot, now))
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

/** A temperature speaks for so long, h. */
const WARMTH_H = 24
function soakingWarm(lot: LotView, now: string): MustFinding[] {
  const last = lot.temperature
  if (!last || hoursSince(last.at, now) > WARMTH_H) return []
  return (['settle', 'cold-soak'] as const).flatMap((what): MustFinding[] => {
    const begun = lot.worked.get(what)
    const max = CLOCKS[what].celsius!.max
    const running = begun && clockAt(what, begun.at, now).phase !== 'over' && last.at >= begun.at
    return running && last.value > max
      ? [{
          code: 'soak-warm',
          what,
          celsius: last.value,
          max,
          key: `soak-warm:${what}`,
          urgency: 'now',
          task: false,
          lotId: lot.id,
          evidence: last.from
        }]
      : []
  })
}

/** Spoilage does not wait for a titration: once its time has come the yeast stands beside what is only missing a figure. */
function pitchBeside(steps: readonly CrushStep[], lot: LotView, now: string): MustFinding[] {
  const [measure, pitch] = [steps.find((s) => s.code === 'measure'), steps.find((s) => s.code === 'pitch')]
  const waiting = measure?.status === 'now' && !measure.missing?.includes('sugar')
  if (!waiting || !pitch || pitch.status === 'done' || pitch.status === 'waiting'
    || hoursSince(lot.startedAt, now) < CANNOT_WAIT_H) return []
  return [taskOf(pitch, lot, now)]
}
/** Must that lies longer without yeast begins by itself, h: craft 3.5, common practice. */
const CANNOT_WAIT_H = 24

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
      return {
        code: 'measure-must',
        key: 'measure-must',
        missing: step.missing ?? [],
        ...at({ to: 'measure', lotId: lot.id }),
        waysRound: without(step.missing ?? [])
      }
    case 'first-sulphite':
      return { code: 'sulphite-must', key: 'sulphite-must', ...at(crush), window: { due: lot.startedAt } }
    case 'correct':
      return {
        code: 'correct-must',
        key: 'correct-must',
        phase: step.phase ?? 'plan',
        ...at({ to: step.phase === 'measure-again' ? 'measure' : 'correct', lotId: lot.id, crush: true }),
        ...(step.phase !== 'measure-again' && { amounts: nextAmounts(lot) })
      }
    case 'pitch':
      return {
        code: 'pitch',
        key: 'pitch',
        hoursSince: lot.lastSulphiteAt ? hoursSince(lot.lastSulphiteAt, now) : 0,
        // Yeast of a packet is made ready on a page of its own; wild yeast is only waited for.
        ...at(lot.plan.yeast === 'wild' ? crush : { to: 'yeast', lotId: lot.id }),
        ...(step.opensAt && { window: { from: step.opensAt, due: step.opensAt, ...(step.closesAt && { late: step.closesAt }) } })
      }
    case 'rack-solids':
      return { code: 'crush-step', key: 'crush-step:rack-solids', step: step.code, ...at({ to: 'move', lotId: lot.id, as: 'rack' }) }
    case 'water-kit':
      // Stirred in, it is measured before the rest of it goes in.
      return step.phase === 'measure-again'
        ? { code: 'measure-must', key: 'measure-must:watered', missing: ['sugar'], ...at({ to: 'measure', lotId: lot.id }) }
        : { code: 'crush-step', key: 'crush-step:water-kit', step: step.code, ...at(crush) }
    case 'came-sulphited':
      return { code: 'crush-step', step: step.code, ...at(crush), ...cameSulphited(lot) }
    default:
      return { code: 'crush-step', key: `crush-step:${step.code}`, step: step.code, ...at(crush) }
  }
}

/** What of the proposal goes in next: three quarters of it, or all that a second reading still asks for. */
const nextAmounts = (lot: LotView): Amount[] =>
  (correctionOf(lot)?.additions ?? []).map(({ material, total, unit }) => {
    const key = materialKey(material)
    return { material: key, amount: lot.staged.has(key) ? total : total * FIRST_STAGE, unit }
  })

/** Who has nothing to measure it by says so once, and is not held up by it again. */
const without = (missing: readonly ('sugar' | 'ph' | 'ta')[]): WayOut[] => [
  ...(missing.includes('ph') ? [{ code: 'no-ph-meter', drafts: [{ type: 'equipment-said', has: { 'ph-meter': false } }] } as const] : []),
  ...(missing.includes('ta') ? [{ code: 'no-acid-kit', drafts: [{ type: 'equipment-said', has: { 'acid-kit': false } }] } as const] : [])
]

/** What came from elsewhere may hold sulphite already: asked once. */
export function cameSulphited(lot: Pick<LotView, 'id'>) {
  const came = (sulphited: 'yes' | 'no' | 'unknown') => [{ type: 'lot-amended', lotId: lot.id, sulphited } as const]
  return {
    key: 'crush-step:came-sulphited',
    lotId: lot.id,
    waysOut: [
      { code: 'came-with', drafts: came('yes') },
      { code: 'came-without', drafts: came('no') },
      { code: 'not-known', drafts: came('unknown') }
    ] satisfies WayOut[]
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
