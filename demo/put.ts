import { DAY_MS } from '~~/core/units'
import { dayHereAfter } from '../app/wording/days'
import type { Draft, Fact } from '../core/ledger'

/** Lays an entry out some days before the day the demo is made, at an hour of that day. */
export type Put = (daysAgo: number, hour: number, draft: Draft<Fact>) => void
/** Lays an entry out some hours before the instant the demo is made. */
export type Ago = (hours: number, draft: Draft<Fact>) => void

export const dayFrom = (now: Date, days: number): string => dayHereAfter(now, days)
export const yearOf = (now: Date, daysAgo: number): number => new Date(now.getTime() - daysAgo * DAY_MS).getFullYear()
