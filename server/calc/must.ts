import { z } from 'zod'
import { type AcidChange, fitAcids, predictAcids } from '../../core/acids'
import { addSugar, addWater, blendOf, findTargets, yieldOfFruit } from '../../core/must'
import { calculation, defined } from './calculation'
import { n } from './numbers'

const range = z.strictObject({ min: n('min'), max: n('max') })
const style = z.enum(['red', 'rose', 'white'])
const uncertainty = z
  .strictObject({ ph: z.number().min(0).max(1), taGPerL: z.number().min(0).max(5), malicGPerL: z.number().min(0).max(5) })
  .describe('80 % half-widths of the readings; a home meter, titration and strip when left out')
const wine = {
  ph: n('ph'),
  taGPerL: n('taGPerL'),
  malicGPerL: n('malicGPerL').optional(),
  lacticGPerL: n('lacticGPerL').optional(),
  abv: n('abv').optional(),
  endPointPh: n('endPointPh').optional(),
  so2MgPerL: n('so2MgPerL').optional(),
  brix: n('brix').optional().describe('of the fruit, before water or sugar'),
  style: style.optional(),
  malolactic: z.enum(['before', 'under-way', 'after']).optional()
}

const salt = z.enum(['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate'])
const changeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['tartaric', 'malic', 'citric', 'lactic']), gPerL: n('gPerL') }),
  z.strictObject({
    kind: z.literal('acid-blend'),
    gPerL: n('gPerL'),
    tartaricShare: n('tartaricShare'),
    malicShare: n('malicShare'),
    citricShare: n('citricShare')
  }),
  z.strictObject({ kind: salt, gPerL: n('gPerL') }),
  z.strictObject({ kind: z.literal('water'), litresPerLitre: n('litresPerLitre') }),
  z.strictObject({ kind: z.literal('sugar'), gPerL: n('gPerL') }),
  z.strictObject({ kind: z.literal('malolactic'), toMalicGPerL: n('toMalicGPerL').default(0) }),
  z.strictObject({ kind: z.literal('ferment'), toAbv: n('toAbv') }).describe('what the ferment itself does to the acids'),
  z.strictObject({
    kind: z.literal('cold'),
    celsius: n('celsius'),
    weeks: n('weeks').optional(),
    holdingFactor: n('holdingFactor').optional(),
    finalAbv: n('finalAbv').optional().describe('of the finished wine that will be chilled')
  }),
  z.strictObject({ kind: z.literal('blend'), litresPerLitre: n('litresPerLitre'), with: z.strictObject(wine) })
])

function toChange(change: z.output<typeof changeSchema>, of: z.output<typeof style> | undefined): AcidChange {
  if (change.kind === 'blend') return { ...change, with: fitAcids(defined(change.with)).composition }
  const own = change.kind === 'ferment' || change.kind === 'cold' ? { ...change, style: of } : change
  return defined(own) as AcidChange
}

const material = z.enum([
  'tartaric',
  'malic',
  'citric',
  'potassium-bicarbonate',
  'potassium-carbonate',
  'calcium-carbonate',
  'water',
  'sucrose'
])

/** From fruit to a corrected must. */
export const MUST = [
  calculation(
    'acids',
    'pH, TA and acids before and after a sequence of changes, by the equilibrium model, with their 80 % bands.',
    z.strictObject({ ...wine, changes: z.array(changeSchema).max(50).default([]), uncertainty: uncertainty.optional() }),
    ({ changes, uncertainty: of, ...readings }) =>
      predictAcids(
        defined(readings),
        changes.map((c) => toChange(c, readings.style)),
        of
      )
  ),
  calculation(
    'targets',
    'What to add to a must or wine so that it ends in its windows, in stages; or to leave it, and why.',
    z
      .strictObject({
        brix: n('brix').optional().describe('left out for a wine'),
        ph: n('ph'),
        taGPerL: n('taGPerL'),
        malicGPerL: n('malicGPerL').optional(),
        lacticGPerL: n('lacticGPerL').optional(),
        volumeL: n('volumeL').default(1),
        abv: n('abv').optional().describe('% vol that it has; for a must above 15 °Brix the alcohol that it is expected to reach'),
        style: style.optional(),
        malolactic: z.boolean().optional(),
        cold: z.boolean().optional(),
        uncertainty: uncertainty.optional(),
        windows: z
          .strictObject({ brix: range.optional(), ph: range.optional(), ta: range.optional() })
          .optional()
          .describe('those of the style when left out'),
        available: z
          .union([z.array(material), z.partialRecord(material, z.union([z.number().min(0).max(300), z.literal(true)]))])
          .default(['tartaric', 'potassium-bicarbonate', 'water', 'sucrose'])
      })
      .refine((b) => b.windows || b.style, { path: ['windows'], message: 'one of windows and style is needed' }),
    ({ windows, available, volumeL, style: of, malolactic, cold, uncertainty: readings, ...must }) =>
      findTargets({
        ...defined({ style: of, malolactic, cold, uncertainty: readings, windows: windows && defined(windows) }),
        must: defined(must),
        volumeL,
        available: Array.isArray(available) ? Object.fromEntries(available.map((m) => [m, true as const])) : available
      })
  ),
  calculation(
    'sugar-addition',
    'Sugar, honey or concentrate to raise a must to a Brix, by mass balance.',
    z.strictObject({
      volumeL: n('volumeL'),
      brix: n('brix'),
      targetBrix: n('targetBrix'),
      with: z.enum(['sucrose', 'dextrose', 'honey', 'concentrate']).default('sucrose'),
      concentrateBrix: n('concentrateBrix').optional()
    }),
    (b) => addSugar(b.volumeL, b.brix, b.targetBrix, b.with, b.concentrateBrix)
  ),
  calculation(
    'water-addition',
    'Water to thin a must, kit or concentrate to a Brix, staged from the sweet side.',
    z.strictObject({ volumeL: n('volumeL'), brix: n('brix'), targetBrix: n('targetBrix') }),
    (b) => addWater(b.volumeL, b.brix, b.targetBrix)
  ),
  calculation(
    'yield',
    'Must, juice and wine to expect from fruit.',
    z.strictObject({ massKg: n('massKg'), style: z.enum(['red', 'rose', 'white']).default('red') }),
    (b) => yieldOfFruit(b.massKg, b.style)
  ),
  calculation(
    'blend',
    'What a blend should measure; pH and TA by the equilibrium model.',
    z.strictObject({
      parts: z
        .array(
          z.strictObject({
            volumeL: n('volumeL'),
            sg: n('sg').optional(),
            brix: n('brix').optional(),
            abv: n('abv').optional(),
            ph: n('ph').optional(),
            taGPerL: n('taGPerL').optional(),
            malicGPerL: n('malicGPerL').optional(),
            freeSo2MgPerL: n('freeSo2MgPerL').optional(),
            totalSo2MgPerL: n('totalSo2MgPerL').optional()
          })
        )
        .min(2)
        .max(50)
    }),
    (b) => blendOf(b.parts.map(defined))
  )
]
