import { z } from 'zod'
import { CLOSURES } from './closures'
import { common, id, name, positive, styleSchema, text } from './fields.schema'

const level = z.enum(['low', 'medium', 'high'])

/** A card of one's own, from a packet. What is not known stays open. */
export const cardMadeSchema = z.strictObject({
  ...common,
  type: z.literal('card-made'),
  cardId: id,
  kind: z.enum(['yeast', 'nutrient', 'bacteria', 'fining', 'oak', 'sugar', 'tannin', 'enzyme', 'acid', 'bottle', 'closure']),
  name,
  doseMin: positive.optional().describe('usual amount for a litre, g or mL'),
  doseMax: positive.optional(),
  limitPerL: positive.optional().describe('most that may go in altogether, for a litre'),
  unit: z.enum(['g', 'mL']).optional(),
  nitrogenMgPerG: z.number().min(0).max(300).optional().describe('nitrogen that yeast can use'),
  sugarShare: z.number().gt(0).max(1).optional().describe('g of sugar in a gram; a concentrate’s Brix ÷ 100'),
  acidGPerL: z.number().min(1).max(900).optional().describe('of a juice or solution of acid: g of it as citric in a litre'),
  acidShare: z.number().min(0).max(0.2).optional().describe('g of acid as tartaric in a gram'),
  minC: z.number().min(0).max(45).optional(),
  maxC: z.number().min(0).max(45).optional(),
  toleranceAbv: z.number().min(5).max(20).optional(),
  nitrogenNeed: level.optional(),
  sulphideRisk: level.optional(),
  malolactic: z.enum(['friendly', 'neutral', 'hindering']).optional(),
  styles: z.array(styleSchema).max(3).optional(),
  minPh: z.number().min(2.8).max(4).optional(),
  maxTotalSo2MgPerL: z.number().min(0).max(100).optional(),
  sizeMl: z.number().min(10).max(60_000).optional().describe('of a bottle'),
  ratedBar: z.number().min(0).max(20).optional().describe('of a bottle: gauge pressure that its maker rates it for'),
  closes: z.enum(CLOSURES).optional().describe('of a closure: as which of the usual ones'),
  allergen: z.enum(['egg', 'milk', 'fish', 'shellfish', 'sulphites']).optional(),
  note: text.optional()
})
