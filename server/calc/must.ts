import { z } from 'zod'
import { type AcidChange, fitAcids, predictAcids } from '../../core/acids'
import { addSugar, addWater, blendOf, findTargets, yieldOfFruit } from '../../core/must'
import { calculation } from './calculation'

const n = z.number()
const range = z.strictObject({ min: n, max: n })
const wine = { ph: n, taGPerL: n, malicGPerL: n.optional(), lacticGPerL: n.optional(), abv: n.optional(), endPointPh: n.optional() }

const salt = z.enum(['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate'])
const changeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['tartaric', 'malic', 'citric', 'lactic']), gPerL: n }),
  z.strictObject({ kind: z.literal('acid-blend'), gPerL: n, tartaricShare: n, malicShare: n, citricShare: n }),
  z.strictObject({ kind: salt, gPerL: n }),
  z.strictObject({ kind: z.literal('water'), litresPerLitre: n }),
  z.strictObject({ kind: z.literal('sugar'), gPerL: n }),
  z.strictObject({ kind: z.literal('malolactic'), toMalicGPerL: n.default(0) }),
  z.strictObject({ kind: z.literal('cold'), celsius: n, holdingFactor: n.optional() }),
  z.strictObject({ kind: z.literal('blend'), litresPerLitre: n, with: z.strictObject(wine) })
])

const toChange = (change: z.output<typeof changeSchema>): AcidChange =>
  (change.kind === 'blend' ? { ...change, with: fitAcids(defined(change.with)).composition } : defined(change)) as AcidChange

/** Leaves out what was not given, so that optional fields keep their defaults. */
const defined = <T extends object>(o: T): T & { [K in keyof T]: Exclude<T[K], undefined> } =>
  Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T & { [K in keyof T]: Exclude<T[K], undefined> }

const material = z.enum(['tartaric', 'malic', 'citric', 'potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate', 'water', 'sucrose'])

/** From fruit to a corrected must. */
export const MUST = [
  calculation('acids', 'pH, TA and acids before and after a sequence of changes, by the equilibrium model.',
    z.strictObject({ ...wine, changes: z.array(changeSchema).max(50).default([]) }),
    ({ changes, ...readings }) => predictAcids(defined(readings), changes.map(toChange))),
  calculation('targets', 'The smallest set of additions that brings a must into the wanted windows, in stages.',
    z.strictObject({
      brix: n, ph: n, taGPerL: n, malicGPerL: n.optional(), volumeL: n.default(1),
      windows: z.strictObject({ brix: range.optional(), ph: range.optional(), ta: range.optional() }),
      available: z.union([z.array(material), z.partialRecord(material, z.union([n.min(0), z.literal(true)]))]).default(['tartaric', 'potassium-bicarbonate', 'water', 'sucrose'])
    }),
    ({ windows, available, volumeL, ...must }) => findTargets({
      must: defined(must), windows: defined(windows), volumeL,
      available: Array.isArray(available) ? Object.fromEntries(available.map(m => [m, true as const])) : available
    })),
  calculation('sugar-addition', 'Sugar, honey or concentrate to raise a must to a Brix, by mass balance.',
    z.strictObject({ volumeL: n, brix: n, targetBrix: n, with: z.enum(['sucrose', 'dextrose', 'honey', 'concentrate']).default('sucrose'), concentrateBrix: n.optional() }),
    b => addSugar(b.volumeL, b.brix, b.targetBrix, b.with, b.concentrateBrix)),
  calculation('water-addition', 'Water to thin a must, kit or concentrate to a Brix, staged from the sweet side.',
    z.strictObject({ volumeL: n, brix: n, targetBrix: n }),
    b => addWater(b.volumeL, b.brix, b.targetBrix)),
  calculation('yield', 'Must, juice and wine to expect from fruit.',
    z.strictObject({ massKg: n, style: z.enum(['red', 'rose', 'white']).default('red') }),
    b => yieldOfFruit(b.massKg, b.style)),
  calculation('blend', 'What a blend should measure; pH and TA by the equilibrium model.',
    z.strictObject({ parts: z.array(z.strictObject({ volumeL: n, sg: n.optional(), brix: n.optional(), abv: n.optional(), ph: n.optional(), taGPerL: n.optional(), malicGPerL: n.optional(), freeSo2MgPerL: n.optional(), totalSo2MgPerL: n.optional() })).min(2).max(50) }),
    b => blendOf(b.parts.map(defined)))
]
