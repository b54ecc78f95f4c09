import type { Ago } from './put'

/** Daily looks at a ferment: hours ago, gravity, temperature. */
export function looks(ago: Ago, lotId: string, rows: readonly (readonly [hoursAgo: number, sg: number, celsius: number])[]): void {
  for (const [hours, sg, celsius] of rows) {
    ago(hours, { type: 'reading', lotId, quantity: 'sg', typed: sg.toFixed(3), value: sg, sampleC: celsius, instrumentId: 'inst-hydrometer' })
    ago(hours - 0.02, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
  }
}
