import { isFermenting } from '../../../ledger'
import type { LotView } from '../../../ledger'
import type { CellarView } from '../../stage'
import { doubts } from './doubts'
import { food, smells } from './food-and-smell'
import { pace } from './pace'
import { room, skins } from './room'
import type { Wrong, WrongSays } from './says'
import { warmth } from './warmth'

export type { WrongSays } from './says'
export { answeredSince } from './warmth'

/** Where there is more than the lot's own page to act on it. */
const LEADS: Partial<Record<WrongSays['code'], 'restart' | 'heat' | 'press' | 'round'>> = {
  'too-hot': 'heat',
  'too-cold': 'heat',
  'temperature-falls': 'heat',
  'temperature-rises': 'heat',
  'temperature-awaited': 'round',
  'skins-long': 'press'
}

/** What has gone wrong with a ferment, or will, each with what it rests on. */
export function goneWrong(lot: LotView, cellar: CellarView, now: string): Wrong[] {
  const known = cellar.forecasts?.get(lot.id)
  const fermenting = isFermenting(lot)
  return [
    ...(fermenting ? [...pace(lot, known), ...warmth(lot, cellar, now), ...food(lot, cellar), ...room(lot, cellar, known)] : []),
    ...(fermenting ? smells(lot, now, known) : []),
    ...doubts(lot, cellar, known),
    ...skins(lot, now)
  ].map(({ evidence, ...f }): Wrong =>
    ({ ...f, task: false, lotId: lot.id, evidence: evidence ?? [], action: { to: LEADS[f.code] ?? 'lot', lotId: lot.id } }))
}
