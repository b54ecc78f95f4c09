import { fact } from '~~/core/drafts'
import type { Clarity, EntryOf, Gas, Smell } from '~~/core/ledger'
import type { Spot } from '~~/core/malolactic'
import { CLARITY, GAS, SPOT, TESTED, sayPaper } from '~/wording/looks'
import { SMELL, saySmells } from '~/wording/smells'
import { OBSERVATION } from '~/wording/terms'
import { type EntryForm, type FieldSpec, choices, lotOf, orNone, text, wanting } from '../spec'

type What = EntryOf<'observation'>['what']
/** What can be chosen from a scale, and what it is then in the entry. */
interface Chosen {
  smell?: Smell
  clarity?: Clarity
  gas?: Gas
  stable?: boolean
  malic?: Spot
  lactic?: Spot
}
interface Scale {
  fields: readonly FieldSpec[]
  /** Nothing while it is not chosen; else its words, used where none were written. */
  seen: (chosen: Chosen, before?: EntryOf<'observation'>) => (Partial<EntryOf<'observation'>> & { text: string }) | undefined
}

const test = (what: 'heat-test' | 'cold-test'): Scale => ({
  fields: [{ as: 'choice', key: 'stable', label: 'It', items: [true, false].map((value) => ({ value, label: TESTED[what][`${value}`] })) }],
  seen: ({ stable }) => (stable === undefined ? undefined : { stable, text: TESTED[what][`${stable}`] })
})

const SCALES: Partial<Record<What, Scale>> = {
  'smell': {
    fields: [{ as: 'choice', key: 'smell', label: 'Smells of', items: choices(SMELL) }],
    // Of several that were tapped on the round the others stay, while the first is not changed.
    seen: ({ smell }, before) => {
      if (!smell) return undefined
      const smells = before?.smells?.[0] === smell ? before.smells : [smell]
      return { smells: [...smells], text: saySmells(smells) }
    }
  },
  'clarity': {
    fields: [{ as: 'choice', key: 'clarity', label: 'How clear', items: choices(CLARITY) }],
    seen: ({ clarity }) => clarity && { clarity, text: CLARITY[clarity] }
  },
  'gas': {
    fields: [{ as: 'choice', key: 'gas', label: 'Shaken in half a jar', items: choices(GAS) }],
    seen: ({ gas }) => gas && { gas, text: GAS[gas] }
  },
  'heat-test': test('heat-test'),
  'cold-test': test('cold-test'),
  'chromatogram': {
    fields: [
      { as: 'choice', key: 'malic', label: 'Malic spot', items: choices(SPOT) },
      { as: 'choice', key: 'lactic', label: 'Lactic spot', items: choices(SPOT) }
    ],
    seen: ({ malic, lactic }) => (malic && lactic ? { spots: { malic, lactic }, text: sayPaper({ malic, lactic }) } : undefined)
  }
}

export const observationForm: EntryForm<'observation'> = {
  type: 'observation',
  title: 'Observation',
  fields: ({ what }) => [
    { as: 'choice', key: 'what', label: 'What', items: choices(OBSERVATION) },
    ...(SCALES[what as What]?.fields ?? []),
    { as: 'words', key: 'text', label: 'Note', max: 2000, wide: true },
    { as: 'picture', key: 'photo', label: 'A picture' }
  ],
  blank: () => ({ what: 'note', text: '' }),
  from: (e) => ({
    what: e.what,
    text: e.text,
    photo: e.photo,
    smell: e.smells?.[0],
    clarity: e.clarity,
    gas: e.gas,
    stable: e.stable,
    malic: e.spots?.malic,
    lactic: e.spots?.lactic
  }),
  draft(values, context, before) {
    const [words, photo] = [text(values, 'text'), orNone(text(values, 'photo'))]
    const what = values.what as What
    const said = SCALES[what]?.seen(values as Chosen, before)
    const [scale] = SCALES[what]?.fields ?? []
    if (!words && !photo && !said)
      return scale ? wanting(scale.key, 'Choose one, or write a word or two.') : wanting('text', 'Write a word or two.')
    return fact('observation', {
      lotId: before?.lotId ?? lotOf(context),
      what,
      smells: said?.smells,
      clarity: said?.clarity,
      gas: said?.gas,
      stable: said?.stable,
      spots: said?.spots,
      text: words.slice(0, 2000) || said?.text || 'A picture',
      photo
    })
  }
}
