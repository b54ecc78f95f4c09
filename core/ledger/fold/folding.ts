import type { BlockState, CellarState, LedgerProblem, LotState, Stock, VesselState } from '../state'

/**
 * A cellar that is being folded on. What is written to is copied first, once; all else is shared with the state it began from,
 * which stays as it was. So states are kept as checkpoints, and an entry costs what it touches.
 */
export class Folding {
  readonly cellar: CellarState
  private readonly copied = new Set<object>()

  constructor(from: CellarState) {
    this.cellar = {
      lots: new Map(from.lots),
      vessels: new Map(from.vessels),
      instruments: new Map(from.instruments),
      blocks: new Map(from.blocks),
      arrivals: new Map(from.arrivals),
      plans: new Map(from.plans),
      stock: new Map(from.stock),
      cards: from.cards,
      equipment: from.equipment,
      ownErrors: from.ownErrors,
      starts: from.starts,
      problems: [...from.problems]
    }
  }

  /** A lot to write to. */
  lot(id: string): LotState | undefined {
    return this.own(this.cellar.lots, id, (lot) => ({
      ...lot,
      contents: new Map(lot.contents),
      others: { ...lot.others },
      series: copyOfSeries(lot.series)
    }))
  }

  vessel(id: string): VesselState | undefined {
    return this.own(this.cellar.vessels, id, (vessel) => ({ ...vessel }))
  }

  block(id: string): BlockState | undefined {
    return this.own(this.cellar.blocks, id, (block) => ({ ...block, samples: [...block.samples], notes: [...block.notes] }))
  }

  stock(material: string): Stock | undefined {
    return this.own(this.cellar.stock, material, (stock) => ({ ...stock, packages: stock.packages.map((p) => ({ ...p })) }))
  }

  /** Something new: it is the folding's own. */
  put<V extends object>(map: Map<string, V>, id: string, value: V): V {
    map.set(id, value)
    this.copied.add(value)
    return value
  }

  problem(problem: LedgerProblem): void {
    this.cellar.problems.push(problem)
  }

  private own<V extends object>(map: Map<string, V>, id: string, copy: (value: V) => V): V | undefined {
    const value = map.get(id)
    return value === undefined || this.copied.has(value) ? value : this.put(map, id, copy(value))
  }
}

const copyOfSeries = (series: LotState['series']): LotState['series'] =>
  Object.fromEntries(Object.entries(series).map(([quantity, points]) => [quantity, [...points]]))
