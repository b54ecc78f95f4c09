import type { Put } from './put'

/** A kit at work in a pail. */
export function barbera(put: Put): void {
  const lotId = 'lot-barbera-kit'
  put(7, 15, {
    type: 'lot-started',
    lotId,
    name: 'Barbera kit',
    stream: 'kit',
    style: 'red',
    varieties: [{ name: 'Barbera', share: 1 }],
    volumeL: 23,
    volumeIs: 'measured',
    vesselId: 'vessel-white-pail',
    kit: {
      targetSg: 1.082,
      packets: [
        { name: 'Bentonite', step: 'before-yeast' },
        { name: 'Yeast', step: 'yeast' },
        { name: 'Oak', step: 'ferment', day: 6 },
        { name: 'Sulphite and sorbate', step: 'stabilise', day: 14 },
        { name: 'Finings', step: 'clear' }
      ]
    }
  })
  put(7, 15, { type: 'reading', lotId, quantity: 'sg', typed: '1.082', value: 1.082, sampleC: 22, instrumentId: 'inst-hydrometer' })
  put(7, 15, { type: 'reading', lotId, quantity: 'ph', typed: '3.44', value: 3.44, instrumentId: 'inst-ph-meter' })
  put(7, 16, { type: 'task-ended', lotId, task: 'packet:0', outcome: 'done', note: 'Bentonite' })
  put(7, 16, { type: 'inoculation', lotId, organism: 'yeast', culture: 'Yeast of the kit', grams: 5 })
  for (const [day, sg, celsius] of [
    [5, 1.066, 23],
    [4, 1.049, 24],
    [2, 1.021, 23]
  ] as const) {
    put(day, 19, {
      type: 'reading',
      lotId,
      quantity: 'sg',
      typed: sg.toFixed(3),
      value: sg,
      sampleC: celsius,
      instrumentId: 'inst-hydrometer'
    })
    put(day, 19, { type: 'reading', lotId, quantity: 'temperature', typed: String(celsius), value: celsius })
  }
  put(2, 19, { type: 'observation', lotId, what: 'smell', text: 'Bread and plums, nothing wrong.' })
}
