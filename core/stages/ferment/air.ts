import type { LotView, Point } from '../../ledger'
import { type CellarView, hoursSince } from '../stage'

/** The room changes within a day, h. */
const HOLDS_H = 24

/** How warm it is beside a lot's vessels, by the last reading of a day. */
export function airBeside(lot: Pick<LotView, 'contents'>, vessels: CellarView['vessels'], now: string): Point | undefined {
  return [...lot.contents.keys()]
    .flatMap((id) => vessels.get(id)?.air?.filter((p) => p.at <= now && hoursSince(p.at, now) <= HOLDS_H).at(-1) ?? [])
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1)
}
