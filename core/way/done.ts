import { type LotView, type WayStepCode, drynessOf } from '../ledger'
import { BOTTLE_L, malolacticEndedAt } from '../stages'

/** What was done, and when. */
export function doneAt(lot: LotView): Partial<Record<WayStepCode, string>> {
  const dry = drynessOf(lot)
  const racked = dry && lot.rackings.find((when) => when > (lot.pressedAt ?? dry.first))
  const ended = malolacticEndedAt(lot)
  const settledAt = ended ?? dry?.first
  const sulphited = settledAt && lot.sulphited.find((dose) => dose.at >= settledAt)?.at
  const clear = lot.clarity?.clearSince
  const tests = [lot.style === 'red' ? undefined : lot.heatTest?.at, lot.coldTest?.at ?? lot.worked.get('chill')?.at]
  const sugared = lot.changedSugarAt !== undefined && lot.wineSince !== undefined && lot.changedSugarAt > lot.wineSince
  const filled = lot.bottled.at(-1)?.at
  const over = lot.volume.value < BOTTLE_L ? filled : undefined
  return {
    ...(lot.inoculatedAt && { pitched: lot.inoculatedAt }),
    ...(dry?.proven && { dry: dry.since }),
    ...(lot.pressedAt && { pressed: lot.pressedAt }),
    ...(racked && { 'off-lees': racked }),
    ...(lot.malolactic === 'done' && { malolactic: ended ?? lot.asOf }),
    ...(sulphited && { sulphited }),
    ...(clear && { clear }),
    ...(tests.every((t) => t !== undefined || lot.style === 'red') && tests[1]
      && { stable: [...tests].filter((t) => t !== undefined).sort().at(-1)! }),
    ...(sugared && { sweetened: lot.changedSugarAt! }),
    ...(over && { bottled: over }),
    ...(over && lot.endedTasks.get('lay-down')?.outcome === 'done' && { 'laid-down': lot.endedTasks.get('lay-down')!.at }),
    ...(over && lot.tastings.some((t) => t.at > over) && { tasted: lot.tastings.at(-1)!.at })
  }
}
