import { z } from 'zod'

/**
 * The ledger's entries as they stand in storage and in files. Apart from the other files of this folder so that
 * what folds entries to states need not carry Zod along; `entry.ts` takes its types from here.
 */
const id = z.string().regex(/^[a-z0-9-]{8,64}$/).describe('sorts by the time it was made')
const instant = z.iso.datetime().describe('UTC')
const name = z.string().trim().min(1).max(80)
const text = z.string().max(2000)
const day = z.iso.date()
const positive = z.number().positive().max(1e6)
const amountOrNone = z.number().min(0).max(1e6)

const common = {
  id,
  device: z.string().min(1).max(64).describe('the device that wrote it'),
  at: instant.describe('when it happened'),
  written: instant.describe('when it was written down')
}

export const styleSchema = z.enum(['red', 'rose', 'white'])
export const streamSchema = z.enum(['fresh', 'frozen', 'juice', 'kit', 'test', 'blend'])

export const packetStepSchema = z.enum(['before-yeast', 'yeast', 'ferment', 'stabilise', 'clear'])

const kit = z.strictObject({
  targetSg: z.number().min(1.03).max(1.15).describe('the gravity to water to'),
  lineL: positive.optional().describe('the mark on the pail or in the leaflet: only a hint'),
  packets: z.array(z.strictObject({ name, step: packetStepSchema })).max(20)
})

const lotStarted = z.strictObject({
  ...common,
  type: z.literal('lot-started'),
  lotId: id,
  name,
  stream: streamSchema,
  style: styleSchema,
  varieties: z.array(z.strictObject({ name, share: z.number().gt(0).max(1) })).max(12),
  vintage: z.int().min(1900).max(2200).optional(),
  origin: z.string().max(120).optional(),
  massKg: positive.optional().describe('fruit, kg'),
  volumeL: amountOrNone.describe('must or juice, L; 0 for a blend that is still to be filled'),
  volumeIs: z.enum(['measured', 'expected']),
  vesselId: id.optional(),
  kit: kit.optional(),
  arrivalId: id.optional().describe('the expected arrival that this lot is')
})

export const readingQuantitySchema = z.enum(['sg', 'brix', 'ph', 'ta', 'temperature', 'freeSo2', 'totalSo2', 'malic', 'volume', 'yan', 'sugar', 'abv'])

const reading = z.strictObject({
  ...common,
  type: z.literal('reading'),
  lotId: id,
  quantity: readingQuantitySchema,
  typed: z.string().max(40).describe('exactly as it was typed'),
  value: z.number().min(-50).max(1e6).describe('sg; °Brix; pH; ta, malic, sugar g/L; °C; SO₂ and YAN mg/L; L; % vol'),
  instrumentId: id.optional(),
  sampleC: z.number().min(-10).max(90).optional().describe('temperature of the sample, °C'),
  calibrationC: z.number().min(15).max(25).optional().describe('calibration temperature of the hydrometer, °C'),
  degassed: z.boolean().optional(),
  titration: z.strictObject({
    sampleMl: positive, titrantMl: amountOrNone, normality: positive, stepMl: amountOrNone.optional()
  }).optional()
})

const addition = z.strictObject({
  ...common,
  type: z.literal('addition'),
  lotId: id,
  material: z.string().min(1).max(60),
  unit: z.enum(['g', 'mL', 'L']),
  planned: amountOrNone.optional(),
  actual: amountOrNone,
  so2Share: z.number().min(0).max(1).optional().describe('g SO₂ per g (or per mL of stock) added'),
  purpose: z.string().max(120).optional(),
  stage: z.strictObject({ number: z.int().min(1).max(9), of: z.int().min(1).max(9) }).optional()
})

const inoculation = z.strictObject({
  ...common, type: z.literal('inoculation'), lotId: id, organism: z.enum(['yeast', 'bacteria']), culture: name, grams: amountOrNone.optional()
})

const operation = z.strictObject({
  ...common,
  type: z.literal('operation'),
  lotId: id,
  what: z.enum(['punch-down', 'pump-over', 'stir', 'degas', 'chill', 'heat', 'oak-in', 'oak-out', 'filter', 'settle', 'cold-soak', 'sanitise', 'thaw', 'rehydrate']),
  note: text.optional(),
  plan: z.strictObject({ yeastG: positive, mustC: z.number().min(2).max(40) }).optional().describe('of a rehydration: its times follow from these')
})

const observation = z.strictObject({
  ...common, type: z.literal('observation'), lotId: id, what: z.enum(['smell', 'clarity', 'bubbles', 'taste', 'cap', 'note']), text: text.min(1),
  photo: z.string().regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/=]+$/).max(400_000).optional().describe('a small picture, JPEG')
})

const vessel = z.strictObject({
  ...common,
  type: z.literal('vessel-added'),
  vesselId: id,
  name,
  kind: z.enum(['bin', 'pail', 'demijohn', 'tank', 'barrel', 'keg']),
  capacityL: positive,
  material: z.enum(['glass', 'plastic', 'steel', 'oak']).optional()
})

const vesselCared = z.strictObject({
  ...common, type: z.literal('vessel-cared'), vesselId: id, what: z.enum(['cleaned', 'sanitised']), note: text.optional()
})

const transfer = z.strictObject({
  ...common,
  type: z.literal('transfer'),
  purpose: z.enum(['fill', 'rack', 'press', 'split', 'top-up', 'blend']),
  from: z.strictObject({ lotId: id, vesselId: id.optional() }),
  to: z.strictObject({ lotId: id, vesselId: id.optional() }),
  outL: positive.describe('litres out'),
  inL: amountOrNone.describe('litres that arrived; the rest went to lees')
})

const bottling = z.strictObject({
  ...common, type: z.literal('bottling'), lotId: id, bottles: z.array(z.strictObject({ sizeMl: positive, count: z.int().min(1).max(100_000) })).min(1).max(12)
})

const instrument = z.strictObject({
  ...common,
  type: z.literal('instrument-added'),
  instrumentId: id,
  name,
  kind: z.enum(['hydrometer', 'refractometer', 'ph-meter', 'thermometer', 'scale', 'titration-kit']),
  calibrationC: z.number().min(15).max(25).optional(),
  step: positive.optional()
})

const instrumentCheck = z.strictObject({
  ...common,
  type: z.literal('instrument-checked'),
  instrumentId: id,
  offset: z.number().min(-1000).max(1000).describe('what it shows too much, in its own unit; with a slope: shown = slope × true + offset'),
  slope: z.number().min(0.5).max(1.5).optional().describe('what it shows for each unit of the true value; 1 when left out'),
  standards: z.array(z.strictObject({ known: z.number().min(-1000).max(1e6), shown: z.number().min(-1000).max(1e6) })).max(3).optional().describe('what it was checked against'),
  adjusted: z.boolean().describe('true when it was set right afterwards')
})

const taskEnded = z.strictObject({
  ...common, type: z.literal('task-ended'), lotId: id, task: z.string().min(1).max(60), outcome: z.enum(['done', 'skipped']), note: text.optional()
})

const arrivalExpected = z.strictObject({
  ...common, type: z.literal('arrival-expected'), arrivalId: id, name, stream: streamSchema, style: styleSchema, massKg: positive.optional(), volumeL: positive.optional(),
  on: day.describe('the day it is expected')
})

const blockAdded = z.strictObject({
  ...common, type: z.literal('block-added'), blockId: id, name, style: styleSchema, variety: name.optional(), expectKg: positive.optional().describe('fruit to expect, kg')
})

const blockSampled = z.strictObject({
  ...common, type: z.literal('block-sampled'), blockId: id,
  berries: z.int().min(1).max(5000).optional(),
  brix: z.number().min(0).max(45).optional(), ph: z.number().min(2).max(5).optional(), ta: z.number().min(0).max(40).optional().describe('g/L as tartaric'),
  taste: text.optional()
})

const blockNoted = z.strictObject({
  ...common, type: z.literal('block-noted'), blockId: id, about: z.enum(['weather', 'pests', 'hands', 'other']),
  leans: z.enum(['wait', 'pick', 'neither']).describe('what it argues for'), text: text.min(1)
})

const supplyStocked = z.strictObject({
  ...common, type: z.literal('supply-stocked'), supplyId: id, material: z.string().min(1).max(60), unit: z.enum(['g', 'mL']), amount: positive,
  opened: day.optional(), expires: day.optional(), note: text.optional()
})

const supplyCounted = z.strictObject({ ...common, type: z.literal('supply-counted'), supplyId: id, left: amountOrNone })

/** Everything that can be corrected. */
export const factSchema = z.discriminatedUnion('type', [
  lotStarted, reading, addition, inoculation, operation, observation, vessel, vesselCared, transfer, bottling, instrument, instrumentCheck, taskEnded,
  arrivalExpected, blockAdded, blockSampled, blockNoted, supplyStocked, supplyCounted
])

const correction = z.strictObject({
  ...common,
  type: z.literal('correction'),
  targetId: id,
  reason: text,
  replacement: factSchema.nullable().describe('null strikes the entry')
})

export const entrySchema = z.discriminatedUnion('type', [...factSchema.options, correction])

export const CELLAR_FORMAT = 'presk-cellar'
/** 2 since blocks, arrivals and supplies stand in the ledger; a file of version 1 is read as it is. */
export const CELLAR_VERSION = 2

/** The file that holds a whole cellar. */
export const cellarFileSchema = z.strictObject({
  format: z.literal(CELLAR_FORMAT),
  version: z.union([z.literal(1), z.literal(CELLAR_VERSION)]),
  exportedAt: instant,
  name: z.string().max(80),
  entries: z.array(entrySchema).max(200_000)
})
