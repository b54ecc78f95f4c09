import { pressDay } from '../../fermentation'
import type { Finding } from '../../findings'
import { DRY_PROOF_H, type LotView, drynessOf, fitsDry, isFermenting, isHeld, isWine, standsOf } from '../../ledger'
import { goneOnSince } from '../gone-on'
import { stabilisersLeft } from '../packets'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'
import { fermentStart } from './ask'
import { daily } from './daily'
import { pressAsk } from './gone'
import type { FermentSays } from './says'
import { standstill } from './standstill'
import { goneWrong } from './wrong'

type Task = Finding<FermentSays>

/** From the yeast to a wine that is known to be dry. */
export const fermentStage: Stage<FermentSays> = {
  code: 'ferment',
  appliesTo: (lot) =>
    isHeld(lot) && (isFermenting(lot) || needsProof(lot) !== undefined || leftAlone(lot) || waitsForPress(lot)),
  tasks(lot, cellar, now): Task[] {
    const about = { task: true, lotId: lot.id, evidence: lot.sg?.from ?? [] } as const
    const measure = { ...about, minutes: 5, action: { to: 'measure', lotId: lot.id, what: 'sg' } } as const
    if (leftAlone(lot)) {
      const days = hoursSince(lot.series.sg?.at(-1)?.at ?? lot.startedAt, now) / 24
      return [{ code: 'left-alone', key: 'left-alone', days, urgency: 'soon', ...measure }]
    }
    const press = isFermenting(lot) || waitsForPress(lot) ? pressing(lot, now) : []
    const unclear = lot.alcoholic === 'dry' && !drynessOf(lot) && needsProof(lot) !== undefined
    const decision = isFermenting(lot) || unclear ? standstill(lot, cellar, now) : []
    const proof = decision.length > 0 ? [] : proofOf(lot, now).map((task): Task => ({ ...task, ...measure }))
    // A ferment that has come to a stand is not read every day while it is decided what to do.
    const day = isFermenting(lot) ? daily(lot, cellar, now).filter((t) => decision.length === 0 || t.code !== 'read-ferment') : []
    return [...decision, ...proof, ...day, ...press]
  },
  findings: goneWrong
}

/** A second look at a gravity that is dry by one. */
type Proof = Pick<Task & { code: 'confirm-dryness' }, 'code' | 'key' | 'hoursLeft' | 'urgency' | 'window'>
function proofOf(lot: LotView, now: string): Proof[] {
  const dryAt = needsProof(lot)
  if (dryAt === undefined) return []
  const hoursLeft = DRY_PROOF_H - hoursSince(dryAt, now)
  const from = later(dryAt, DRY_PROOF_H)
  return [
    {
      code: 'confirm-dryness',
      key: 'confirm-dryness',
      hoursLeft: Math.max(0, hoursLeft),
      urgency: hoursLeft > 0 ? 'wait' : 'soon',
      window: { from, due: from, late: later(from, 5 * 24) }
    }
  ]
}

/** When a red is to be pressed, by its method; and in any case once nothing more is to be waited for. */
function pressing(lot: LotView, now: string): Task[] {
  if (!isOnSkins(lot) || !lot.sg || lot.volume.value < 1) return []
  const day = pressDay(pressAsk(lot, now))
  const because = day.findings.find((f) => f.code === 'press-now')?.because
  if (!because) return []
  return [
    {
      code: 'press',
      key: 'press',
      because,
      urgency: 'soon',
      task: true,
      lotId: lot.id,
      evidence: lot.sg.from,
      minutes: 120,
      action: { to: 'press', lotId: lot.id },
      waysOut: [
        { code: 'press-now', action: { to: 'press', lotId: lot.id } },
        { code: 'go-on-skins', drafts: [{ type: 'lot-planned', lotId: lot.id, press: 'extended' }], days: 7 }
      ]
    }
  ]
}

/** A red that nobody entered the pressing of is not asked for it for ever, days. */
const ASKED_FOR_DAYS = 40

/** Dry and still on its skins; what was gone on with since has been pressed, said or not. */
function waitsForPress(lot: LotView): boolean {
  if (!isWine(lot) || !isOnSkins(lot) || fermentStart(lot) === undefined) return false
  const over = drynessOf(lot)?.first ?? lot.series.sg?.at(-1)?.at
  return over !== undefined && !goneOnSince(lot, over) && hoursSince(over, lot.asOf) < ASKED_FOR_DAYS * 24
}

/** It was fermenting when it was last looked at, and that is long ago. */
const leftAlone = (lot: LotView): boolean =>
  lot.alcoholic === 'stopped' &&
  lot.wineSince === undefined &&
  lot.sg !== undefined &&
  fitsDry(lot, lot.series.sg!.at(-1)?.value ?? lot.sg.value) !== 'dry' &&
  !goneOnSince(lot, lot.series.sg?.at(-1)?.at ?? lot.startedAt) &&
  lot.endedTasks.get('left-alone')?.outcome !== 'done'

/** Since when it stands dry, while a second reading is wanting and nobody has gone on already. */
function needsProof(lot: LotView): string | undefined {
  if (lot.alcoholic !== 'dry') return undefined
  const dryness = drynessOf(lot)
  // What a kit brings to stabilise it waits for this proof, whatever else was done.
  const goneOn = dryness && goneOnSince(lot, dryness.first) && stabilisersLeft(lot).length === 0
  if (dryness) return dryness.proven || goneOn ? undefined : dryness.since
  return readHigherSince(lot)
}

/** Dry by one look, and higher by a later one: it is neither, until its gravity stands or somebody has gone on. */
function readHigherSince(lot: LotView): string | undefined {
  const last = lot.series.sg?.at(-1)
  if (!last || fermentStart(lot) === undefined || goneOnSince(lot, last.at)) return undefined
  return standsOf(lot)?.since ?? last.at
}
