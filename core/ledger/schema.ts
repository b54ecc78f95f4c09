import { z } from 'zod'
import { additionSchema } from './entries/addition.schema'
import { airReadSchema } from './entries/air-read.schema'
import { arrivalExpectedSchema } from './entries/arrival-expected.schema'
import { blockAddedSchema, blockNotedSchema, blockSampledSchema } from './entries/block.schema'
import { bottleTakenSchema } from './entries/bottle-taken.schema'
import { bottlingSchema } from './entries/bottling.schema'
import { cardMadeSchema } from './entries/card-made.schema'
import { costSchema } from './entries/cost.schema'
import { common, id, instant, text } from './entries/fields.schema'
import { equipmentSaidSchema } from './entries/equipment.schema'
import { inoculationSchema } from './entries/inoculation.schema'
import { instrumentAddedSchema } from './entries/instrument-added.schema'
import { instrumentCheckedSchema } from './entries/instrument-checked.schema'
import { lotAmendedSchema } from './entries/lot-amended.schema'
import { lotPlannedSchema } from './entries/lot-planned.schema'
import { lotStartedSchema } from './entries/lot-started.schema'
import { observationSchema } from './entries/observation.schema'
import { operationSchema } from './entries/operation.schema'
import { planKeptSchema } from './entries/plan-kept.schema'
import { readingSchema } from './entries/reading.schema'
import { supplyCountedSchema, supplyStockedSchema } from './entries/supply.schema'
import { taskEndedSchema } from './entries/task-ended.schema'
import { tastingSchema } from './entries/tasting.schema'
import { transferSchema } from './entries/transfer.schema'
import { vesselAddedSchema } from './entries/vessel-added.schema'
import { vesselAmendedSchema } from './entries/vessel-amended.schema'
import { vesselCaredSchema } from './entries/vessel-cared.schema'
import { CELLAR_FORMAT, CELLAR_VERSION } from './format'

export { packetStepSchema, streamSchema, styleSchema } from './entries/fields.schema'
export { readingQuantitySchema } from './entries/reading.schema'

/** Everything that can be corrected; the schema of each kind stands beside what folds it, in `entries/`. */
export const factSchema = z.discriminatedUnion('type', [
  lotStartedSchema,
  readingSchema,
  additionSchema,
  inoculationSchema,
  operationSchema,
  observationSchema,
  vesselAddedSchema,
  vesselCaredSchema,
  vesselAmendedSchema,
  airReadSchema,
  transferSchema,
  bottlingSchema,
  bottleTakenSchema,
  tastingSchema,
  costSchema,
  instrumentAddedSchema,
  instrumentCheckedSchema,
  taskEndedSchema,
  arrivalExpectedSchema,
  blockAddedSchema,
  blockSampledSchema,
  blockNotedSchema,
  supplyStockedSchema,
  supplyCountedSchema,
  lotPlannedSchema,
  planKeptSchema,
  lotAmendedSchema,
  cardMadeSchema,
  equipmentSaidSchema
])

const correctionSchema = z.strictObject({
  ...common,
  type: z.literal('correction'),
  targetId: id,
  reason: text,
  replacement: factSchema.nullable().describe('null strikes the entry')
})

export const entrySchema = z.discriminatedUnion('type', [...factSchema.options, correctionSchema])

export { CELLAR_FORMAT, CELLAR_VERSION }

/** The file that holds a whole cellar. Older forms are brought to this one before they are checked, see `upcast/`. */
export const cellarFileSchema = z.strictObject({
  format: z.literal(CELLAR_FORMAT),
  version: z.literal(CELLAR_VERSION),
  exportedAt: instant,
  name: z.string().max(80),
  entries: z.array(entrySchema).max(200_000)
})
