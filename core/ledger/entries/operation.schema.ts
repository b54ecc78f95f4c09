import { z } from 'zod'
import { PROTOCOLS } from '../../finishing/protocols'
import { common, id, positive, text } from './fields.schema'

export const operationSchema = z.strictObject({
  ...common,
  type: z.literal('operation'),
  lotId: id,
  what: z.enum([
    'punch-down',
    'pump-over',
    'stir',
    'degas',
    'chill',
    'heat',
    'heat-fruit',
    'oak-in',
    'oak-out',
    'filter',
    'settle',
    'cold-soak',
    'sanitise',
    'thaw',
    'rehydrate',
    'restart',
    'malolactic-over',
    'pasteurise',
    'riddle',
    'disgorge',
    'heat-test',
    'cold-test',
    'warm',
    'cool',
    'marbles',
    'gas-cover'
  ]),
  vesselId: id.optional().describe('of marbles or gas: over which of its vessels'),
  litres: positive.optional().describe('of marbles: the room that they take up, L'),
  note: text.optional(),
  sterile: z.boolean().optional().describe('of a filter: it takes out yeast and bacteria'),
  protocol: z.enum(PROTOCOLS).optional().describe('of a heat or a cold test that is begun: by which rule'),
  plan: z
    .strictObject({ yeastG: positive, mustC: z.number().min(2).max(40) })
    .optional()
    .describe('of a rehydration or a restart: its times follow from these')
})
