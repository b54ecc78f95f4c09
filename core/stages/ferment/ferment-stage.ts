import { pressDay } from '../../fermentation'
import type { Finding } from '../../findings'
import { DRY_PROOF_H, DRY_SG, type LotView, drynessOf, isFermenting, isHeld } from '../../ledger'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'
import { fermentStart } from './ask'
import { daily } from './daily'
import { pressAsk } from './gone'
import type { FermentSays } from './says'
import { goneWrong } from './wrong'

type Task = Finding<FermentSays>

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
