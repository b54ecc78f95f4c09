import { type ColdAnswer, type ColdNumber, cold } from '~~/core/benches'
import { type BenchForm, degreesField, phField, plainField } from './spec'

export const coldForm: BenchForm<ColdNumber, object, ColdAnswer> = {
  code: 'cold',
  title: 'Cold stabilising',
  bench: cold,
  figure: { name: 'tartar that drops', show: (gPerL) => `${gPerL.toFixed(1)} g/L` },
  fields: (_, context) => [
    phField(),
    {
      as: 'quantity',
      key: 'ta',
      label: 'TA',
      measure: 'concentration',
      unit: 'g/L',
      unitLabel: 'g/L',
      quantity: 'ta',
      required: true,
      decimals: 1
    },
    plainField('abv', 'Alcohol', [0, 18], 'Between 0 and 18 % vol.', { unitLabel: '% vol', decimals: 1 }),
    degreesField(context, 'kept', 'Kept at', [-10, 20], { hint: 'filled in a degree above freezing' })
  ]
}
