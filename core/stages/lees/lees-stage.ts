import { DAY_MS } from '../../units'
import type { Finding } from '../../findings'
import { type LotView, isHeld, isWine } from '../../ledger'
import { isOffLees, leesSince } from '../off-lees'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'

export type LeesSays =
  | { code: 'rack-gross-lees', hoursSince: number, pressed: boolean }
  | { code: 'stir-lees', weeksOn: number }
  | { code: 'lees-smell' }

/** Gross lees are left within one to three days, craft 3.8 and 3.10 (common practice). */
const GROSS_H = { from: 24, due: 72, late: 7 * 24 } as const
/** Fine lees are stirred weekly, for three months: common practice, no source. */
const STIRRED = { everyH: 7 * 24, forH: 12 * 7 * 24 } as const
const SMELT_H = 7 * 24

/** From its end until a wine is off its lees, or has had from the fine ones what they give. Stands beside malolactic and keeping. */
export const leesStage: Stage<LeesSays> = {
  code: 'lees',
  beside: true,
  appliesTo: (lot) =>
    isHeld(lot) && isWine(lot) && lot.stream !== 'test' && !isOnSkins(lot) && leesSince(lot) !== undefined,
  tasks(lot, _cellar, now): Finding<LeesSays>[] {
    const about = { task: true, lotId: lot.id, evidence: lot.sg?.from ?? [] } as const
    const ended = leesSince(lot)!
    const hours = hoursSince(ended, now)
    if (!isOffLees(lot)) {
      return [
        {
          code: 'rack-gross-lees',
          key: `rack-gross-lees:${Math.floor(Date.parse(ended) / DAY_MS)}`,
          hoursSince: hours,
          pressed: lot.pressedAt === ended,
          urgency: hours < GROSS_H.from ? 'wait' : hours < GROSS_H.late ? 'soon' : 'now',
          window: { from: later(ended, GROSS_H.from), due: later(ended, GROSS_H.due), late: later(ended, GROSS_H.late) },
          ...about,
          minutes: 45,
          action: { to: 'move', lotId: lot.id }
        }
      ]
    }
    // A wine that came from elsewhere was never racked here: it is stirred from when it came.
    const rackedAt = lot.rackedAt ?? lot.startedAt
    const onLees = hoursSince(rackedAt, now)
    if (lot.plan.lees !== 'fine' || onLees > STIRRED.forH || smellsOfLees(lot, now)) return []
    const stirred = [lot.worked.get('stir')?.at, rackedAt].filter((at) => at !== undefined).sort().at(-1)!
    const since = hoursSince(stirred, now)
    return [
      {
        code: 'stir-lees',
        key: 'stir-lees',
        againH: STIRRED.everyH,
        weeksOn: onLees / 168,
        urgency: since >= STIRRED.everyH ? 'soon' : 'wait',
        window: { from: later(stirred, STIRRED.everyH), due: later(stirred, STIRRED.everyH + 48) },
        ...about,
        minutes: 5,
        action: { to: 'lot', lotId: lot.id, log: 'operation', what: 'stir' }
      }
    ]
  },
  findings: (lot, _cellar, now) =>
    lot.plan.lees === 'fine' && smellsOfLees(lot, now)
      ? [
          {
            code: 'lees-smell',
            key: `lees-smell:${lot.smelt!.entryId}`,
            urgency: 'now',
            task: false,
            lotId: lot.id,
            evidence: [lot.smelt!.entryId],
            action: { to: 'move', lotId: lot.id }
          }
        ]
      : []
}

const smellsOfLees = (lot: LotView, now: string): boolean =>
  lot.smelt !== undefined && hoursSince(lot.smelt.at, now) <= SMELT_H && lot.smelt.smells.includes('rotten-egg')
