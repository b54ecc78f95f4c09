import { z } from 'zod'
import { forecastFerment, heatBalance, pressDay, stuckRestart } from '../../core/fermentation'
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
      .refine((b) => (b.originalBrix === undefined) !== (b.originalSg === undefined), {
        message: 'say either originalSg or originalBrix',
        path: ['originalSg']
      }),
    ({ originalBrix, originalSg, readings, ...rest }) => {
      const { stopped: _stopped, ...forecast } = forecastFerment({
        ...defined(rest),
        originalSg: originalSg ?? sgFromBrix(originalBrix!),
        readings: readings.map(({ sg, brix, ...r }) => ({ ...defined(r), sg: sg ?? sgFromBrix(brix!) }))
      })
      return forecast
    }
  ),
  calculation(
    'ice-for-cooling',
    'The heat of a ferment against its walls: litres of frozen water a day that hold a temperature, or watts of warmth.',
    z.strictObject({
      volumeL: n('volumeL'),
      sugarGPerLDay: n('sugarGPerLDay'),
      celsius: n('celsius'),
      targetC: n('targetC'),
      roomC: n('roomC'),
      lossWPerK: n('lossWPerK').optional()
    }),
    (b) => heatBalance(defined(b))
  ),
  calculation(
    'press-day',
    'Whether to press a red yet, by its pressing method, and the free run, press wine, gross lees and first racking to expect.',
    z
      .strictObject({
        mustL: n('mustL').optional(),
        wineL: n('wineL').optional(),
        school: z.enum(['early', 'at-dryness', 'extended']).default('at-dryness'),
        sg: n('sg'),
        daysOnSkins: n('daysOnSkins'),
        tannin: z.enum(['soft', 'ripe', 'harsh']).optional()
      })
      .refine((b) => (b.mustL === undefined) !== (b.wineL === undefined), { message: 'say either mustL or wineL', path: ['mustL'] }),
    // The name under which it is asked for stays as it was.
    ({ school: method, ...b }) => pressDay(defined({ ...b, method }))
  ),
  calculation(
    'stuck-restart',
    'Why a ferment may have stopped, and a starter that gets used to its alcohol step by step: amounts and times.',
    z.strictObject({
      volumeL: n('volumeL'),
      sg: n('sg'),
      abv: n('abv'),
      celsius: n('celsius').optional(),
      hottestC: n('celsius').optional(),
      freeSo2MgPerL: n('freeSo2MgPerL').optional(),
      nitrogenShortMgPerL: n('yanMgPerL').optional(),
      toleranceAbv: n('toleranceAbv').optional()
    }),
    (b) => stuckRestart(defined(b))
  )
]
