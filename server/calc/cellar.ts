import { z } from 'zod'
import { malolacticConditions } from '../../core/malolactic'
import { MOLECULAR_TARGET, type SulphiteSalt, methodAdvice, sulphiteDose, sulphiteUpkeep, tabletsFor } from '../../core/sulphite'
import { chooseYeast, nutrientPlan, pitchPlan, starterPlan } from '../../core/yeast'
import { calculation, defined } from './calculation'
import { n } from './numbers'

const style = z.enum(['red', 'rose', 'white'])
const salt = z.enum(['potassium-metabisulphite', 'sodium-metabisulphite', 'potassium', 'sodium'])
const saltOf = (s: z.output<typeof salt>): SulphiteSalt =>
  s.startsWith('potassium') ? 'potassium-metabisulphite' : 'sodium-metabisulphite'

/** Sulphite, yeast and nutrient. */
export const CELLAR = [
  calculation(
    'sulphite-dose',
    'Sulphite for a molecular or a free level at this pH, as grams of a salt.',
    z
      .strictObject({
        ph: n('ph'),
        volumeL: n('volumeL'),
        freeMgPerL: n('freeMgPerL').optional(),
        totalMgPerL: n('totalMgPerL').optional(),
        targetMolecularMgPerL: n('targetMolecularMgPerL').optional(),
        targetFreeMgPerL: n('targetFreeMgPerL').optional(),
        abv: n('abv').optional(),
        celsius: n('celsius').optional(),
        salt: salt.default('potassium-metabisulphite'),
        boundShare: n('boundShare').optional(),
        potency: n('potency').optional(),
        scaleStepG: n('scaleStepG').optional(),
        limitTotalMgPerL: n('limitTotalMgPerL').optional()
      })
      .refine((b) => b.targetMolecularMgPerL !== undefined || b.targetFreeMgPerL !== undefined, {
        path: ['targetMolecularMgPerL'],
        message: 'one of targetMolecularMgPerL and targetFreeMgPerL is needed'
      }),
    (b) => sulphiteDose({ ...defined(b), salt: saltOf(b.salt) })
  ),
  calculation(
    'sulphite-tablets',
    'Tablets of a stated weight and salt for an addition.',
    z.strictObject({ addMgPerL: n('addMgPerL'), volumeL: n('volumeL'), weightG: n('weightG'), salt }),
    (b) => tabletsFor(b.addMgPerL, b.volumeL, { weightG: b.weightG, salt: saltOf(b.salt) })
  ),
  calculation(
    'sulphite-school',
    'What a sulphite method aims for, and what it gives up.',
    z.strictObject({
      school: z.enum(['by-ph', 'tablets', 'double', 'minimal', 'none']),
      ph: n('ph'),
      molecularMgPerL: n('molecularMgPerL').default(0.8)
    }),
    (b) => {
      const { method, ...advice } = methodAdvice(b.school, b.ph, b.molecularMgPerL)
      // The name under which it is asked for and answered stays as it was.
      return { school: method, ...advice }
    }
  ),
  calculation(
    'sulphite-upkeep',
    'How a wine keeps its sulphite, learnt from its readings and doses on one scale of days, and when it falls below its level.',
    z
      .strictObject({
        ph: n('ph'),
        style: style.optional(),
        targetMolecularMgPerL: n('targetMolecularMgPerL').optional(),
        readings: z
          .array(z.strictObject({ days: n('days'), freeMgPerL: n('freeMgPerL') }))
          .min(1)
          .max(500),
        doses: z
          .array(z.strictObject({ days: n('days'), addMgPerL: n('addMgPerL') }))
          .max(500)
          .optional()
      })
      .refine((b) => (b.style === undefined) !== (b.targetMolecularMgPerL === undefined), {
        path: ['targetMolecularMgPerL'],
        message: 'say either style or targetMolecularMgPerL'
      }),
    ({ style: kind, targetMolecularMgPerL, ...b }) => {
      const target = targetMolecularMgPerL ?? MOLECULAR_TARGET[kind!]
      const told = sulphiteUpkeep({ ...defined(b), red: kind === 'red', targetMolecularMgPerL: target })
      const { decayPerDay, boundShare } = told
      return { ...told, decayPerDay: decayPerDay.mid, boundShare: boundShare.mid, bands: { decayPerDay, boundShare } }
    }
  ),
  calculation(
    'malolactic-conditions',
    'How well malolactic bacteria can work in a wine, what limits them most, and to where it would have to be brought.',
    z.strictObject({
      ph: n('ph'),
      abv: n('abv'),
      freeSo2MgPerL: n('freeSo2MgPerL'),
      totalSo2MgPerL: n('totalSo2MgPerL'),
      celsius: n('celsius')
    }),
    (b) => malolacticConditions(b)
  ),
  calculation(
    'yeast-choice',
    'Generic yeasts ranked for a must, with reasons.',
    z.strictObject({
      style,
      potentialAbv: n('potentialAbv'),
      minC: n('minC'),
      maxC: n('maxC'),
      yanMgPerL: n('yanMgPerL').optional(),
      malolacticWanted: z.boolean().optional()
    }),
    ({ minC, maxC, ...b }) => chooseYeast({ ...defined(b), temperatureC: { min: minC, max: maxC } })
  ),
  calculation(
    'yeast-pitch',
    'Yeast, rehydration water and nutrient, and the acclimatisation as a timed list.',
    z.strictObject({ volumeL: n('volumeL'), mustC: n('mustC').default(20), gPerL: n('gPerL').optional() }),
    (b) => pitchPlan(b.volumeL, b.mustC, b.gPerL)
  ),
  calculation(
    'yeast-starter',
    'A starter built up from little yeast and shared over lots.',
    z.strictObject({ yeastG: n('yeastG'), lotsL: z.array(n('volumeL')).min(1).max(50) }),
    (b) => starterPlan(b.yeastG, b.lotsL)
  ),
  calculation(
    'nutrient-plan',
    'Nutrient by nitrogen: need, what is missing, and the additions with their time.',
    z.strictObject({
      volumeL: n('volumeL'),
      brix: n('brix'),
      need: z.enum(['low', 'medium', 'high']),
      yanMgPerL: n('yanMgPerL').optional()
    }),
    (b) => nutrientPlan(b.volumeL, b.brix, b.need, b.yanMgPerL)
  )
]
