import { z } from 'zod'
import { rackingPlan } from '../../core/racking'
import { calculation, defined } from './calculation'
import { n } from './numbers'
import { clock, solver } from './solver'

const id = z.string().min(1).max(80)

/** Which wine goes where on racking day. */
export const RACKING = [
  calculation(
    'racking-plan',
    'Racking day: least wine without a vessel, then least air over wine, then fewest moves, in an order that can be done.',
    z.strictObject({
      wines: z
        .array(z.strictObject({ id, litres: n('litres'), offLees: z.boolean().optional().describe('it has to leave its vessel') }))
        .min(1)
        .max(40),
      vessels: z
        .array(
          z.strictObject({
            id,
            capacityL: n('capacityL'),
            wineId: id.optional(),
            litres: n('litres').optional(),
            usable: z.boolean().optional()
          })
        )
        .min(1)
        .max(80),
      mayMix: z.array(z.tuple([id, id])).max(200).optional(),
      maxSeconds: z.number().min(0.5).max(20).optional()
    })
      .superRefine(({ wines, vessels }, context) => {
        const known = new Set(wines.map((w) => w.id))
        const seen = new Set<string>()
        const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
        if (known.size < wines.length) refuse(['wines'], 'names a wine twice')
        for (const [i, v] of vessels.entries()) {
          if (seen.has(v.id)) refuse(['vessels', i, 'id'], 'is there twice')
          seen.add(v.id)
          if (v.wineId !== undefined && !known.has(v.wineId)) refuse(['vessels', i, 'wineId'], 'names no wine of this list')
          if (v.litres !== undefined && v.litres > v.capacityL * 1.02) refuse(['vessels', i, 'litres'], 'is more than the vessel holds')
        }
      }),
    ({ wines, vessels, ...rest }) =>
      rackingPlan({ ...defined(rest), wines: wines.map(defined), vessels: vessels.map(defined) }, solver, clock)
  )
]
