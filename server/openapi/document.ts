import { z } from 'zod'
import { ADVICE_BODY } from '../advice/advice'
import { CALCULATIONS } from '../calc'
import { ASKED } from '../instruments/asked'

/** A JSON Schema as OpenAPI 3.1 takes it (draft 2020-12). */
type Schema = Record<string, unknown>
const schemaOf = (schema: z.ZodType): Schema => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Schema
  return rest
}
const json = (schema: Schema) => ({ 'application/json': { schema } })
const error = (description: string, more: Record<string, Schema> = {}) => ({
  description,
  content: json({ type: 'object', required: ['error'], properties: { error: { type: 'string' }, ...more } })
})
const text = { type: 'string' }

const COMMON = {
  BadBody: error('The body is not JSON, or a field of it is wrong.', { field: text, reason: text }),
  TooLarge: error('The body is too large.'),
  Busy: error('Too many calculations are waiting. Try again after the seconds given in Retry-After.'),
  TooLong: error('The calculation was given up. Ask for less at once.', { seconds: { type: 'number' } })
}
const ref = (name: keyof typeof COMMON) => ({ $ref: `#/components/responses/${name}` })
const ANSWER = { description: 'The answer.', content: json({ type: 'object' }) }

const posted = (id: string, summary: string, tag: string, schema: Schema) => ({
  post: {
    operationId: id,
    summary,
    tags: [tag],
    requestBody: { required: true, content: json(schema) },
    responses: { 200: ANSWER, 400: ref('BadBody'), 413: ref('TooLarge'), 429: ref('Busy'), 503: ref('TooLong') }
  }
})
const looked = (id: string, summary: string, tag: string, query?: z.ZodType) => {
  const asked = query && schemaOf(query) as { properties: Record<string, Schema>, required?: string[] }
  return {
    get: {
      operationId: id,
      summary,
      tags: [tag],
      ...(asked && {
        parameters: Object.entries(asked.properties).map(([name, schema]) => ({
          name, in: 'query', required: asked.required?.includes(name) ?? false, schema
        }))
      }),
      responses: { 200: ANSWER, ...(asked && { 400: ref('BadBody') }) }
    }
  }
}

/** What the server offers as OpenAPI 3.1, made from the schemas that check what is sent: it cannot say anything else than what is done. */
export const openApi = () => ({
  openapi: '3.1.0',
  info: {
    title: 'Presk',
    version: '1',
    summary: 'Calculations for home grape winemakers.',
    description: 'Stateless: nothing that is sent is kept. Check every dose against the packet and your local rules.'
  },
  servers: [{ url: '/' }],
  tags: [
    { name: 'calculations', description: 'One calculation each.' },
    { name: 'cellar', description: 'An exported cellar, and advice on it.' },
    { name: 'instruments', description: 'Simulated instruments.' },
    { name: 'server', description: 'The server itself.' }
  ],
  paths: {
    ...Object.fromEntries([...CALCULATIONS.values()].map((c) => [
      `/api/calc/${c.name}`, posted(c.name, c.summary, 'calculations', schemaOf(c.schema))
    ])),
    '/api/calc': looked('calculations', 'All calculations, each with the schema of its body.', 'calculations'),
    '/api/advice': posted(
      'advice', 'What Presk says of an exported cellar at an instant: tasks, findings and ways.', 'cellar', schemaOf(ADVICE_BODY)
    ),
    '/api/schema/cellar': looked('cellar-schema', 'The JSON Schema of a cellar file.', 'cellar'),
    '/api/instruments/float': looked('float', 'Readings of a simulated floating hydrometer.', 'instruments', ASKED.float),
    '/api/instruments/ph-meter': looked('ph-meter', 'Readings of a simulated pH meter in a simulated wine.', 'instruments', ASKED.phMeter),
    '/api/instruments/cellar-thermometer':
      looked('cellar-thermometer', 'Readings of a simulated cellar thermometer.', 'instruments', ASKED.cellar),
    '/api/health': looked('health', 'Whether the server answers.', 'server'),
    '/api/openapi.json': looked('openapi', 'This description.', 'server')
  },
  components: { responses: COMMON }
})
