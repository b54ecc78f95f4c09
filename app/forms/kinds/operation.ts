import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { OPERATION } from '~/wording/terms'
import { type EntryForm, choices, lotOf, orNone, text } from '../spec'

export const operationForm: EntryForm<'operation'> = {
  type: 'operation',
  title: 'Work done',
  fields: () => [
    { as: 'choice', key: 'what', label: 'What was done', items: choices(OPERATION) },
    { as: 'words', key: 'note', label: 'Note, if any', max: 2000, wide: true }
  ],
  blank: () => ({ what: 'punch-down', note: '' }),
  from: (e) => ({ what: e.what, note: e.note ?? '' }),
  draft: (values, context, before) =>
    fact('operation', {
      lotId: before?.lotId ?? lotOf(context),
      what: values.what as EntryOf<'operation'>['what'],
      note: orNone(text(values, 'note')),
      plan: before?.plan,
      protocol: before?.protocol
    })
}
