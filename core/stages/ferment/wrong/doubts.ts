import { type LotView, isFermenting } from '../../../ledger'
import type { CellarView, LotForecast } from '../../stage'
import { doubtedReadings, doubtedTemperatures, doubtfulKey } from '../doubted'
import type { Found } from './says'

/** Readings that cannot all be right. */
export function doubts(lot: LotView, cellar: CellarView, known?: LotForecast): Found[] {
  const raw = cellar.problems.filter((p) => p.code === 'brix-in-ferment' && p.lotId === lot.id).at(-1)
  // A slip in the warmth of a wine that lies still changes nothing that it is told.
  const urgency = isFermenting(lot) ? 'soon' : 'note'
  const doubted = doubtedReadings(lot, known).map(
    ({ point, expectedSg }): Found => ({
      code: 'reading-doubtful',
      key: doubtfulKey(point.entryId),
      sg: point.value,
      expectedSg,
      urgency: 'soon',
      evidence: [point.entryId]
    })
  )
  return [
    ...(raw?.code === 'brix-in-ferment'
      ? [{
          code: 'brix-in-ferment' as const,
          key: `brix:${raw.entryId}`,
          brix: raw.brix,
          urgency: 'soon' as const,
          evidence: [raw.entryId]
        }]
      : []),
    ...doubted,
    ...floats(lot, cellar),
    ...doubtedTemperatures(lot).map(
      (p): Found => ({ code: 'temperature-doubtful', key: doubtfulKey(p.entryId), celsius: p.value, urgency, evidence: [p.entryId] })
    ),
    ...(known && !known.forecast.fits ? [{ code: 'fits-no-ferment' as const, key: 'fits-no-ferment', urgency: 'soon' as const }] : [])
  ]
}

/** Silence this long is more than a radio's mood, h. */
const SILENT_H = 12

/** What a followed float sent that was left out, or did not send. */
function floats(lot: LotView, cellar: CellarView): Found[] {
  const wrong = cellar.followed?.get(lot.id) ?? []
  if (wrong.length === 0 || !isFermenting(lot)) return []
  const silent = wrong.some((w) => w.code === 'gap' && w.hours >= SILENT_H)
  // Another kind of fault comes back after this one was seen and left.
  const kinds = [...new Set(wrong.map((w) => w.code))].sort().join('+')
  return [{ code: 'float-odd', key: `float-odd:${kinds}${silent ? ':silent' : ''}`, wrong, urgency: silent ? 'soon' : 'note' }]
}
