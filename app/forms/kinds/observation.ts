import { fact } from '~~/core/drafts'
import type { Clarity, EntryOf, Gas } from '~~/core/ledger'
import type { Spot } from '~~/core/malolactic'
import { CLARITY, GAS, SPOT, TESTED, sayPaper } from '~/wording/looks'
import { OBSERVATION } from '~/wording/terms'
import { type EntryForm, choices, lotOf, orNone, text, wanting } from '../spec'

export const observationForm: EntryForm<'observation'> = {
  type: 'observation',
  title: 'Observation',
  fields: ({ what }) => [
    { as: 'choice', key: 'what', label: 'What', items: choices(OBSERVATION) },
    ...(what === 'clarity' ? [{ as: 'choice', key: 'clarity', label: 'How clear', items: choices(CLARITY) } as const] : []),
    ...(what === 'gas' ? [{ as: 'choice', key: 'gas', label: 'Shaken in half a jar', items: choices(GAS) } as const] : []),
    ...(what === 'heat-test' || what === 'cold-test'
      ? [
          {
            as: 'choice',
            key: 'stable',
            label: 'It',
            items: [true, false].map((value) => ({ value, label: TESTED[what][`${value}`] }))
          } as const
        ]
      : []),
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
  from: (e) => ({
    what: e.what,
    text: e.text,
    photo: e.photo,
    clarity: e.clarity,
    gas: e.gas,
    stable: e.stable,
    malic: e.spots?.malic,
    lactic: e.spots?.lactic
  }),
  draft(values, context, before) {
    const [words, photo] = [text(values, 'text'), orNone(text(values, 'photo'))]
    const said = seen(values as Chosen)
    if (!words && !photo && !said.text) return wanting('text', 'Write a word or two.')
    return fact('observation', {
      lotId: before?.lotId ?? lotOf(context),
      what: values.what as EntryOf<'observation'>['what'],
      text: words.slice(0, 2000) || said.text || 'A picture',
      // What was tapped stands while it is said to be a smell; the form changes its words.
      smells: values.what === 'smell' ? before?.smells : undefined,
      clarity: said.clarity,
      gas: said.gas,
      stable: said.stable,
      spots: said.spots,
      photo
    })
  }
}

interface Chosen {
  what?: string
  clarity?: Clarity
  gas?: Gas
  stable?: boolean
  malic?: Spot
  lactic?: Spot
}
const NOTHING = { clarity: undefined, gas: undefined, stable: undefined, spots: undefined, text: '' }

/** What was chosen from the scales, and its words where none were written. */
function seen({ what, clarity, gas, stable, malic, lactic }: Chosen) {
  if (what === 'clarity' && clarity) return { ...NOTHING, clarity, text: CLARITY[clarity] }
  if (what === 'gas' && gas) return { ...NOTHING, gas, text: GAS[gas] }
  if ((what === 'heat-test' || what === 'cold-test') && stable !== undefined) return { ...NOTHING, stable, text: TESTED[what][`${stable}`] }
  if (what === 'chromatogram' && malic && lactic) return { ...NOTHING, spots: { malic, lactic }, text: sayPaper({ malic, lactic }) }
  return NOTHING
}
