import { type AcidReadings, type Composition, applyChange, fitAcids, solveEquilibrium } from '../acids'
import { LimitError, within } from '../units'

/** A wine on the bench, and how much of it there is. */
export interface BlendSource {
  id: string
  availableL: number
  abv?: number
  ph?: number
  taGPerL?: number
  malicGPerL?: number
  sg?: number
}
export interface BlendWanted {
  volumeL: number
  abv?: number
  ph?: number
  taGPerL?: number
  sg?: number
}
export type BlendQuantity = 'abv' | 'ph' | 'taGPerL' | 'sg'

export interface BlendFound {
  parts: { id: string, litres: number }[]
  predicted: { volumeL: number } & Partial<Record<BlendQuantity, number>>
  /** What no mixture of these comes to, within what a measurement tells. */
  missed: { quantity: BlendQuantity, wanted: number, got: number }[]
}

/** What a measurement can tell apart; what is wanted is weighed by it. */
const TELLS: Record<BlendQuantity, number> = { abv: 0.1, ph: 0.02, taGPerL: 0.1, sg: 0.0005 }
const LIMITS: Record<BlendQuantity, readonly [number, number]> = { abv: [0, 22], ph: [2.5, 4.5], taGPerL: [2, 20], sg: [0.97, 1.22] }
const QUANTITIES = Object.keys(TELLS) as BlendQuantity[]
const MOST_PARTS = 8
/** A share is looked for to so much, and so many steps at each width. */
const [FINEST, STEPS] = [1e-4, 400] as const

/**
 * How much of each wine comes nearest to what is wanted: alcohol and gravity by volume, pH and TA by the acid equilibrium of the mixture.
 * A share is moved from one wine to another as long as that comes nearer, in ever smaller steps, from several beginnings.
 * @param sources 2 to 8 wines; one that does not say what is wanted cannot take part
 * @throws LimitError for less wine than is wanted, and for figures that cannot be
 */
export function blendTarget(sources: readonly BlendSource[], wanted: BlendWanted): BlendFound {
  within('parts', sources.length, 2, MOST_PARTS)
  const asked = QUANTITIES.filter((q) => wanted[q] !== undefined)
  for (const q of asked) within(q, wanted[q]!, ...LIMITS[q])
  for (const s of sources) {
    within('availableL', s.availableL, 0, 100_000)
    for (const q of QUANTITIES) if (s[q] !== undefined) within(q, s[q], ...LIMITS[q])
  }
  const volumeL = within('volumeL', wanted.volumeL, 0.001, 100_000)
  const predict = predictorOf(sources)
  for (const q of asked) if (!predict.knows.has(q)) throw new LimitError(q, Number.NaN, ...LIMITS[q])
  const most = sources.map((s) => s.availableL / volumeL)
  const total = most.reduce((sum, m) => sum + m, 0)
  if (total < 1 - 1e-9) throw new LimitError('volumeL', volumeL, 0, total * volumeL)
  const far = (shares: readonly number[]): number => {
    const got = predict.of(shares, asked)
    return asked.reduce((sum, q) => sum + ((got[q]! - wanted[q]!) / TELLS[q]) ** 2, 0)
  }
  let best = { shares: beginnings(most)[0]!, far: Infinity }
  for (const begin of beginnings(most)) {
    const found = descend(begin, most, far)
    if (found.far < best.far - 1e-12) best = found
  }
  const got = predict.of(best.shares, [...predict.knows])
  return {
    parts: sources.map((s, i) => ({ id: s.id, litres: best.shares[i]! * volumeL })),
    predicted: { volumeL, ...got },
    missed: asked.flatMap((q) => (Math.abs(got[q]! - wanted[q]!) > TELLS[q] ? [{ quantity: q, wanted: wanted[q]!, got: got[q]! }] : []))
  }
}

/** As evenly as it goes, and as much of each as there is. */
function beginnings(most: readonly number[]): number[][] {
  const fill = (first: number): number[] => {
    const order = most.map((_, i) => i).sort((a, b) => Number(b === first) - Number(a === first))
    const shares = most.map(() => 0)
    let rest = 1
    for (const i of order) {
      shares[i] = Math.min(most[i]!, rest)
      rest -= shares[i]!
    }
    return shares
  }
  const even = most.map(() => 0)
  let rest = 1
  while (rest > 1e-12) {
    const open = most.flatMap((m, i) => (m - even[i]! > 1e-12 ? [i] : []))
    if (open.length === 0) break
    const each = rest / open.length
    for (const i of open) {
      const more = Math.min(each, most[i]! - even[i]!)
      even[i]! += more
      rest -= more
    }
  }
  return [even, ...most.flatMap((m, i) => (m > 0 ? [fill(i)] : []))]
}

function descend(begin: readonly number[], most: readonly number[], far: (shares: readonly number[]) => number) {
  let shares = [...begin]
  let best = far(shares)
  for (let step = 0.25; step > FINEST; step /= 2) {
    for (let turn = 0; turn < STEPS; turn++) {
      const next = nearest(shares, most, step, far, best)
      if (!next) break
      ;[shares, best] = [next.shares, next.far]
    }
  }
  return { shares, far: best }
}

/** The best of all that a step from one wine to another comes to, when it comes nearer. */
function nearest(shares: readonly number[], most: readonly number[], step: number, far: (s: readonly number[]) => number, best: number) {
  let found: { shares: number[], far: number } | undefined
  for (let from = 0; from < shares.length; from++) {
    for (let to = 0; to < shares.length; to++) {
      const moved = Math.min(step, shares[from]!, most[to]! - shares[to]!)
      if (from === to || moved < FINEST / 4) continue
      const tried = shares.map((s, i) => (i === from ? s - moved : i === to ? s + moved : s))
      const distance = far(tried)
      if (distance < (found?.far ?? best) - 1e-12) found = { shares: tried, far: distance }
    }
  }
  return found
}

/** What a mixture will measure. A quantity is known of it when it is known of all of them. */
function predictorOf(sources: readonly BlendSource[]) {
  const all = (q: BlendQuantity) => sources.every((s) => s[q] !== undefined || s.availableL === 0)
  const acids = all('ph') && all('taGPerL')
  const knows = new Set(QUANTITIES.filter((q) => (q === 'ph' || q === 'taGPerL' ? acids : all(q))))
  const fitted = acids ? sources.map((s) => (s.availableL === 0 ? undefined : fitAcids(readingsOf(s)).composition)) : []
  return {
    knows,
    of(shares: readonly number[], asked: readonly BlendQuantity[]): Partial<Record<BlendQuantity, number>> {
      const mean = (q: BlendQuantity) => sources.reduce((sum, s, i) => sum + (s[q] ?? 0) * shares[i]!, 0)
      const solved = asked.includes('ph') || asked.includes('taGPerL') ? solveEquilibrium(mixture(fitted, shares)) : undefined
      return Object.fromEntries(asked.map((q) => [q, q === 'ph' ? solved!.ph : q === 'taGPerL' ? solved!.taGPerL : mean(q)]))
    }
  }
}

const readingsOf = ({ ph, taGPerL, malicGPerL, abv }: BlendSource): AcidReadings => ({
  ph: ph!,
  taGPerL: taGPerL!,
  ...(malicGPerL !== undefined && { malicGPerL }),
  ...(abv !== undefined && { abv: Math.min(18, abv) })
})

/** The largest part first, so that the others are stirred into it. */
function mixture(compositions: readonly (Composition | undefined)[], shares: readonly number[]): Composition {
  let [mixed, volume] = [undefined as Composition | undefined, 0]
  for (const i of shares.map((_, k) => k).sort((a, b) => shares[b]! - shares[a]!)) {
    const [composition, share] = [compositions[i], shares[i]!]
    if (!composition || share <= 0) continue
    mixed = mixed ? applyChange(mixed, { kind: 'blend', with: composition, litresPerLitre: share / volume }).composition : composition
    volume += share
  }
  return mixed!
}
