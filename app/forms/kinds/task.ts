import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { type EntryForm, lotOf, orNone, text } from '../spec'

const OUTCOME: Record<EntryOf<'task-ended'>['outcome'], string> = {
  'done': 'Done',
  'otherwise': 'Done another way',
  'was-so': 'Already done',
  'skipped': 'Skipped',
  'moved': 'Later',
  'could-not': 'Could not be done',
  'not-wanted': 'No longer wanted',
  'seen': 'Dismissed'
}

export const taskEndedForm: EntryForm<'task-ended'> = {
  type: 'task-ended',
  title: 'Task',
  fields: () => [
    { as: 'choice', key: 'outcome', label: 'Outcome', items: Object.entries(OUTCOME).map(([value, label]) => ({ value, label })) },
    { as: 'words', key: 'note', label: 'Note (optional)', max: 2000, wide: true }
  ],
  blank: () => ({ outcome: 'done', note: '', task: '' }),
  from: (e) => ({ outcome: e.outcome, note: e.note ?? '', task: e.task }),
  draft: (values, context, before) =>
    fact('task-ended', {
      lotId: before?.lotId ?? lotOf(context),
      task: text(values, 'task'),
      outcome: values.outcome as EntryOf<'task-ended'>['outcome'],
      until: values.outcome === 'moved' ? before?.until : undefined,
      answer: before?.answer,
      note: orNone(text(values, 'note'))
    })
}
