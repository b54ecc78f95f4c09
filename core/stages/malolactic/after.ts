import type { LotView } from '../../ledger'
import { LEAST_FREE } from '../../sulphite'
import { type CellarView, hoursSince, later } from '../stage'
import { doseFor } from '../sulphite-dose'
import { malolacticEndedAt } from './of-lot'
import type { Says } from './ways'

/** Sulphite goes in within days of the end, h: craft 3.9. */
const AFTER_H = { due: 3 * 24, late: 10 * 24 } as const

/** Over, and not sulphited since; not of those who keep it without. */
export function unprotected(lot: LotView): boolean {
  const ended = malolacticEndedAt(lot)
  if (ended === undefined || lot.plan.sulphite === 'none') return false
  const known = lot.freeSo2?.origin === 'measured' && lot.freeSo2.at > ended ? lot.freeSo2.value : 0
  return !(lot.lastSulphiteAt !== undefined && lot.lastSulphiteAt > ended) && known < LEAST_FREE
}

export function sulphiteAfter(lot: LotView, cellar: CellarView, now: string): Says {
  const ended = malolacticEndedAt(lot)!
  const hours = hoursSince(ended, now)
  const measured = (lot.ph?.origin === 'measured' && lot.ph.at >= ended) || cellar.equipment?.['ph-meter'] === false
  const dose = doseFor(lot, 'next-round')
  return {
    code: 'sulphite-after-malolactic',
    key: 'sulphite-after-malolactic',
    daysSince: hours / 24,
    ...(lot.ph && { ph: lot.ph.value }),
    phMeasured: measured,
    urgency: hours > AFTER_H.due ? 'now' : 'soon',
    window: { due: later(ended, AFTER_H.due), late: later(ended, AFTER_H.late) },
    task: true,
    lotId: lot.id,
    minutes: 20,
    evidence: lot.others.malic?.from ?? [],
    ...(dose.grams > 0 && { amounts: [{ material: 'potassium-metabisulphite', amount: dose.grams, unit: 'g' as const }] }),
    // With its new pH the dose is exact; a wine that lies open for days is dosed by the old one rather than not at all.
    action: measured || hours > AFTER_H.due
      ? { to: 'sulphite', lotId: lot.id, aim: 'next-round' }
      : { to: 'measure', lotId: lot.id, what: 'ph' }
  }
}
