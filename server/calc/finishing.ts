import { z } from 'zod'
import { blendTarget, bottleMix, coldStability, finingTrial, pasteurisationUnits, priming, sorbateDose } from '../../core/finishing'
import { calculation, defined } from './calculation'
import { n } from './numbers'

/** From a sound wine to the bottle. */
export const FINISHING = [
  calculation(
    'priming',
    'Household sugar for a wanted pressure, with the sugar that is left and the gas that is there counted; gauge pressures.',
    z.strictObject({
      volumeL: n('volumeL'),
      targetBar: n('targetBar'),
      residualSugarGPerL: n('residualSugarGPerL').describe('g/L that yeast could take; 0 only where a test found none'),
      residualSpreadGPerL: n('residualSpreadGPerL').optional(),
      abv: n('finalAbv'),
      fermentedAtCelsius: n('cellarCelsius').optional(),
      servedAtCelsius: n('cellarCelsius').optional(),
      warmestCelsius: n('cellarCelsius').optional(),
      bottleRatedBar: n('bottleRatedBar').optional()
    }),
    (b) => priming(defined(b))
  ),
  calculation(
    'sorbate-dose',
    'Potassium sorbate by alcohol and pH, and whether it may go in at all.',
    z.strictObject({
      volumeL: n('volumeL'),
      abv: n('finalAbv'),
      ph: n('ph'),
      freeSo2MgPerL: n('freeSo2MgPerL'),
      malolacticDone: z.boolean(),
      fermenting: z.boolean()
    }),
    (b) => sorbateDose(b)
  ),
  calculation(
    'pasteurise',
    'Pasteurisation units of so many minutes at a temperature in the middle of the bottle.',
    z.strictObject({ celsius: n('pasteuriseCelsius'), minutes: n('minutes') }),
    (b) => ({ units: pasteurisationUnits(b.celsius, b.minutes) })
  ),
  calculation(
    'bottles',
    'Bottles for a volume: least left over, then fewest bottles.',
    z.strictObject({
      volumeL: n('litres'),
      sizes: z
        .array(z.strictObject({ ml: z.number().int().min(10).max(60_000), available: z.number().int().min(0).max(1_000_000).optional() }))
        .min(1)
        .max(12),
      lossL: n('litres').optional()
    }),
    (b) => bottleMix(b.volumeL, b.sizes.map(defined), b.lossL ?? 0)
  ),
  calculation(
    'fining-trial',
    'Millilitres of a stock solution for each glass of a bench trial.',
    z.strictObject({ rates: z.array(n('rate')).min(1).max(24), stockGPerL: n('stockGPerL'), glassMl: n('glassMl') }),
    (b) => finingTrial(b.rates, b.stockGPerL, b.glassMl)
  ),
  calculation(
    'blend-target',
    'How much of each wine comes nearest to a wanted alcohol, pH, TA or gravity.',
    z
      .strictObject({
        parts: z
          .array(
            z.strictObject({
              id: z.string().min(1).max(80),
              availableL: n('litres'),
              abv: n('abv').optional(),
              ph: n('ph').optional(),
              taGPerL: n('taGPerL').optional(),
              sg: n('sg').optional()
            })
          )
          .min(2)
          .max(8),
        target: z.strictObject({
          volumeL: n('volumeL'),
          abv: n('abv').optional(),
          ph: n('ph').optional(),
          taGPerL: n('taGPerL').optional(),
          sg: n('sg').optional()
        })
      })
      .superRefine(({ parts, target }, context) => {
        // What is wanted has to be known of every wine, and an acid balance needs both of its figures.
        const needed = (['abv', 'sg'] as const).filter((q) => target[q] !== undefined)
        const acids = target.ph !== undefined || target.taGPerL !== undefined ? (['ph', 'taGPerL'] as const) : []
        parts.forEach((part, i) => {
          for (const q of [...needed, ...acids])
            if (part[q] === undefined) context.addIssue({ code: 'custom', path: ['parts', i, q], message: 'is needed for what is wanted' })
        })
        const there = parts.reduce((sum, part) => sum + part.availableL, 0)
        if (there < target.volumeL)
          context.addIssue({ code: 'custom', path: ['target', 'volumeL'], message: `is more than the ${there} L that there are` })
      }),
    (b) => blendTarget(b.parts.map(defined), defined(b.target))
  ),
  calculation(
    'cold-stability',
    'What three weeks of cold take from a wine, its pH and TA after it, and down to where it is stable.',
    z.strictObject({ ph: n('ph'), taGPerL: n('taGPerL'), abv: n('finalAbv'), celsius: n('coldCelsius') }),
    ({ celsius, ...wine }) => coldStability(wine, celsius)
  )
]
