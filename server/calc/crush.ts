import { z } from 'zod'
import { type AcidReadings, bandedWays } from '../../core/acids'
import { vesselFit } from '../../core/cellar'
import { ripening } from '../../core/harvest'
import { MUST_WINDOWS, clockAt, enzymeAdvice, kitWater, testFerment, yieldOfArrival } from '../../core/must'
import { firstDose } from '../../core/sulphite'
import { calculation, defined } from './calculation'
import { n } from './numbers'

const instant = z.iso.datetime()
const style = z.enum(['red', 'rose', 'white'])
const salt = z.enum(['potassium-metabisulphite', 'sodium-metabisulphite']).default('potassium-metabisulphite')

/** Harvest and crush day. */
export const CRUSH = [
  calculation(
    'ripening',
    'Straight lines through a block’s samples, their bands, and the days on which windows are reached or limits passed.',
    z.strictObject({
      samples: z
        .array(z.strictObject({ at: instant, brix: n('brix').optional(), ph: n('ph').optional(), ta: n('ta').optional() }))
        .min(1)
        .max(500),
      style,
      now: instant
    }),
    (b) => ripening(b.samples.map(defined), b.style, MUST_WINDOWS[b.style], b.now)
  ),
  calculation(
    'arrival-yield',
    'Juice, must and wine to expect from what arrives, with bands; kg for fresh grapes and test ferments, else L.',
    z.strictObject({
      stream: z.enum(['fresh', 'frozen', 'juice', 'kit', 'test']),
      style,
      amount: n('amount'),
      onSkins: z.boolean().optional()
    }),
    (b) => yieldOfArrival(b.stream, b.style, b.amount, b.onSkins)
  ),
  calculation(
    'vessel-fit',
    'Whether a must goes into a vessel with room for its cap or foam.',
    z.strictObject({ capacityL: n('capacityL'), litres: n('litres'), room: z.enum(['cap', 'foam', 'none']) }),
    (b) => vesselFit(b.capacityL, b.litres, b.room)
  ),
  calculation(
    'first-sulphite',
    'The first sulphite by the expected juice and the health of the fruit.',
    z.strictObject({ juiceL: n('juiceL'), health: z.enum(['sound', 'some-rot', 'poor']), style, salt, ph: n('ph').optional(),
      malolactic: z.boolean().optional() }),
    (b) => firstDose(b.juiceL, b.health, b.style, b.salt, b.ph, b.malolactic)
  ),
  calculation(
    'enzyme',
    'Pectic enzyme for a must, and what speaks against it now.',
    z.strictObject({
      volumeL: n('volumeL'),
      hoursSinceSulphite: n('hoursSinceSulphite').optional(),
      bentonite: z.boolean().optional(),
      mustC: n('mustC').optional(),
      fermenting: z.boolean().optional()
    }),
    (b) => enzymeAdvice(defined(b))
  ),
  calculation(
    'clock',
    'How far a wait on crush day has got.',
    z.strictObject({
      kind: z.enum(['settle', 'cold-soak', 'enzyme-after-sulphite', 'yeast-after-sulphite', 'thaw']),
      begunAt: instant,
      now: instant
    }),
    (b) => clockAt(b.kind, b.begunAt, b.now)
  ),
  calculation(
    'kit-water',
    'Water for a kit to its gravity from the sweet side, in stages; too much is said to be too much.',
    z.strictObject({
      volumeL: n('volumeL'),
      sg: n('sg'),
      targetSg: n('targetSg'),
      stage: z.int().min(1).max(9).default(1),
      lineL: n('lineL').optional()
    }),
    (b) => kitWater(b.volumeL, b.sg, b.targetSg, b.stage, b.lineL)
  ),
  calculation(
    'test-ferment',
    'The week of a test ferment with its additions.',
    z.strictObject({ massKg: n('massKg').default(5), salt }),
    (b) => testFerment(b.massKg, b.salt)
  ),
  calculation(
    'acid-ways',
    'The ways over the map of acids from one must or wine: pH and TA along tartaric, carbonate, water, malolactic and cold, with 80 % '
      + 'bands.',
    z.strictObject({
      ph: n('ph'),
      taGPerL: n('taGPerL'),
      malicGPerL: n('malicGPerL').optional(),
      abv: n('abv').optional(),
      brix: n('brix').optional(),
      style: style.optional(),
      finalAbv: n('finalAbv').optional(),
      steps: z.int().min(1).max(60).default(12)
    }),
    ({ steps, finalAbv, ...readings }) =>
      bandedWays(
        defined(readings) as AcidReadings,
        steps,
        finalAbv === undefined ? undefined : { finalAbv, style: readings.style ?? 'white' }
      )
  )
]
