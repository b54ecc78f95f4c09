import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { OBSERVATION } from '~/wording/terms'
import { type EntryForm, choices, lotOf, orNone, text, wanting } from '../spec'

export const observationForm: EntryForm<'observation'> = {
  type: 'observation',
  title: 'Observation',
  fields: () => [
    { as: 'choice', key: 'what', label: 'What', items: choices(OBSERVATION) },
    { as: 'words', key: 'text', label: 'In a few words', max: 2000, wide: true },
    { as: 'picture', key: 'photo', label: 'A picture' }
  ],
  blank: () => ({ what: 'note', text: '' }),
  from: (e) => ({ what: e.what, text: e.text, photo: e.photo }),
  draft(values, context, before) {
    const [words, photo] = [text(values, 'text'), orNone(text(values, 'photo'))]
    if (!words && !photo) return wanting('text', 'Write a word or two.')
    return fact('observation', {
      lotId: before?.lotId ?? lotOf(context),
      what: values.what as EntryOf<'observation'>['what'],
      text: words.slice(0, 2000) || 'A picture',
      photo
    })
  }
}
