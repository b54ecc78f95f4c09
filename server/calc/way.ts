import { z } from 'zod'
import { type Entry, foldCellar, lotAt } from '../../core/ledger'
import { entrySchema } from '../../core/ledger/schema'
import { wayOf } from '../../core/way'
import { calculation, defined } from './calculation'
import { n } from './numbers'

const instant = z.iso.datetime({ error: 'must be an instant in UTC, like 2026-10-03T14:20:00Z' })
const plan = z.strictObject({
  malolactic: z.enum(['with-yeast', 'on-skins', 'after-pressing', 'none', 'blocked']).optional(),
  finish: z.enum(['dry', 'sweet']).optional(),
  sparkling: z.boolean().optional(),
  sulphite: z.enum(['by-ph', 'tablets', 'double', 'minimal', 'none']).optional(),
  press: z.enum(['at-dryness', 'early', 'extended']).optional()
})
const LOT = 'lot-asked-about'

/** From arrival to the glass. */
export const WAY = [
  calculation(
    'way',
    'The way of a lot to the glass: each step with the window in which it comes, by stream, style, plan and what was read.',
    z
      .strictObject({
        stream: z.enum(['fresh', 'frozen', 'juice', 'kit']),
        style: z.enum(['red', 'rose', 'white']),
        plan: plan.optional(),
        startedAt: instant,
        pitchedAt: instant.optional(),
        pressedAt: instant.optional(),
        readings: z
          .array(z.strictObject({ at: instant, sg: n('sg') }))
          .max(400)
          .optional(),
        now: instant
      })
      .superRefine(({ startedAt, now, plan }, context) => {
        if (now < startedAt) context.addIssue({ code: 'custom', path: ['now'], message: 'is before startedAt' })
        const bacteria = plan?.malolactic !== undefined && !['none', 'blocked'].includes(plan.malolactic)
        if (plan?.finish === 'sweet' && bacteria)
          context.addIssue({ code: 'custom', path: ['plan', 'finish'], message: 'is sweet, and malolactic leaves no sorbate to hold '
            + 'it: only heat or a sterile filter does' })
      }),
    ({ stream, style, plan, startedAt, pitchedAt, pressedAt, readings = [], now }) => {
      const base = { device: 'calc', written: now }
      const lot = { lotId: LOT, name: 'Asked about', stream, style, varieties: [], volumeL: 20, volumeIs: 'measured' }
      const entry = (i: number, at: string, fact: object): Entry =>
        entrySchema.parse({ id: `asked-about-${String(i).padStart(4, '0')}`, at, ...base, ...fact })
      const entries = [
        entry(0, startedAt, { type: 'lot-started', ...lot }),
        ...(plan ? [entry(1, startedAt, { type: 'lot-planned', lotId: LOT, ...defined(plan) })] : []),
        ...(pitchedAt ? [entry(2, pitchedAt, { type: 'inoculation', lotId: LOT, organism: 'yeast', culture: 'Yeast' })] : []),
        ...(pressedAt ? [entry(3, pressedAt,
          { type: 'transfer', purpose: 'press', from: { lotId: LOT }, to: { lotId: LOT }, outL: 20, inL: 20 })] : []),
        ...readings.map(({ at, sg }, i) => entry(10 + i, at, { type: 'reading', lotId: LOT, quantity: 'sg', typed: String(sg), value: sg }))
      ]
      const state = foldCellar(entries).lots.get(LOT)!
      return { steps: wayOf(lotAt(state, now), now) }
    }
  )
]
