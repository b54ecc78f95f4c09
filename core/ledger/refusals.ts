import { z } from 'zod'

const WORD: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  null: 'null'
}
/** More choices than this are not read to the end. */
const MOST_CHOICES = 12

/** What a schema refuses, said of the field: "is missing", "must be at least 0". The words of a schema's own come before these. */
export function refusalOf(issue: z.core.$ZodRawIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      if (issue.input === undefined) return 'is missing'
      return typeof issue.input === 'number' && !Number.isFinite(issue.input)
        ? 'must be a finite number'
        : `must be ${WORD[issue.expected] ?? issue.expected}`
    case 'too_small':
      if (issue.origin === 'string') return Number(issue.minimum) <= 1 ? 'must not be empty' : `must have ${issue.minimum} letters or more`
      if (issue.origin === 'array') return Number(issue.minimum) <= 1 ? 'must not be empty' : `must have ${issue.minimum} parts or more`
      return issue.inclusive ? `must be at least ${issue.minimum}` : `must be more than ${issue.minimum}`
    case 'too_big':
      if (issue.origin === 'string') return `must have ${issue.maximum} letters or fewer`
      if (issue.origin === 'array') return `must have ${issue.maximum} parts or fewer`
      return issue.inclusive ? `must be at most ${issue.maximum}` : `must be less than ${issue.maximum}`
    case 'invalid_value': {
      const choices = issue.values.map(String)
      const shown = `${choices.slice(0, MOST_CHOICES).join(', ')}${choices.length > MOST_CHOICES ? ' …' : ''}`
      return choices.length === 1 ? `must be ${shown}` : `must be one of ${shown}`
    }
    case 'unrecognized_keys':
      return `must not hold “${issue.keys[0]}”: there is no such field`
    case 'invalid_union':
      return 'is of no kind that is known'
    case 'invalid_format':
      return 'is not written as it should be'
    default:
      return 'cannot be'
  }
}

// Once for all schemas: files, tables, forms and calls over HTTP are refused in the same words.
z.config({ localeError: refusalOf })
