import { fact } from '~~/core/drafts'
import type { Clarity, EntryOf } from '~~/core/ledger'
import type { Spot } from '~~/core/malolactic'
import { CLARITY, SPOT, sayPaper } from '~/wording/looks'
import { OBSERVATION } from '~/wording/terms'
import { type EntryForm, choices, lotOf, orNone, text, wanting } from '../spec'

export const observationForm: EntryForm<'observation'> = {
  type: 'observation',
  title: 'Observation',
  fields: ({ what }) => [
    { as: 'choice', key: 'what', label: 'What', items: choices(OBSERVATION) },
    ...(what === 'clarity' ? [{ as: 'choice', key: 'clarity', label: 'How clear', items: choices(CLARITY) } as const] : []),
    ...(what === 'chromatogram'
      ? ([
          { as: 'choice', key: 'malic', label: 'Malic spot', items: choices(SPOT) },
          { as: 'choice', key: 'lactic', label: 'Lactic spot', items: choices(SPOT) }
        ] as const)
      : []),
    { as: 'words', key: 'text', label: 'In a few words', max: 2000, wide: true },
    { as: 'picture', key: 'photo', label: 'A picture' }
  ],
  blank: () => ({ what: 'note', text: '' }),
  from: (e) => ({ what: e.what, text: e.text, photo: e.photo, clarity: e.clarity, malic: e.spots?.malic, lactic: e.spots?.lactic }),
  draft(values, context, before) {
    const [words, photo] = [text(values, 'text'), orNone(text(values, 'photo'))]
    const { what, clarity, malic, lactic } = values as Partial<Record<string, string>>
    const said = seen(what, clarity as Clarity | undefined, malic as Spot | undefined, lactic as Spot | undefined)
    if (!words && !photo && !said.text) return wanting('text', 'Write a word or two.')
    return fact('observation', {
      lotId: before?.lotId ?? lotOf(context),
      what: values.what as EntryOf<'observation'>['what'],
      text: words.slice(0, 2000) || said.text || 'A picture',
      // What was tapped stands while it is said to be a smell; the form changes its words.
      smells: what === 'smell' ? before?.smells : undefined,
      clarity: said.clarity,
      spots: said.spots,
      photo
    })
  }
}

/** What was chosen from the scales, and its words where none were written. */
function seen(what?: string, clarity?: Clarity, malic?: Spot, lactic?: Spot) {
  if (what === 'clarity' && clarity) return { clarity, spots: undefined, text: CLARITY[clarity] }
  if (what === 'chromatogram' && malic && lactic) return { clarity: undefined, spots: { malic, lactic }, text: sayPaper({ malic, lactic }) }
  return { clarity: undefined, spots: undefined, text: '' }
}
