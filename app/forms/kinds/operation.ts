import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { OPERATION } from '~/wording/terms'
import { type EntryForm, choices, lotOf, orNone, text } from '../spec'

const USUAL_RULE = { 'heat-test': 'heat-2h', 'cold-test': 'cold-3d' } as const

export const operationForm: EntryForm<'operation'> = {
  type: 'operation',
  title: 'Work done',
  fields: () => [
    { as: 'choice', key: 'what', label: 'What was done', items: choices(OPERATION) },
    { as: 'words', key: 'note', label: 'Note (optional)', max: 2000, wide: true }
  ],
  blank: () => ({ what: 'punch-down', note: '' }),
  from: (e) => ({ what: e.what, note: e.note ?? '' }),
  draft: (values, context, before) =>
    fact('operation', {
      lotId: before?.lotId ?? lotOf(context),
      what: values.what as EntryOf<'operation'>['what'],
      note: orNone(text(values, 'note')),
      plan: before?.plan,
      // A test that is begun by hand runs by the usual rule.
      protocol: before?.protocol ?? USUAL_RULE[values.what as keyof typeof USUAL_RULE]
    })
}
