/** A package in the store, less what has gone into the lots. */
export interface Package {
  id: string
  amount: number
  left: number
  stockedAt: string
  opened?: string
  expires?: string
  note?: string
  /** Paid for all of it. */
  price?: number
}

export interface Stock {
  material: string
  unit: 'g' | 'mL' | 'pieces'
  packages: Package[]
  /** What went into lots beyond all that was in store: something was not noted. */
  unaccounted: number
}
