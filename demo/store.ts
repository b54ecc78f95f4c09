import { type Put, dayFrom } from './put'

/** What stands in the store: acid runs short once the fruit that is still to come is counted. */
export function store(put: Put, now: Date): void {
  const pack = (n: number, material: string, amount: number,
    more: { opened?: string, expires?: string, price?: number, unit?: 'pieces' } = {}) =>
    put(60, 9, { type: 'supply-stocked', supplyId: `pack-demo-${n}`, material, unit: 'g', amount, ...more })
  pack(1, 'tartaric', 90, { opened: dayFrom(now, -50) })
  pack(2, 'potassium-metabisulphite', 100, { opened: dayFrom(now, -97) })
  pack(3, 'yeast', 50, { expires: dayFrom(now, 300) })
  pack(4, 'rehydration-nutrient', 60)
  pack(5, 'complex-nutrient', 250, { expires: dayFrom(now, 500) })
  pack(7, 'ammonium-phosphate', 100)
  pack(8, 'bottle-750', 42, { unit: 'pieces', price: 33.6 })
  pack(9, 'cork', 50, { unit: 'pieces', price: 11.5 })
  put(60, 10, { type: 'card-made', cardId: 'card-swing-flask', kind: 'bottle', name: 'swing-top flasks', sizeMl: 500, ratedBar: 6 })
  pack(6, 'pectic-enzyme', 10, { opened: dayFrom(now, -400), expires: dayFrom(now, -20) })
  put(2, 20, {
    type: 'arrival-expected',
    arrivalId: 'arrival-graciano',
    name: 'Graciano',
    stream: 'fresh',
    style: 'red',
    massKg: 64,
    on: dayFrom(now, 4)
  })
}
