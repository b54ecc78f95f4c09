import { type AlcoholAnswer, type AlcoholChoices, type AlcoholNumber, alcohol } from '~~/core/benches'
import { inSugar } from '~/forms/spec'
import { type BenchForm, plainField } from './spec'

const brixField = <K extends string>(key: K, label: string, hint?: string) =>
  plainField(key, label, [0, 32], 'A refractometer reads between 0 and 32 °Brix.', { unitLabel: '°Brix', hint })

export const alcoholForm: BenchForm<AlcoholNumber, AlcoholChoices, AlcoholAnswer> = {
  code: 'alcohol',
  title: 'Alcohol',
  bench: alcohol,
  fields: ({ byRefractometer }) => [
    {
      as: 'tiles',
      key: 'byRefractometer',
      label: 'Measured with',
      items: [
        { value: false, label: 'a hydrometer' },
        { value: true, label: 'a refractometer' }
      ]
    },
    ...(byRefractometer
      ? [
          brixField('first', 'Before the ferment'),
          brixField('present', 'Now', 'as read'),
          plainField('offset', 'Reading in distilled water', [-5, 5], 'An offset over 5 °Brix means a broken instrument.', {
            unitLabel: '°Brix',
            required: false,
            stays: true
          })
        ]
      : [
          { ...inSugar('SG'), key: 'original', label: 'Before the ferment', required: true } as const,
          { ...inSugar('SG'), key: 'current', label: 'Now', required: true } as const
        ])
  ]
}
