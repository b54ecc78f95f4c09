import { z } from 'zod'
import { cellarFileSchema } from '../../../core/ledger/schema'

/** The JSON Schema of a cellar file, made from the schema that reads it. */
export default defineEventHandler(() => z.toJSONSchema(cellarFileSchema, { io: 'input' }))
