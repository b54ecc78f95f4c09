import { SOLUTES, soluteAt } from './solutes'
import type { LotState } from '../state'
import { restsOn } from '../rests-on'

/**
 * More volume without more of anything: shared over the vessels as they stand. What is dissolved stays the same in all and is
 * less in each litre. Sugar, alcohol and acids are thinned by their own balances.
 * @param litres that came in
 * @param by the entry that brought them
 */
export function dilute(lot: LotState, litres: number, by: { id: string, at: string }): void {
  const before = lot.volume.value
  if (!(before > 0) || litres <= 0) return
  const share = before / (before + litres)
  for (const [vesselId, held] of lot.contents) lot.contents.set(vesselId, held / share)
  lot.volume = { ...lot.volume, value: before + litres, at: by.at, from: restsOn(lot.volume.from, by.id) }
  for (const solute of SOLUTES) {
    const figure = soluteAt(solute, lot, by.at)
    if (figure)
      solute.set(lot, {
        ...figure,
        value: figure.value * share,
        uncertainty: figure.uncertainty * share,
        origin: 'estimated',
        at: by.at,
        from: restsOn(figure.from, by.id)
      })
  }
  lot.cameIn = [...lot.cameIn, { at: by.at, share, broughtMgPerL: 0, uncertainty: 0, wine: false }]
}
