import type { Entry } from '~~/core/ledger'
import { entrySchema } from '~~/core/ledger/schema'

/** What cannot be in a draft, by the schemas of the ledger: the field by its name, and why. */
export interface Issue {
  draft: number
  field: string
  reason: string
}
/** @param draft its place among the drafts of the action */
export function issuesOf(entry: Entry, draft: number): Issue[] {
  const parsed = entrySchema.safeParse(entry)
  return parsed.success
    ? []
    : parsed.error.issues.map((issue) => ({
        draft,
        field: issue.path.filter((step) => step !== 'replacement').join('.'),
        reason: issue.message
      }))
}
