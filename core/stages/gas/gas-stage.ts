import type { Finding } from '../../findings'
import { type Clarity, type Gas, type LotView, drynessOf, isHeld, isWine } from '../../ledger'
import { isOnSkins } from '../skins'
import { type Stage, hoursSince, later } from '../stage'

export type GasSays =
  /** Nobody knows whether there is gas in it, and something hangs on it. */
  | { code: 'shake-for-gas', because: 'kit' | 'haze' | 'stirred' }
  | { code: 'degas', gas: Exclude<Gas, 'none'> }

/** Gas goes by itself within months in a cellar: common practice, no source, h. */
const FOR_H = 26 * 168
/** What was shaken so long ago tells no more: common practice, no source, h. */
const TELLS_H = 4 * 168
/** So long after racking haze may still be gas that holds it up, h. */
const HAZE_FROM_H = 4 * 168
const HAZY: readonly Clarity[] = ['cloudy', 'hazy']

/**
 * Gas of the ferment in a wine: it holds haze up and falsifies gravity, TA and pH (craft 3.11). Asked about where something hangs on it: a
 * kit before its clearing packets, a wine that will not clear, one that was stirred. Stands beside what else it asks for.
 */
export const gasStage: Stage<GasSays> = {
  code: 'gas',
  beside: true,
  appliesTo: (lot) => isHeld(lot) && isWine(lot) && lot.stream !== 'test' && !isOnSkins(lot) && drynessOf(lot)?.proven === true,
  tasks(lot, _cellar, now): Finding<GasSays>[] {
    const dry = drynessOf(lot)!.first
    if (hoursSince(dry, now) > FOR_H) return []
    const about = { task: true, lotId: lot.id, urgency: 'soon', minutes: 5 } as const
    const stirred = lot.worked.get('degas')?.at
    const known = lot.gas && hoursSince(lot.gas.at, now) <= TELLS_H ? lot.gas : undefined
    if (known && known.is !== 'none' && !(stirred && stirred > known.at))
      return [
        {
          code: 'degas',
          key: `degas:${known.entryId}`,
          gas: known.is,
          evidence: [known.entryId],
          window: { due: later(known.at, 168) },
          ...about,
          minutes: 15,
          action: { to: 'lot', lotId: lot.id, log: 'operation', what: 'degas' }
        }
      ]
    const because = asks(lot, stirred, known?.at, now)
    return because
      ? [{
          code: 'shake-for-gas',
          key: `shake-for-gas:${because}`,
          because,
          evidence: lot.gas ? [lot.gas.entryId] : [],
          ...about,
          action: { to: 'lot', lotId: lot.id, log: 'note', what: 'gas' }
        }]
      : []
  },
  findings: () => []
}

/** Why gas matters now, when nobody has looked since. */
function asks(lot: LotView, stirred: string | undefined, looked: string | undefined, now: string): 'kit' | 'haze' | 'stirred' | undefined {
  if (stirred && !(looked && looked >= stirred) && hoursSince(stirred, now) <= TELLS_H) return 'stirred'
  if (looked) return undefined
  if (lot.stream === 'kit') return 'kit'
  const { clarity, rackedAt } = lot
  const hazy = clarity && rackedAt && clarity.at > rackedAt && hoursSince(rackedAt, clarity.at) >= HAZE_FROM_H && HAZY.includes(clarity.is)
  return hazy && hoursSince(clarity.at, now) <= TELLS_H ? 'haze' : undefined
}
