import { STRONG } from './usual'

/** Two linear conditions on the contents: charge balance at the wine's pH and at the end point of its titration. */
export interface Conditions {
  /** Charge of one mole of each content (negative for acids, 1 for strong ions), at the pH and at the end point. */
  wine: Float64Array
  end: Float64Array
  /** What the contents have to add up to. */
  wineCharge: number
  endCharge: number
}

/** Usual contents with their spreads; `common` is the part that all share, in the direction of the means. */
export interface Prior {
  mean: Float64Array
  sd: Float64Array
  common: Float64Array
}

export interface Conditioned {
  contents: Float64Array
  /** Squared distance of the pair from the usual, in standard deviations: two degrees of freedom. */
  surprise: number
  /** Logarithm of how likely the pair is for this kind, up to a constant. */
  evidence: number
}

/**
 * The most probable contents that meet both conditions exactly: a Gaussian conditioned on two linear equations,
 * x = m + PAᵀ(APAᵀ)⁻¹(b − Am) (any text on Gaussian processes). A content that would be negative is taken as absent, and
 * the rest is solved again; that is the solution of a convex programme, so it moves without jumps.
 * @param from where the search starts: the means, or one draw from the spread
 */
export function condition(prior: Prior, conditions: Conditions, from: Float64Array = prior.mean): Conditioned {
  const absent = new Uint8Array(STRONG + 1)
  let free = 0
  for (let i = 0; i < STRONG; i++) if (prior.sd[i]! > 0) free++
  const solved = project(prior, conditions, from, absent)
  const { surprise, evidence } = solved
  let { contents } = solved
  for (; ; free--) {
    const least = mostNegative(prior, contents)
    // The last acid carries what is left, even where that cannot be: the caller says that the pair is no wine.
    if (least < 0 || free <= 1) return { contents, surprise, evidence }
    absent[least] = 1
    contents = project(prior, conditions, from, absent).contents
  }
}

/** The free acid that lies furthest below nought, or −1. */
function mostNegative(prior: Prior, contents: Float64Array): number {
  let worst = -1
  for (let i = 0; i < STRONG; i++) {
    if (prior.sd[i]! > 0 && contents[i]! < -1e-12 && (worst < 0 || contents[i]! < contents[worst]!)) worst = i
  }
  return worst
}

function project(prior: Prior, conditions: Conditions, from: Float64Array, absent: Uint8Array): Conditioned {
  const { sd, common } = prior
  const { wine, end } = conditions
  const n = sd.length
  // Residuals of the two conditions, and APAᵀ with P = diag(sd²) + common·commonᵀ. Plain loops: this runs for every reading.
  let d1 = conditions.wineCharge
  let d2 = conditions.endCharge
  let g11 = 0
  let g12 = 0
  let g22 = 0
  let c1 = 0
  let c2 = 0
  for (let i = 0; i < n; i++) {
    if (absent[i]) continue
    const a1 = wine[i]!
    const a2 = end[i]!
    const v = sd[i]! * sd[i]!
    d1 -= a1 * from[i]!
    d2 -= a2 * from[i]!
    g11 += a1 * a1 * v
    g12 += a1 * a2 * v
    g22 += a2 * a2 * v
    c1 += a1 * common[i]!
    c2 += a2 * common[i]!
  }
  g11 += c1 * c1
  g12 += c1 * c2
  g22 += c2 * c2
  const det = g11 * g22 - g12 * g12
  const l1 = (g22 * d1 - g12 * d2) / det
  const l2 = (g11 * d2 - g12 * d1) / det
  const shared = c1 * l1 + c2 * l2
  const contents = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    if (absent[i]) continue
    contents[i] = from[i]! + sd[i]! * sd[i]! * (wine[i]! * l1 + end[i]! * l2) + common[i]! * shared
  }
  const surprise = d1 * l1 + d2 * l2
  return { contents, surprise, evidence: -0.5 * (surprise + Math.log(det)) }
}
