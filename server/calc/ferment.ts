import { z } from 'zod'
import { forecastFerment } from '../../core/fermentation'
import { sgFromBrix } from '../../core/hydrometry'
import { calculation, defined } from './calculation'
import { n } from './numbers'

const style = z.enum(['red', 'rose', 'white'])
const oneScale = 'say either sg or brix'
const reading = z
  .strictObject({ hours: n('hours'), sg: n('sg').optional(), brix: n('brix').optional(), celsius: n('anyCelsius').optional() })
  .refine((r) => (r.sg === undefined) !== (r.brix === undefined), oneScale)

/** From the yeast to a dry wine. */
export const FERMENT = [
  calculation(
    'ferment-forecast',
    'Where a ferment is going, as 80 % intervals: a third and two thirds of its sugar gone, dry, the end, and the gravity every 12 h.',
    z
      .strictObject({
        originalBrix: n('originalBrix').optional(),
        originalSg: n('originalSg').optional(),
        readings: z.array(reading).max(2000).describe('hours since pitching; any order; may be empty'),
        style: style.optional(),
        expectedCelsius: n('expectedCelsius').optional(),
        yanMgPerL: n('yanMgPerL').optional(),
        nitrogenGivenMgPerL: n('nitrogenGivenMgPerL').optional(),
        toleranceAbv: n('toleranceAbv').optional(),
        horizonHours: n('horizonHours').optional()
      })
      .refine((b) => (b.originalBrix === undefined) !== (b.originalSg === undefined), { message: 'say either originalSg or originalBrix', path: ['originalSg'] }),
    ({ originalBrix, originalSg, readings, ...rest }) => {
      const { stopped: _stopped, ...forecast } = forecastFerment({
        ...defined(rest),
        originalSg: originalSg ?? sgFromBrix(originalBrix!),
        readings: readings.map(({ sg, brix, ...r }) => ({ ...defined(r), sg: sg ?? sgFromBrix(brix!) }))
      })
      return forecast
    }
  )
]
