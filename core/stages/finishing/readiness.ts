import type { LotView } from '../../ledger'
import { type Condition, type ConditionCode, JUDGES } from './conditions'

/** Steps of finishing that cannot be taken back, in the order in which they are usually taken. */
export const GATES = ['fining', 'cold', 'blending', 'sweetening', 'bottling-still', 'bottling-sparkling'] as const
export type Gate = (typeof GATES)[number]

/** What has to be so before each: craft 3.11 to 3.13 and the mistakes of craft 6. */
const ASKS: Record<Gate, readonly ConditionCode[]> = {
  'fining': ['stable-gravity', 'malic-settled', 'off-lees', 'gas-out', 'acids-known'],
  'cold': ['stable-gravity', 'malic-settled', 'off-lees', 'acids-known'],
  'blending': ['stable-gravity', 'malic-settled', 'off-lees', 'sound', 'acids-known'],
  'sweetening': ['stable-gravity', 'malic-settled', 'off-lees', 'clear', 'sulphite', 'sorbate-may'],
  'bottling-still': [
    'stable-gravity',
    'malic-settled',
    'off-lees',
    'off-fining',
    'clear',
    'gas-out',
    'protein',
    'cold',
    'sulphite-for-bottle',
    'sweetness-held',
    'no-malolactic-with-sorbate',
    'sound'
  ],
  'bottling-sparkling': [
    'stable-gravity',
    'malic-settled',
    'off-lees',
    'off-fining',
    'clear',
    'protein',
    'cold',
    'no-sorbate',
    'alcohol-for-yeast',
    'sulphite-low-enough',
    'sound'
  ]
}

/** What no knowing better helps against: a bottle that bursts, a wine that spoils for good. */
export const HARD: Record<Gate, readonly ConditionCode[]> = {
  'fining': [],
  'cold': [],
  'blending': [],
  'sweetening': ['stable-gravity'],
  'bottling-still': ['stable-gravity', 'malic-settled', 'sweetness-held'],
  'bottling-sparkling': ['stable-gravity', 'malic-settled', 'no-sorbate']
}

export interface Readiness {
  gate: Gate
  conditions: Condition[]
  ready: boolean
  /** What is not met or not known, the hard ones first. */
  open: Condition[]
}

/** The key under which going on against a gate stands in the ledger. */
export const gateTask = (gate: Gate): string => `gate:${gate}`

/** Whether a lot is ready for a step: each condition met, not met or not known, with its evidence. */
export function readinessOf(lot: LotView, gate: Gate, now: string): Readiness {
  const conditions = ASKS[gate].map((code): Condition => {
    const { settle, ...judged } = JUDGES[code](lot, now)
    // Sulphite would settle it, and keep the yeast from the second ferment: that is no way before a sparkling wine.
    const harms = gate === 'bottling-sparkling' && settle?.to === 'sulphite'
    return { code, ...judged, ...(settle && !harms && { settle }) }
  })
  const hard = new Set(HARD[gate])
  const open = conditions.filter((c) => c.state !== 'met').sort((a, b) => Number(hard.has(b.code)) - Number(hard.has(a.code)))
  return { gate, conditions, ready: open.length === 0, open }
}
