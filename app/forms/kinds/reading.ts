import { reading, titration } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { QUANTITIES, QUANTITY_NAMES, READ_BY, type QuantityName } from '~~/core/quantities'
import { POTENTIAL } from '~~/core/units'
import { capital } from '~/wording/findings/say'
import { QUANTITY } from '~/wording/terms'
import {
  type EntryForm,
  type FieldSpec,
  type FormContext,
  type Values,
  inTemperature,
  inVolume,
  lotOf,
  number,
  orNone,
  text,
  wanting
} from '../spec'

const part = (key: string, label: string, unitLabel: string, min: number, max: number): FieldSpec => ({
  as: 'quantity',
  key,
  label,
  measure: 'plain',
  unit: '',
  unitLabel,
  required: true,
  limits: { min, max, words: `Between ${min} and ${max} ${unitLabel}.` }
})

function valueField(quantity: QuantityName, context: FormContext): FieldSpec {
  const field = { as: 'quantity', key: `value-${quantity}`, label: 'Reading', required: true, quantity } as const
  switch (quantity) {
    case 'sg':
      return { ...field, measure: 'sugar', unit: 'SG', units: ['SG', POTENTIAL] }
    case 'brix':
      return { ...field, measure: 'sugar', unit: '°Brix' }
    case 'temperature':
      return { ...field, ...inTemperature(context.temperatureUnit) }
    case 'volume':
      return { ...field, ...inVolume(context.volumeUnit) }
    case 'ta':
      return { ...field, measure: 'concentration', unit: 'g/L', units: ['g/L', '%'] }
    default:
      return { ...field, measure: 'plain', unit: '', unitLabel: QUANTITIES[quantity].unit }
  }
}

export const readingForm: EntryForm<'reading'> = {
  type: 'reading',
  title: 'Reading',
  fields(values, context) {
    const quantity = (values.quantity ?? 'sg') as QuantityName
    const instruments = [...context.cellar.instruments.values()].filter((i) => READ_BY[quantity]?.includes(i.kind))
    return [
      ...(values.titrated
        ? []
        : [
            {
              as: 'choice',
              key: 'quantity',
              label: 'What',
              items: QUANTITY_NAMES.map((value) => ({ value, label: capital(QUANTITY[value]) }))
            } as const
          ]),
      ...(values.titrated
        ? [
            part('titrantMl', 'Titrant used', 'mL', 0, 200),
            part('sampleMl', 'Sample', 'mL', 0.5, 250),
            part('normality', 'Titrant strength', 'N', 0.005, 2),
            part('stepMl', 'Smallest step', 'mL', 0.001, 5)
          ]
        : [valueField(quantity, context)]),
      ...(quantity === 'sg' || quantity === 'brix'
        ? [
            {
              ...inTemperature(context.temperatureUnit),
              key: 'sampleC',
              label: 'Sample temperature',
              quantity: 'temperature',
              hint: 'leave empty if corrected'
            } as const
          ]
        : []),
      ...(instruments.length > 0
        ? [
            {
              as: 'choice',
              key: 'instrumentId',
              label: 'Instrument',
              items: [{ value: '', label: 'not given' }, ...instruments.map((i) => ({ value: i.id, label: i.name }))]
            } as const
          ]
        : [])
    ]
  },
  blank: () => ({ quantity: 'sg', instrumentId: '' }),
  from: (e) => ({
    quantity: e.quantity,
    instrumentId: e.instrumentId ?? '',
    sampleC: e.sampleC,
    [`value-${e.quantity}`]: e.value,
    titrated: e.titration !== undefined,
    ...(e.titration && {
      titrantMl: e.titration.titrantMl,
      sampleMl: e.titration.sampleMl,
      normality: e.titration.normality,
      stepMl: e.titration.stepMl ?? 0.1
    })
  }),
  draft(values, context, before) {
    const lotId = before?.lotId ?? lotOf(context)
    if (values.titrated) {
      const [sampleMl, titrantMl, normality] = ['sampleMl', 'titrantMl', 'normality'].map((key) => number(values, key))
      if (sampleMl === undefined || titrantMl === undefined || normality === undefined)
        return wanting('titrantMl', 'Fill in all titration fields.')
      return titration(lotId, { sampleMl, titrantMl, normality, stepMl: number(values, 'stepMl') ?? 0.1 }, { degassed: before?.degassed })
    }
    const quantity = values.quantity as QuantityName
    const value = number(values, `value-${quantity}`)
    if (value === undefined) return wanting(`value-${quantity}`, 'This is needed.')
    return reading({
      lotId,
      quantity,
      value,
      typed: text(values, `value-${quantity}-typed`) || String(value),
      sampleC: number(values, 'sampleC'),
      instrumentId: orNone(text(values, 'instrumentId')),
      degassed: before?.degassed,
      calibrationC: before?.calibrationC
    })
  }
}

/** What a reading is of, once it is known in which unit it was typed: a must's sugar may be typed in either. */
export const valuesOfReading = (quantity: EntryOf<'reading'>['quantity']): Values => ({ quantity, instrumentId: '' })
