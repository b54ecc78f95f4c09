import { within } from '../units'

/** What bacteria find in a wine. */
export interface MalolacticConditions {
  /** 2.5 to 4.5 */
  ph: number
  /** % vol, 0 to 25 */
  abv: number
  freeSo2MgPerL: number
  totalSo2MgPerL: number
  /** −5 to 60 */
  celsius: number
  /** What the culture's packet says that it bears; it wins over what is usual. */
  culture?: { minPh?: number, toleranceAbv?: number, maxTotalSo2MgPerL?: number, minC?: number }
}

export type Limiting = 'ph' | 'abv' | 'freeSo2' | 'totalSo2' | 'celsius'

/** What stands in their way, where it stands, and to where it would have to be brought. */
export type ConditionFinding =
  | { code: 'too-acid', ph: number, to: number }
  /** Bacteria thrive here, others as well. */
  | { code: 'others-thrive', ph: number }
  | { code: 'too-strong', abv: number, most: number }
  | { code: 'free-sulphite', mgPerL: number, most: number }
  | { code: 'total-sulphite', mgPerL: number, most: number }
  | { code: 'too-cold', celsius: number, to: number }
  | { code: 'too-warm', celsius: number, to: number }

export interface ConditionScore {
  /** 0: they will not work; 1: all is as they want it. */
  score: number
  /** Each by itself. */
  factors: Record<Limiting, number>
  /** The worst; null where nothing holds them up. */
  limiting: Limiting | null
  findings: ConditionFinding[]
}

/** craft 3.9, common practice, no source: 18 to 24 °C, pH from 3.2, to 14 % vol, free SO₂ under 10, total under 30 to 40 mg/L. */
export const USUAL_CONDITIONS = { minPh: 3.2, toleranceAbv: 14, freeMgPerL: 10, maxTotalSo2MgPerL: 40, minC: 18, maxC: 24 } as const
/** Above this pH what spoils a wine grows as well as what is wanted: common practice, no source. */
const OTHERS_PH = 3.7
/** From here on nothing holds them up. */
const FREE_OF = 0.95

/**
 * How well malolactic bacteria can work in a wine. Each condition is a share that falls from one to nothing beyond what is usual for it
 * (how fast: common practice, no source), and the score is their product, for what is short in two ways is worse than in one.
 * @throws LimitError
 * @example malolacticConditions({ ph: 3.5, abv: 13, freeSo2MgPerL: 2, totalSo2MgPerL: 20, celsius: 20 }).score // 1
 */
export function malolacticConditions(wine: MalolacticConditions): ConditionScore {
  const { ph, abv, freeSo2MgPerL, totalSo2MgPerL, celsius, culture = {} } = wine
  const minPh = within('minPh', culture.minPh ?? USUAL_CONDITIONS.minPh, 2.8, 3.8)
  const mostAbv = within('toleranceAbv', culture.toleranceAbv ?? USUAL_CONDITIONS.toleranceAbv, 8, 22)
  const mostTotal = within('maxTotalSo2MgPerL', culture.maxTotalSo2MgPerL ?? USUAL_CONDITIONS.maxTotalSo2MgPerL, 5, 200)
  const minC = within('minC', culture.minC ?? USUAL_CONDITIONS.minC, 5, 25)
  const { freeMgPerL: mostFree, maxC } = USUAL_CONDITIONS
  const factors: Record<Limiting, number> = {
    ph: ramp(within('ph', ph, 2.5, 4.5), [minPh - 0.3, 0], [minPh - 0.1, 0.35], [minPh, 0.8], [minPh + 0.15, 1]),
    abv: ramp(within('abv', abv, 0, 25), [mostAbv - 1, 1], [mostAbv, 0.8], [mostAbv + 1, 0.35], [mostAbv + 2.5, 0]),
    freeSo2: ramp(within('freeSo2MgPerL', freeSo2MgPerL, 0, 500), ...beyond(mostFree, 0.5, 2, 3)),
    totalSo2: ramp(within('totalSo2MgPerL', totalSo2MgPerL, 0, 1000), ...beyond(mostTotal, 0.75, 1.5, 2.5)),
    celsius: ramp(within('celsius', celsius, -5, 60), ...warmth(minC, maxC))
  }
  const worst = (Object.entries(factors) as [Limiting, number][]).reduce((a, b) => (b[1] < a[1] ? b : a))
  return {
    score: Object.values(factors).reduce((product, f) => product * f, 1),
    factors,
    limiting: worst[1] < FREE_OF ? worst[0] : null,
    findings: [
      ...(ph < minPh ? [{ code: 'too-acid' as const, ph, to: minPh }] : []),
      ...(ph > OTHERS_PH ? [{ code: 'others-thrive' as const, ph }] : []),
      ...(abv > mostAbv ? [{ code: 'too-strong' as const, abv, most: mostAbv }] : []),
      ...(freeSo2MgPerL > mostFree ? [{ code: 'free-sulphite' as const, mgPerL: freeSo2MgPerL, most: mostFree }] : []),
      ...(totalSo2MgPerL > mostTotal ? [{ code: 'total-sulphite' as const, mgPerL: totalSo2MgPerL, most: mostTotal }] : []),
      ...(celsius < minC ? [{ code: 'too-cold' as const, celsius, to: minC }] : []),
      ...(celsius > maxC ? [{ code: 'too-warm' as const, celsius, to: maxC }] : [])
    ]
  }
}

/** All well to a part of what is borne, and nothing at a multiple of it. */
const beyond = (most: number, well: number, poor: number, none: number): [number, number][] => [
  [well * most, 1],
  [most, 0.8],
  [poor * most, 0.3],
  [none * most, 0]
]

/** Nothing in the cold, all well in a warm room, and less where it is hot. */
const warmth = (minC: number, maxC: number): [number, number][] => [
  [minC - 9, 0],
  [minC - 4, 0.35],
  [minC, 0.9],
  [minC + 1, 1],
  [maxC, 1],
  [maxC + 3, 0.6],
  [maxC + 9, 0]
]

/** Straight between its corners, level outside of them. */
function ramp(x: number, ...corners: readonly [at: number, value: number][]): number {
  const next = corners.findIndex(([at]) => x <= at)
  if (next === 0) return corners[0]![1]
  if (next === -1) return corners.at(-1)![1]
  const [[from, a], [to, b]] = [corners[next - 1]!, corners[next]!]
  return a + ((b - a) * (x - from)) / (to - from)
}
