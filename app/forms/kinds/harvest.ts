import { clockMs } from '~/data/clock'
import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { dayHereAfter } from '~/wording/days'
import { ABOUT, LEANS } from '~/wording/harvest'
import { STREAM, STREAM_HINT, STYLE } from '~/wording/terms'
import { type EntryForm, choices, inMass, inVolume, number, orNone, text, wanting } from '../spec'

const COMES_AS = Object.fromEntries(Object.keys(STREAM_HINT).map((key) => [key, STREAM[key as keyof typeof STREAM_HINT]])) as Record<
  keyof typeof STREAM_HINT,
  string
>
const byMass = (stream: unknown) => stream === 'fresh' || stream === 'test'

export const arrivalExpectedForm: EntryForm<'arrival-expected'> = {
  type: 'arrival-expected',
  title: 'Delivery expected',
  fields: (values, { massUnit, volumeUnit }) => [
    { as: 'words', key: 'name', label: 'What is coming' },
    { as: 'choice', key: 'stream', label: 'As', items: choices(COMES_AS) },
    { as: 'choice', key: 'style', label: 'Style', items: choices(STYLE) },
    byMass(values.stream)
      ? {
          ...inMass(massUnit),
          key: 'massKg',
          label: 'How much',
          required: true,
          limits: { min: 0.5, max: 50_000, words: 'Between half a kilogram and 50 tonnes.' }
        }
      : {
          ...inVolume(volumeUnit),
          key: 'volumeL',
          label: 'How much',
          required: true,
          limits: { min: 0.1, max: 100_000, words: 'Between a tenth of a litre and 100,000 litres.' }
        },
    { as: 'day', key: 'on', label: 'Expected on' }
  ],
  blank: () => ({ name: '', stream: 'fresh', style: 'red', on: dayHereAfter(clockMs(), 3) }),
  from: (e) => ({ name: e.name, stream: e.stream, style: e.style, massKg: e.massKg, volumeL: e.volumeL, on: e.on }),
  draft(values, _context, before) {
    const [name, on] = [text(values, 'name'), text(values, 'on')]
    if (!name) return wanting('name', 'Enter what is coming.')
    if (!on) return wanting('on', 'Enter when it is expected.')
    const key = byMass(values.stream) ? ('massKg' as const) : ('volumeL' as const)
    if (number(values, key) === undefined) return wanting(key, 'Enter how much.')
    return fact('arrival-expected', {
      arrivalId: before?.arrivalId ?? newId(),
      name: name.slice(0, 80),
      stream: values.stream as EntryOf<'arrival-expected'>['stream'],
      style: values.style as EntryOf<'arrival-expected'>['style'],
      on,
      massKg: key === 'massKg' ? number(values, key) : undefined,
      volumeL: key === 'volumeL' ? number(values, key) : undefined
    })
  }
}

export const blockAddedForm: EntryForm<'block-added'> = {
  type: 'block-added',
  title: 'Block',
  fields: (_values, { massUnit }) => [
    { as: 'words', key: 'name', label: 'Vineyard or rows' },
    { as: 'choice', key: 'style', label: 'Style', items: choices(STYLE) },
    {
      ...inMass(massUnit),
      key: 'expectKg',
      label: 'Fruit expected',
      hint: 'if you know',
      limits: { min: 0.5, max: 100_000, words: 'Between half a kilogram and 100 tonnes.' }
    }
  ],
  blank: () => ({ name: '', style: 'red' }),
  from: (e) => ({ name: e.name, style: e.style, expectKg: e.expectKg }),
  draft(values, _context, before) {
    const name = text(values, 'name')
    if (!name) return wanting('name', 'A block needs a name: the vineyard, the rows.')
    return fact('block-added', {
      blockId: before?.blockId ?? newId(),
      name: name.slice(0, 80),
      style: values.style as EntryOf<'block-added'>['style'],
      variety: before?.variety,
      expectKg: number(values, 'expectKg')
    })
  }
}

export const blockSampledForm: EntryForm<'block-sampled'> = {
  type: 'block-sampled',
  title: 'Sample',
  fields: () => [
    { as: 'quantity', key: 'brix', label: 'Sugar', measure: 'sugar', unit: '°Brix', quantity: 'brix' },
    { as: 'quantity', key: 'ph', label: 'pH', measure: 'plain', unit: '', quantity: 'ph' },
    { as: 'quantity', key: 'ta', label: 'TA', measure: 'concentration', unit: 'g/L', units: ['g/L', '%'], quantity: 'ta' },
    {
      as: 'quantity',
      key: 'berries',
      label: 'Berries',
      measure: 'plain',
      unit: '',
      hint: '40 to 50, from all over',
      limits: { min: 1, max: 5000, words: 'Between 1 and 5000 berries.' }
    },
    { as: 'words', key: 'taste', label: 'Taste: skins, seeds, juice', max: 2000, wide: true }
  ],
  blank: () => ({ taste: '', blockId: '' }),
  from: (e) => ({ brix: e.brix, ph: e.ph, ta: e.ta, berries: e.berries, taste: e.taste ?? '', blockId: e.blockId }),
  draft(values, _context, before) {
    const [brix, ph, ta, berries, taste] = [
      number(values, 'brix'),
      number(values, 'ph'),
      number(values, 'ta'),
      number(values, 'berries'),
      orNone(text(values, 'taste'))
    ]
    if (brix === undefined && ph === undefined && ta === undefined && taste === undefined)
      return wanting('brix', 'There is nothing to log yet.')
    return fact('block-sampled', {
      blockId: before?.blockId ?? text(values, 'blockId'),
      brix,
      ph,
      ta,
      berries: berries === undefined ? undefined : Math.round(berries),
      taste
    })
  }
}

export const blockNotedForm: EntryForm<'block-noted'> = {
  type: 'block-noted',
  title: 'Note',
  fields: () => [
    { as: 'choice', key: 'about', label: 'About', items: choices(ABOUT) },
    { as: 'choice', key: 'leans', label: 'It speaks', items: choices(LEANS) },
    { as: 'words', key: 'text', label: 'Note', max: 2000, wide: true }
  ],
  blank: () => ({ about: 'weather', leans: 'pick', text: '', blockId: '' }),
  from: (e) => ({ about: e.about, leans: e.leans, text: e.text, blockId: e.blockId }),
  draft(values, _context, before) {
    const words = text(values, 'text')
    if (!words) return wanting('text', 'Write a word or two.')
    return fact('block-noted', {
      blockId: before?.blockId ?? text(values, 'blockId'),
      about: values.about as EntryOf<'block-noted'>['about'],
      leans: values.leans as EntryOf<'block-noted'>['leans'],
      text: words
    })
  }
}
