import { isFermenting, standsOf, type LotView } from '../../../ledger'
import type { LotForecast } from '../../stage'
import { goneShare } from '../gone'
import type { Found } from './says'

/** Behind what is usual by less than this is within what musts differ, h. */
const SLOW_H = 30
/** So likely to stop sweet is worth a word. */
const MAY_STOP = 0.35

/** Likely stuck before it has stood for two days, slow, or likely to end sweet. One of them, the worst; what stands is a task. */
export function pace(lot: LotView, known?: LotForecast): Found[] {
  const sg = lot.series.sg ?? []
  const last = sg.at(-1)
  const standing = standsOf(lot)
  if (!known || !last || !isFermenting(lot) || (standing?.proven && standing.fits !== 'dry')) return []
  const evidence = sg.slice(-3).map((p) => p.entryId)
  const { forecast, usual } = known
  const said = forecast.findings.find((f) => f.code === 'stuck')
  if (said && 'probability' in said)
    return [{ code: 'may-be-stuck', key: 'may-be-stuck', sg: last.value, probability: said.probability, urgency: 'soon', evidence }]
  if (forecast.stopsSweet > MAY_STOP && sg.length > 1)
    return [{ code: 'may-stop-sweet', key: 'may-stop-sweet', probability: forecast.stopsSweet, urgency: 'soon', evidence }]
  const behind = (forecast.dry?.midHours ?? 0) - (usual.dry?.highHours ?? Infinity)
  return behind > SLOW_H && goneShare(lot, known) > 0.05
    ? [{ code: 'slow', key: 'slow', daysBehind: behind / 24, urgency: 'soon', evidence }]
    : []
}
