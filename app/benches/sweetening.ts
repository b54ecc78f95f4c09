import { type SweeteningAnswer, type SweeteningChoices, type SweeteningNumber, sweetening } from '~~/core/benches'
import { HELD_BY } from '~/wording/finishing'
import { type BenchForm, degreesField, phField, plainField, volumeField, wentInField } from './spec'

export const sweeteningForm: BenchForm<SweeteningNumber, SweeteningChoices, SweeteningAnswer> = {
  code: 'sweet',
  title: 'Sweeten a wine',
  bench: sweetening,
  forgets: ['hadBacteria', 'ferments'],
  figure: { name: 'sorbate', show: (grams, { powder }) => powder(grams) },
  gate: () => 'sweetening',
  fields({ way, sweetener }, context) {
    const nameOf = (key: string) => context.materials('sugar').find((m) => m.value === key)?.label ?? key
    return [
      { as: 'tiles', key: 'way', label: 'How to keep it sweet', items: HELD_BY },
      volumeField(context),
      plainField('abv', 'Alcohol', [0, 18], 'Between 0 and 18 % vol.', { unitLabel: '% vol', decimals: 1 }),
      ...(way === 'sorbate'
        ? [
            phField(),
            plainField('free', 'Free SO₂', [0, 300], 'Enter between 0 and 300 mg/L.', { unitLabel: 'mg/L', decimals: 0 }),
            { as: 'tick', key: 'hadBacteria', label: 'It has had malolactic bacteria' } as const,
            { as: 'tick', key: 'ferments', label: 'It is fermenting, or no two gravities agree yet' } as const,
            wentInField('sorbateIn', 'Potassium sorbate', 'g', { hint: 'leave empty for none' })
          ]
        : []),
      ...(way === 'heat'
        ? [
            degreesField(context, 'heat', 'Temperature', [50, 80]),
            wentInField('heldFor', 'Held for', 'min', {
              hint: 'leave empty if not heated yet',
              limits: { min: 0.001, max: 600, words: 'Between 0 and 600 minutes.' }
            })
          ]
        : []),
      plainField('glassMl', 'Glass for the trial', [20, 1000], 'Between 20 and 1000 mL.', { unitLabel: 'mL', stays: true }),
      {
        as: 'choice',
        key: 'sweetener',
        label: 'Sweetened with',
        items: context.materials('sugar'),
        hint: 'for juice you kept, add a card in Stores'
      },
      plainField('chosen', 'Sweetness chosen', [0, 200], 'Between 0 and 200 g/L.', {
        unitLabel: 'g/L',
        hint: 'by taste, from the trial',
        required: false
      }),
      wentInField('sugarIn', nameOf(sweetener), 'g', { hint: 'leave empty for none', per: 'sweetener' })
    ]
  },
  refusals: { nothing: 'Enter how much went in.' },
  logged: (lot) => ({ says: `${lot.name}: logged`, to: `/lots/${lot.id}` })
}
