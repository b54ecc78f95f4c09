import { type FreeSo2Answer, type FreeSo2Choices, type FreeSo2Number, freeSo2 } from '~~/core/benches'
import { choices } from '~/forms/spec'
import { STYLE } from '~/wording/terms'
import { type BenchForm, plainField } from './spec'

export const freeSo2Form: BenchForm<FreeSo2Number, FreeSo2Choices, FreeSo2Answer> = {
  code: 'free-so2',
  title: 'Free SO₂ by titration',
  bench: freeSo2,
  fields: () => [
    {
      as: 'tiles',
      key: 'method',
      label: 'Method',
      items: [
        { value: 'aspiration', label: 'Aspiration', hint: 'peroxide, then base' },
        { value: 'iodine', label: 'Iodine', hint: 'starch end point' }
      ]
    },
    plainField('sample', 'Sample', [5, 100], 'A sample has between 5 and 100 mL.', { unitLabel: 'mL', stays: true }),
    plainField('titrant', 'Titrant used', [0, 50], 'Titrant used: between 0 and 50 mL.', { unitLabel: 'mL' }),
    plainField('normality', 'Titrant strength', [0.001, 0.1], 'Between 0.001 and 0.1 N.', { unitLabel: 'N', stays: true }),
    { as: 'choice', key: 'style', label: 'Wine', items: choices(STYLE) }
  ],
  refusals: { nothing: 'Enter the titrant used to get the free SO₂.' },
  logged: (lot) => ({ says: `Free SO₂ logged for ${lot.name}`, to: `/lots/${lot.id}` })
}
