import { z } from 'zod'
import { common, id, text } from './fields.schema'
import { SPOTS } from '../../malolactic'
import { CLARITIES } from './clarity'
import { GASES } from './gases'
import { SMELLS } from './smells'

export const observationSchema = z.strictObject({
  ...common,
  type: z.literal('observation'),
  lotId: id,
  what: z.enum(['smell', 'clarity', 'bubbles', 'taste', 'cap', 'chromatogram', 'gas', 'heat-test', 'cold-test', 'warm-glass',
    'next-time', 'note']),
  text: text.min(1),
  smells: z.array(z.enum(SMELLS)).max(SMELLS.length).optional().describe('of a smell: what was tapped'),
  clarity: z.enum(CLARITIES).optional().describe('of a look at its clarity'),
  gas: z.enum(GASES).optional().describe('of a look at its gas: a sample shaken in a closed jar'),
  stable: z.boolean().optional().describe('of a heat or a cold test: nothing fell out; of a glass kept warm with fresh yeast: its '
    + 'gravity stayed'),
  spots: z
    .strictObject({ malic: z.enum(SPOTS), lactic: z.enum(SPOTS) })
    .optional()
    .describe('of a paper chromatogram: its spots beside the standards'),
  photo: z
    .string()
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]+$/, 'must be a JPEG picture')
    .max(400_000)
    .optional()
    .describe('a small picture, JPEG')
})
