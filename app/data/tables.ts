import { type Entry, type LotView, type VesselState, standingFacts } from '~~/core/ledger'
import { csvOf } from './csv-rows'

// Tables for a spreadsheet, one a kind, with the unit in each heading.
const rounded = (value: number | undefined): number | '' => (value === undefined ? '' : Number(value.toPrecision(5)))
interface Names {
  lot: (id: string) => string
  vessel: (id: string | undefined) => string
  material: (key: string) => string
}

/** A row a lot: what it is, and its figures as they are now. */
export const lotsCsv = (lots: readonly LotView[]): Promise<string> =>
  csvOf(lots, (l) => [{
    lot: l.name,
    style: l.style,
    from: l.stream,
    vintage: l.vintage ?? '',
    started: l.startedAt,
    stage: l.standing,
    'volume (L)': rounded(l.volume.value),
    'bottles': l.bottles,
    'original gravity (SG)': rounded(l.originalSg?.value),
    'gravity (SG)': rounded(l.sg?.value),
    'alcohol (% vol)': rounded(l.abv?.value),
    'pH': rounded(l.ph?.value),
    'TA (g/L)': rounded(l.ta?.value),
    'free SO2 (mg/L)': rounded(l.freeSo2?.value),
    'cost': rounded(l.paid.money || undefined),
    'last rating (of 10)': l.tastings.at(-1)?.rating ?? '',
    id: l.id
  }])

/** A row for each thing that went in. */
export const additionsCsv = (entries: readonly Entry[], names: Names): Promise<string> =>
  csvOf(standingFacts(entries), ({ fact, struck }) =>
    struck || (fact.type !== 'addition' && fact.type !== 'inoculation')
      ? []
      : [{
          at: fact.at,
          lot: names.lot(fact.lotId),
          what: fact.type === 'addition' ? names.material(fact.material) : fact.culture,
          amount: fact.type === 'addition' ? fact.actual : (fact.grams ?? ''),
          unit: fact.type === 'addition' ? fact.unit : 'g',
          planned: fact.type === 'addition' ? (fact.planned ?? '') : '',
          purpose: fact.type === 'addition' ? (fact.purpose ?? '') : '',
          id: fact.id
        }])

/** A row for each move of wine: racking, pressing, topping up, blending. */
export const movesCsv = (entries: readonly Entry[], names: Names): Promise<string> =>
  csvOf(standingFacts(entries), ({ fact, struck }) =>
    struck || fact.type !== 'transfer'
      ? []
      : [{
          at: fact.at,
          purpose: fact.purpose,
          'from lot': names.lot(fact.from.lotId),
          'from vessel': names.vessel(fact.from.vesselId),
          'to lot': names.lot(fact.to.lotId),
          'to vessel': names.vessel(fact.to.vesselId),
          'out (L)': fact.outL,
          'arrived (L)': fact.inL,
          air: fact.air ?? '',
          id: fact.id
        }])

/** A row for each bottling, and each bottle that was taken. */
export const bottlesCsv = (entries: readonly Entry[], names: Names): Promise<string> =>
  csvOf(standingFacts(entries), ({ fact, struck }) => {
    if (struck) return []
    if (fact.type === 'bottling')
      return fact.bottles.map((b) => ({
        at: fact.at, lot: names.lot(fact.lotId), what: 'filled', 'size (mL)': b.sizeMl, bottles: b.count, closure: fact.closure ?? '',
        id: fact.id
      }))
    return fact.type === 'bottle-taken'
      ? [{
          at: fact.at, lot: names.lot(fact.lotId), what: fact.what, 'size (mL)': fact.sizeMl, bottles: -fact.count, closure: '',
          id: fact.id
        }]
      : []
  })

/** A row a vessel. */
export const vesselsCsv = (vessels: Iterable<VesselState>, lotName: (id: string) => string): Promise<string> =>
  csvOf([...vessels], (v) => [{
    'vessel': v.name,
    'kind': v.kind,
    'capacity (L)': v.capacityL,
    'lot': v.lotId ? lotName(v.lotId) : '',
    'holds (L)': rounded(v.litres),
    'id': v.id
  }])
