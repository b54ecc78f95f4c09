import { expectedAt } from './expected'
import { addition } from '../../drafts'
import type { Finding } from '../../findings'
import type { LotView } from '../../ledger'
import { isOnSkins } from '../skins'
import { type CellarView, hoursSince, later } from '../stage'
import { fermentStart } from './ask'
import { nextFeed } from './feeding'
import { goneShare } from './gone'
import type { FermentSays } from './says'
import { nextSugarStep } from './sugar-steps'

type Task = Finding<FermentSays>

/** A ferment is looked at daily, morning or evening: common practice (craft 3.7). */
const READ_AGAIN_H = 14.4
/** A cap is worked two or three times a day, craft 3.7: once is due again after so many hours, and late after a day. */
const CAP_H = { again: 8, due: 12, late: 24 } as const
/** A white is stirred once a day, craft 3.7. */
const STIR_H = { again: 20, late: 48 } as const
/** Little gas is left to keep the air off after so much of the sugar is gone: the lid stays on. Ours. */
const STIR_UNTIL = 0.9
/** As a kitchen scale weighs it: to a tenth of a gram below ten, to a gram above. */
const weighed = (grams: number): number => (grams < 10 ? Math.max(0.1, Math.round(grams * 10) / 10) : Math.round(grams))
/** Until the yeast has raised a cap, h. */
const CAP_RISES_H = 20

/** What a ferment asks for from day to day: a look, its nutrient, its cap. */
export function daily(lot: LotView, cellar: CellarView, now: string): Task[] {
  const known = cellar.forecasts?.get(lot.id)
  const about = { task: true, lotId: lot.id, evidence: lot.sg?.from ?? [] } as const
  // Read today: it asks again tomorrow, and a reading in the evening does not push the next morning's away.
  const last = lot.sg?.at ?? lot.startedAt
  const hours = hoursSince(last, now)
  const expected = expectedAt(known, now)
  const tasks: Task[] = [
    {
      code: 'read-ferment',
      key: 'read-ferment',
      againH: READ_AGAIN_H,
      daysSince: hours / 24,
      // A ferment does not rise: what was read last is the most that is expected.
      ...(expected && { expectedSg: Math.min(expected.mid, lot.sg?.value ?? expected.mid) }),
      urgency: hours >= READ_AGAIN_H ? 'now' : 'wait',
      window: { from: later(last, READ_AGAIN_H), due: later(last, 24), late: later(last, 48) },
      ...about,
      minutes: 5,
      action: { to: 'round', lotId: lot.id }
    }
  ]
  const feed = nextFeed(lot, cellar.cards, now, known)
  if (feed && hoursSince(feed.from, now) > -24) {
    const { part, from, due, late } = feed
    const gifts = feed.gifts.map((gift) => ({ ...gift, grams: weighed(gift.grams) }))
    tasks.push({
      code: 'feed',
      key: `feed:${part}`,
      part,
      gifts,
      amounts: gifts.map(({ nutrient, grams }) => ({ material: nutrient, amount: grams, unit: 'g' as const })),
      hoursLeft: Math.max(0, -hoursSince(from, now)),
      // The dose follows the reading: what is due to be read is read first.
      urgency: now < from ? 'wait' : now > due && hours < READ_AGAIN_H ? 'now' : 'soon',
      window: { from, due, late },
      ...about,
      minutes: 10,
      logs: gifts.map(({ nutrient, grams }) =>
        addition({ lotId: lot.id, material: nutrient, planned: grams, actual: grams }, cellar.cards)),
      // Opened with what is meant: a form that opens on another powder is one tap from a wrong one.
      action: {
        to: 'lot',
        lotId: lot.id,
        log: 'addition',
        ...(gifts[0] && { what: gifts[0].nutrient, amount: gifts[0].grams })
      }
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
      againH: CAP_H.again,
      hoursSince: since,
      urgency: since >= CAP_H.late ? 'now' : since >= CAP_H.again ? 'soon' : 'wait',
      window: { from: later(worked, CAP_H.again), due: later(worked, CAP_H.due), late: later(worked, CAP_H.late) },
      ...about,
      minutes: 10,
      logs: [{ type: 'operation', lotId: lot.id, what: 'punch-down' }],
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
  if (isOnSkins(lot) || ['kit', 'test'].includes(lot.stream) || !startAt || gone >= STIR_UNTIL) return []
  const stirred = [lot.worked.get('stir')?.at, later(startAt, CAP_RISES_H - STIR_H.again)].filter((at) => at !== undefined).sort().at(-1)!
  const since = hoursSince(stirred, now)
  return [
    {
      code: 'stir-must',
      key: 'stir-must',
      againH: STIR_H.again,
      hoursSince: since,
      urgency: since >= STIR_H.again ? 'soon' : 'wait',
      window: { from: later(stirred, STIR_H.again), due: later(stirred, 24), late: later(stirred, STIR_H.late) },
      task: true,
      lotId: lot.id,
      evidence: lot.sg?.from ?? [],
      minutes: 5,
      logs: [{ type: 'operation', lotId: lot.id, what: 'stir' }],
      action: { to: 'round', lotId: lot.id }
    }
  ]
}
