import { type HeatAnswer, type HeatNumber, heat } from '~~/core/benches'
import { OPERATION } from '~/wording/terms'
import { type BenchForm, degreesField, plainField, volumeField } from './spec'

export const heatForm: BenchForm<HeatNumber, object, HeatAnswer> = {
  code: 'heat',
  title: 'Cooling and heating',
  bench: heat,
  foretells: true,
  fields: (_, units) => [
    volumeField(units, 'Must'),
    plainField('pace', 'Sugar fermented per day', [0, 150], 'Between 0 and 150 g of sugar in a litre a day.', {
      unitLabel: 'g/L',
      decimals: 0
    }),
    degreesField(units, 'must', 'Temperature now', [-2, 50]),
    degreesField(units, 'target', 'Hold it at', [0, 40]),
    degreesField(units, 'room', 'Room', [-20, 50], { stays: true })
  ],
  logged: (lot, [written]) => ({
    says: `${lot.name}: ${written?.type === 'operation' ? OPERATION[written.what as 'cool' | 'warm'].toLowerCase() : ''}`
  })
}
