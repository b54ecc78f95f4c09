import fc from 'fast-check'

/** What is asked of a field by its name before its schema is looked at. */
export type ByName = (field: string) => fc.Arbitrary<unknown> | undefined

/** The part of JSON Schema that the ledger's schemas come to. */
export interface JsonSchema {
  type?: string
  properties?: Record<string, JsonSchema>
  required?: string[]
  items?: JsonSchema
  anyOf?: JsonSchema[]
  oneOf?: JsonSchema[]
  enum?: unknown[]
  const?: unknown
  format?: string
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  minItems?: number
  maxItems?: number
}

/** Anything that a schema of the ledger accepts, the ends of its limits among it. Refinements are left to the schema. */
export function arbitraryOf(schema: JsonSchema, byName: ByName, field = ''): fc.Arbitrary<unknown> {
  const named = byName(field)
  if (named) return named
  if (schema.const !== undefined) return fc.constant(schema.const)
  if (schema.enum) return fc.constantFrom(...schema.enum)
  const choices = schema.anyOf ?? schema.oneOf
  if (choices) return fc.oneof(...choices.map((of) => arbitraryOf(of, byName, field)))
  switch (schema.type) {
    case 'object':
      return fc.record(
        Object.fromEntries(Object.entries(schema.properties ?? {}).map(([key, of]) => [key, arbitraryOf(of, byName, key)])),
        { requiredKeys: schema.required ?? [] }
      )
    case 'array':
      return fc.array(arbitraryOf(schema.items!, byName, field), {
        minLength: schema.minItems ?? 0,
        maxLength: Math.min(4, schema.maxItems ?? 4)
      })
    case 'number':
    case 'integer':
      return numbers(schema)
    case 'string':
      return schema.format === 'date'
        ? fc.constantFrom('2026-10-03', '2030-01-01')
        : fc.constantFrom('plain words', 'x', '<b>bold</b>', '🍷', 'constructor')
    case 'boolean':
      return fc.boolean()
    case 'null':
      return fc.constant(null)
    default:
      throw new TypeError(`no arbitrary for ${JSON.stringify(schema).slice(0, 80)} at ${field}`)
  }
}

function numbers({ type, minimum, maximum, exclusiveMinimum }: JsonSchema): fc.Arbitrary<number> {
  const min = Math.max(-1e6, minimum ?? (exclusiveMinimum === undefined ? -1e6 : exclusiveMinimum + 1e-6))
  const max = Math.min(1e6, maximum ?? 1e6)
  if (type === 'integer') return fc.integer({ min: Math.ceil(min), max: Math.floor(Math.min(maximum ?? max, 2_000_000_000)) })
  const usual = [0.05, 0.5, 1, 3, 10, 24, 100].filter((n) => n >= min && n <= max)
  return fc.oneof(
    { weight: 4, arbitrary: usual.length > 0 ? fc.constantFrom(...usual) : fc.constant(min) },
    { weight: 1, arbitrary: fc.constantFrom(min, max) },
    { weight: 2, arbitrary: fc.double({ min, max, noNaN: true }) }
  )
}
