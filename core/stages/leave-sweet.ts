import type { LotView } from '../ledger'

/** A ferment that is left with its sugar: it has stopped, and no bacteria are to find it. */
export const leaveSweet = (lot: Pick<LotView, 'id'>) =>
  ({
    code: 'leave-sweet',
    drafts: [
      { type: 'lot-planned', lotId: lot.id, finish: 'sweet', malolactic: 'none' },
      { type: 'lot-amended', lotId: lot.id, alcoholic: 'stopped' }
    ]
  }) as const
