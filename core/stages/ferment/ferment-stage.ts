import { pressDay } from '../../fermentation'
import type { Finding } from '../../findings'
import { DRY_PROOF_H, DRY_SG, type LotView, drynessOf, isFermenting, isHeld } from '../../ledger'
import { type CellarView, type Stage, hoursSince, later } from '../stage'
import { fermentStart } from './ask'
import { type Feed, nextFeed } from './feeding'
import { nextSugarStep } from './sugar-steps'
import { type WrongSays, goneWrong } from './gone-wrong'
import { goneShare, isOnSkins, pressAsk } from './gone'

export type FermentSays =
  | { code: 'read-ferment', daysSince: number, expectedSg?: number }
  | { code: 'feed', part: 1 | 2, gifts: Feed['gifts'], hoursLeft: number }
  | { code: 'work-cap', hoursSince: number }
  /** What has no skins is stirred, so that its yeast does not sleep on the bottom. */
  | { code: 'stir-must', hoursSince: number }
  /** A part of the sugar that is fed in steps. */
  | { code: 'sugar-step', material: string, grams: number, part: number, of: number, atSg: number, ready: boolean }
  | { code: 'press', because: 'gravity' | 'days' | 'taste' }
  /** One dry reading is no proof. */
  | { code: 'confirm-dryness', hoursLeft: number }
  /** Nobody has looked for weeks: it is over one way or another. */
  | { code: 'left-alone', days: number }
  | WrongSays

type Task = Finding<FermentSays>

/** A ferment is looked at daily, morning or evening: common practice (craft 3.7). */
const READ_AGAIN_H = 14.4
/** A cap is worked two or three times a day, craft 3.7: once is due again after so many hours, and late after a day. */
const CAP_H = { again: 8, due: 12, late: 24 } as const
/** A white is stirred once a day, craft 3.7. */
const STIR_H = { again: 20, late: 48 } as const
/** Until the yeast has raised a cap, h. */
const CAP_RISES_H = 20

/** From the yeast to a wine that is known to be dry. */
export const fermentStage: Stage<FermentSays> = {
  code: 'ferment',
  appliesTo: (lot) => isHeld(lot) && (isFermenting(lot) || needsProof(lot) !== undefined || leftAlone(lot) || waitsForPress(lot)),
  tasks(lot, cellar, now): Task[] {
    const about = { task: true, lotId: lot.id, evidence: lot.sg?.from ?? [] } as const
    const measure = { ...about, minutes: 5, action: { to: 'measure', lotId: lot.id } } as const
    if (leftAlone(lot)) {
      const days = hoursSince(lot.series.sg?.at(-1)?.at ?? lot.startedAt, now) / 24
      return [{ code: 'left-alone', key: 'left-alone', days, urgency: 'soon', ...measure }]
    }
    const dryAt = needsProof(lot)
    const proof: Task[] = []
    if (dryAt !== undefined) {
      const hoursLeft = DRY_PROOF_H - hoursSince(dryAt, now)
      proof.push({
        code: 'confirm-dryness',
        key: 'confirm-dryness',
        hoursLeft: Math.max(0, hoursLeft),
        urgency: hoursLeft > 0 ? 'wait' : 'soon',
        window: { from: later(dryAt, DRY_PROOF_H), due: later(dryAt, DRY_PROOF_H) },
        ...measure
      })
    }
    const press = isFermenting(lot) || waitsForPress(lot) ? pressing(lot, now) : []
    return [...proof, ...(isFermenting(lot) ? daily(lot, cellar, now) : []), ...press]
  },
  findings: goneWrong
}

/** What a ferment asks for from day to day: a look, its nutrient, its cap. */
function daily(lot: LotView, cellar: CellarView, now: string): Task[] {
  const known = cellar.forecasts?.get(lot.id)
  const about = { task: true, lotId: lot.id, evidence: lot.sg?.from ?? [] } as const
  // Read today: it asks again tomorrow, and a reading in the evening does not push the next morning's away.
  const last = lot.sg?.at ?? lot.startedAt
  const hours = hoursSince(last, now)
  const expected = known?.forecast.expected.find((e) => e.hours >= hoursSince(known.startAt, now))
  const tasks: Task[] = [
    {
      code: 'read-ferment',
      key: 'read-ferment',
      daysSince: hours / 24,
      ...(expected && { expectedSg: expected.sg.mid }),
      urgency: hours >= READ_AGAIN_H ? 'now' : 'wait',
      window: { from: later(last, READ_AGAIN_H), due: later(last, 24), late: later(last, 48) },
      ...about,
      minutes: 5,
      action: { to: 'round', lotId: lot.id }
    }
  ]
  const feed = nextFeed(lot, cellar.cards, now, known)
  if (feed && hoursSince(feed.from, now) > -24) {
    const { part, gifts, from, due, late } = feed
    tasks.push({
      code: 'feed',
      key: `feed:${part}`,
      part,
      gifts,
      hoursLeft: Math.max(0, -hoursSince(from, now)),
      // The dose follows the reading: what is due to be read is read first.
      urgency: now < from ? 'wait' : now > due && hours < READ_AGAIN_H ? 'now' : 'soon',
      window: { from, due, late },
      ...about,
      minutes: 10,
      action: { to: 'lot', lotId: lot.id, log: 'addition' }
    })
  }
  tasks.push(...stirring(lot, now, goneShare(lot, known)))
  const startAt = fermentStart(lot)
  if (isOnSkins(lot) && startAt && goneShare(lot, known) < 0.98) {
    const worked = [lot.worked.get('punch-down')?.at, lot.worked.get('pump-over')?.at, later(startAt, CAP_RISES_H - CAP_H.again)]
      .filter((at) => at !== undefined)
      .sort()
      .at(-1)!
    const since = hoursSince(worked, now)
    tasks.push({
      code: 'work-cap',
      key: 'work-cap',
      hoursSince: since,
      urgency: since >= CAP_H.late ? 'now' : since >= CAP_H.again ? 'soon' : 'wait',
      window: { from: later(worked, CAP_H.again), due: later(worked, CAP_H.due), late: later(worked, CAP_H.late) },
      ...about,
      minutes: 10,
      action: { to: 'round', lotId: lot.id }
    })
  }
  const step = nextSugarStep(lot, known, now)
  if (step)
    tasks.push({
      code: 'sugar-step',
      key: `sugar-step:${step.part}`,
      ...step,
      urgency: step.ready ? 'soon' : 'wait',
      ...(step.due && { window: { due: step.due } }),
      ...about,
      minutes: 15,
      action: { to: 'feed', lotId: lot.id }
    })
  return tasks
}

/** Without skins and without a leaflet that says otherwise: stirred once a day while it works. */
function stirring(lot: LotView, now: string, gone: number): Task[] {
  const startAt = fermentStart(lot)
  if (isOnSkins(lot) || ['kit', 'test'].includes(lot.stream) || !startAt || gone >= 0.98) return []
  const stirred = [lot.worked.get('stir')?.at, later(startAt, CAP_RISES_H - STIR_H.again)].filter((at) => at !== undefined).sort().at(-1)!
  const since = hoursSince(stirred, now)
  return [
    {
      code: 'stir-must',
      key: 'stir-must',
      hoursSince: since,
      urgency: since >= STIR_H.again ? 'soon' : 'wait',
      window: { from: later(stirred, STIR_H.again), due: later(stirred, 24), late: later(stirred, STIR_H.late) },
      task: true,
      lotId: lot.id,
      evidence: lot.sg?.from ?? [],
      minutes: 5,
      action: { to: 'round', lotId: lot.id }
    }
  ]
}

/** When a red is to be pressed, by its school. */
function pressing(lot: LotView, now: string): Task[] {
  if (!isOnSkins(lot) || !lot.sg || lot.volume.value < 1) return []
  const day = pressDay(pressAsk(lot, now))
  const because = day.findings.find((f) => f.code === 'press-now')?.because
  return because
    ? [
        {
          code: 'press',
          key: 'press',
          because,
          urgency: 'soon',
          task: true,
          lotId: lot.id,
          evidence: lot.sg.from,
          minutes: 120,
          action: { to: 'press', lotId: lot.id }
        }
      ]
    : []
}

/** A red that nobody entered the pressing of is not asked for it for ever, days. */
const ASKED_FOR_DAYS = 40

/** Dry and still on its skins; what was gone on with since has been pressed, said or not. */
function waitsForPress(lot: LotView): boolean {
  const dryness = lot.alcoholic === 'dry' && isOnSkins(lot) && fermentStart(lot) !== undefined ? drynessOf(lot) : undefined
  return dryness !== undefined && !goneOnSince(lot, dryness.first) && hoursSince(dryness.first, lot.asOf) < ASKED_FOR_DAYS * 24
}

/** Somebody has sulphited it, or given it bacteria. */
const goneOnSince = (lot: LotView, at: string): boolean =>
  [lot.lastSulphiteAt, lot.freeSo2?.at, lot.bacteriaAt].some((then) => then !== undefined && then > at)

/** It was fermenting when it was last looked at, and that is long ago. */
const leftAlone = (lot: LotView): boolean =>
  lot.alcoholic === 'stopped' &&
  lot.series.sg !== undefined &&
  lot.series.sg.at(-1)!.value > DRY_SG &&
  !lot.bacteriaAt &&
  !lot.freeSo2?.value &&
  lot.plan.finish !== 'sweet' &&
  lot.endedTasks.get('left-alone')?.outcome !== 'done'

/** Since when it stands dry, while a second reading is wanting and nobody has gone on already. */
function needsProof(lot: LotView): string | undefined {
  if (lot.alcoholic !== 'dry') return undefined
  const dryness = drynessOf(lot)
  if (!dryness || dryness.proven) return undefined
  return goneOnSince(lot, dryness.first) ? undefined : dryness.since
}
