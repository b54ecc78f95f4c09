import type { Ago } from './put'

/** Daily looks at a ferment: hours ago, gravity, temperature. */
export function looks(ago: Ago, lotId: string, rows: readonly (readonly [hoursAgo: number, sg: number, celsius: number])[]): void {
  for (const [hours, sg, celsius] of rows) {
    ago(hours, {
      type: 'reading',
      lotId,
      quantity: 'sg',
      typed: sg.toFixed(3),
      value: sg,
      sampleC: celsius,
      instrumentId: 'inst-hydrometer'
    })
    ago(hours - 0.02, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
  }
}

/** What a must is measured for, in one go: its sugar by hydrometer, pH, TA. */
export function measured(
  ago: Ago,
  hours: number,
  lotId: string,
  [quantity, typed, sampleC]: readonly ['sg' | 'brix', string, number],
  ph: number,
  ta: number
): void {
  ago(hours, { type: 'reading', lotId, quantity, typed, value: Number(typed), sampleC, instrumentId: 'inst-hydrometer' })
  ago(hours, { type: 'reading', lotId, quantity: 'ph', typed: String(ph), value: ph, instrumentId: 'inst-ph-meter' })
  ago(hours, { type: 'reading', lotId, quantity: 'ta', typed: String(ta), value: ta })
}

/** Potassium metabisulphite as it went in, g. */
export function sulphited(ago: Ago, hours: number, lotId: string, actual: number, planned = actual, purpose = 'first sulphite'): void {
  ago(hours, { type: 'addition', lotId, material: 'potassium-metabisulphite', unit: 'g', planned, actual, so2Share: 0.576, purpose })
}
