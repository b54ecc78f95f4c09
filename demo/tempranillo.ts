import type { Ago } from './put'

/** This morning's fruit: crushed and measured, and nothing in it yet. */
export function tempranillo(ago: Ago, vintage: number): void {
  const lotId = 'lot-tempranillo'
  ago(2.2, {
    type: 'lot-started',
    lotId,
    name: 'Tempranillo',
    stream: 'fresh',
    style: 'red',
    varieties: [{ name: 'Tempranillo', share: 1 }],
    vintage,
    origin: 'Upper rows',
    massKg: 118,
    volumeL: 76.7,
    volumeIs: 'expected',
    vesselId: 'vessel-blue-bin'
  })
  ago(1.5, { type: 'reading', lotId, quantity: 'brix', typed: '24.6', value: 24.6, sampleC: 17, instrumentId: 'inst-hydrometer' })
  ago(1.4, { type: 'reading', lotId, quantity: 'ph', typed: '3.71', value: 3.71, instrumentId: 'inst-ph-meter' })
  ago(1.3, {
    type: 'reading',
    lotId,
    quantity: 'ta',
    typed: '7.3 mL',
    value: 5.478,
    titration: { sampleMl: 10, titrantMl: 7.3, normality: 0.1, stepMl: 0.1 }
  })
}
