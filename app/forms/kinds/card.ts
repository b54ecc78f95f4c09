import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { MATERIAL_KIND } from '~/wording/materials'
import { CLOSURE } from '~/wording/terms'
import { type EntryForm, type FieldSpec, choices, inTemperature, number, orNone, text, wanting } from '../spec'

type Kind = EntryOf<'card-made'>['kind']
const KINDS = ([
  'yeast',
  'nutrient',
  'bacteria',
  'fining',
  'oak',
  'sugar',
  'tannin',
  'enzyme',
  'acid',
  'bottle',
  'closure'
] as const).map((value) => ({
  value,
  label: MATERIAL_KIND[value]
}))
const LEVELS = { '': 'not given', low: 'low', medium: 'medium', high: 'high' }
const ALLERGEN = { '': 'none, or not given', egg: 'egg', milk: 'milk', fish: 'fish', shellfish: 'shellfish', sulphites: 'sulphites' }
const MLF = { '': 'not given', friendly: 'compatible', neutral: 'neutral', hindering: 'hinders it' }

const figure = (key: string, label: string, unitLabel: string, min: number, max: number): FieldSpec => ({
  as: 'quantity',
  key,
  label,
  measure: 'plain',
  unit: '',
  unitLabel,
  limits: { min, max, words: `Between ${min} and ${max} ${unitLabel}.` }
})

/** What a packet of each kind may say. All of it may be left open. */
function fieldsOf(kind: Kind, temperatureUnit: '°C' | '°F'): FieldSpec[] {
  const celsius = (key: string, label: string): FieldSpec => ({
    ...inTemperature(temperatureUnit),
    key,
    label,
    limits: { min: 0, max: 45, words: 'That is no temperature for a ferment.' }
  })
  const dose = [figure('doseMin', 'Usual dose, from', 'g/L', 0.001, 1000), figure('doseMax', 'to', 'g/L', 0.001, 1000)]
  const range = [celsius('minC', 'Works from'), celsius('maxC', 'to')]
  switch (kind) {
    case 'yeast':
      return [
        ...range,
        figure('toleranceAbv', 'Tolerates alcohol up to', '% vol', 5, 20),
        { as: 'choice', key: 'nitrogenNeed', label: 'Nitrogen need', items: choices(LEVELS) },
        { as: 'choice', key: 'sulphideRisk', label: 'Rotten-egg risk', items: choices(LEVELS) },
        { as: 'choice', key: 'malolactic', label: 'Malolactic', items: choices(MLF) },
        ...dose
      ]
    case 'bacteria':
      return [
        ...range,
        figure('toleranceAbv', 'Tolerates alcohol up to', '% vol', 5, 20),
        figure('minPh', 'From pH', '', 2.8, 4),
        figure('maxTotalSo2MgPerL', 'Total SO₂ up to', 'mg/L', 0, 100),
        ...dose
      ]
    case 'nutrient':
      return [figure('nitrogenMgPerG', 'Nitrogen in a gram', 'mg', 0, 300), figure('limitPerL', 'At most, in all', 'g/L', 0.01, 5), ...dose]
    case 'sugar':
      return [figure('sugarPercent', 'Sugar in it', '%', 1, 100), figure('acidPercent', 'Acid in it, as tartaric', '%', 0, 20)]
    case 'acid':
      return [figure('acidGPerL', 'Acid in it, as citric', 'g/L', 1, 900)]
    case 'fining':
      return [...dose, { as: 'choice', key: 'allergen', label: 'Allergen', items: choices(ALLERGEN) }]
    case 'bottle':
      return [
        { ...figure('sizeMl', 'Size', 'mL', 10, 60_000), required: true } as FieldSpec,
        { ...figure('ratedBar', 'Rated for', 'bar', 0, 20), hint: 'by the maker; leave empty for still wine' }
      ]
    case 'closure':
      return [{ as: 'choice', key: 'closes', label: 'Closes like a', items: choices(CLOSURE) }]
    case 'oak':
    case 'tannin':
    case 'enzyme':
      return dose
  }
}

const FIGURES = [
  'doseMin',
  'doseMax',
  'limitPerL',
  'nitrogenMgPerG',
  'acidGPerL',
  'minC',
  'maxC',
  'toleranceAbv',
  'minPh',
  'maxTotalSo2MgPerL',
  'sizeMl',
  'ratedBar'
] as const
const WORDS = ['nitrogenNeed', 'sulphideRisk', 'malolactic', 'allergen', 'closes'] as const

/** A card of one's own, from the packet. */
export const cardMadeForm: EntryForm<'card-made'> = {
  type: 'card-made',
  title: 'A card of your own',
  fields: (values, { temperatureUnit }) => [
    { as: 'choice', key: 'kind', label: 'Kind', items: KINDS },
    { as: 'words', key: 'name', label: 'Name on the packet', wide: true },
    ...fieldsOf((values.kind ?? 'yeast') as Kind, temperatureUnit as '°C' | '°F'),
    { as: 'words', key: 'note', label: 'Other information', max: 2000, wide: true }
  ],
  blank: () => ({ kind: 'yeast', name: '', note: '', nitrogenNeed: '', sulphideRisk: '', malolactic: '', allergen: '', closes: 'cork' }),
  from: (e) => ({
    kind: e.kind,
    name: e.name,
    note: e.note ?? '',
    ...Object.fromEntries(FIGURES.map((key) => [key, e[key]])),
    ...Object.fromEntries(WORDS.map((key) => [key, e[key] ?? ''])),
    sugarPercent: e.sugarShare === undefined ? undefined : e.sugarShare * 100,
    acidPercent: e.acidShare === undefined ? undefined : e.acidShare * 100
  }),
  draft(values, context, before) {
    const name = text(values, 'name')
    if (!name) return wanting('name', 'Enter the name on the packet.')
    const kind = values.kind as Kind
    const asked = new Set(fieldsOf(kind, '°C').map((field) => field.key))
    const figureOf = (key: string) => (asked.has(key) ? number(values, key) : undefined)
    const wordOf = (key: string) => (asked.has(key) ? orNone(text(values, key)) : undefined)
    const [minC, maxC] = [figureOf('minC'), figureOf('maxC')]
    if (minC !== undefined && maxC !== undefined && minC > maxC) return wanting('maxC', 'This is below the lower limit.')
    if (kind === 'bottle' && figureOf('sizeMl') === undefined) return wanting('sizeMl', 'Enter its size.')
    const percent = (key: string) => (figureOf(key) === undefined ? undefined : figureOf(key)! / 100)
    return fact('card-made', {
      cardId: before?.cardId ?? newId(),
      kind,
      name: name.slice(0, 80),
      doseMin: figureOf('doseMin'),
      doseMax: figureOf('doseMax'),
      limitPerL: figureOf('limitPerL'),
      unit: before?.unit,
      nitrogenMgPerG: figureOf('nitrogenMgPerG'),
      sugarShare: percent('sugarPercent'),
      acidShare: percent('acidPercent'),
      minC,
      maxC,
      toleranceAbv: figureOf('toleranceAbv'),
      nitrogenNeed: wordOf('nitrogenNeed') as 'low' | undefined,
      sulphideRisk: wordOf('sulphideRisk') as 'low' | undefined,
      malolactic: wordOf('malolactic') as 'neutral' | undefined,
      styles: before?.styles,
      minPh: figureOf('minPh'),
      maxTotalSo2MgPerL: figureOf('maxTotalSo2MgPerL'),
      allergen: wordOf('allergen') as 'egg' | undefined,
      sizeMl: figureOf('sizeMl'),
      ratedBar: figureOf('ratedBar'),
      closes: wordOf('closes') as 'cork' | undefined,
      note: orNone(text(values, 'note'))
    })
  }
}
