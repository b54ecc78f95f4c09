import { z } from 'zod'
import { CALCULATIONS } from '../../calc'

/** The calculations on offer, each with the JSON Schema of its body. */
export default defineEventHandler(() => ({
  calculations: [...CALCULATIONS.values()].map((c) => ({
    name: c.name,
    summary: c.summary,
    method: 'POST',
    path: `/api/calc/${c.name}`,
    body: z.toJSONSchema(c.schema, { io: 'input' })
  }))
}))
