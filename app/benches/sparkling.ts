import { ANOTHER_BOTTLE, type SparklingAnswer, type SparklingChoices, type SparklingNumber, sparkling } from '~~/core/benches'
import { cardsOf } from '~~/core/materials'
import type { OwnUnits } from '~/forms/spec'
import { materialTitle } from '~/wording/materials'
import { type BenchForm, degreesField, plainField, volumeField, wentInField } from './spec'

/** Above the air's pressure. */
const barField = <K extends string>(units: OwnUnits, key: K, label: string, most: number, hint: string) => ({
  as: 'quantity',
  key,
  label,
  measure: 'pressure',
  unit: units.pressureUnit,
  units: ['bar', 'psi'],
  required: true,
  decimals: units.pressureUnit === 'bar' ? 1 : 0,
  hint,
  limits: { min: 0, max: most, words: units.own(`Between 0 and ${most} bar.`) }
} as const)

export const sparklingForm: BenchForm<SparklingNumber, SparklingChoices, SparklingAnswer> = {
  code: 'sparkling',
  title: 'Sparkling wine',
  bench: sparkling,
  figure: { name: 'sugar to add', show: (grams, { powder }) => powder(grams) },
  gate: () => 'bottling-sparkling',
  fields({ bottle, tested }, context) {
    // What is rated, the usual bottle to be told why not, and one's own.
    const bottles = cardsOf(['bottle'], context.cellar.cards).filter((c) => c.bottle!.ratedBar > 0 || c.key === 'bottle-750' || c.name)
    const items = bottles.map(({ key }) => ({ value: key, label: materialTitle(key, context.cellar.cards) }))
    return [
      {
        as: 'choice',
        key: 'bottle',
        label: 'Bottle',
        items: [...items, { value: ANOTHER_BOTTLE, label: 'Another bottle' }],
        wide: true
      },
      ...(bottle === ANOTHER_BOTTLE
        ? [{ ...barField(context, 'own', 'Rated for', 20, 'above the air outside, as the maker says'), wide: true }]
        : []),
      barField(context, 'target', 'Pressure wanted', 8, context.own('from 3.5 bar at 20 °C it is sparkling wine (EU)')),
      volumeField(context),
      plainField('residual', 'Sugar left', [0, 300], 'Between 0 and 300 g/L.', {
        unitLabel: 'g/L',
        hint: tested ? 'every gram makes gas' : 'from the gravity, to about 5 g/L',
        decimals: tested ? 1 : 0
      }),
      {
        as: 'tick',
        key: 'tested',
        label: 'The sugar was tested',
        hint: 'If not, Presk allows for 5 g/L more, so that the bottle is safe.'
      },
      plainField('abv', 'Alcohol', [0, 18], 'Between 0 and 18 % vol.', { unitLabel: '% vol', decimals: 1 }),
      degreesField(context, 'served', 'Served at', [-2, 40]),
      degreesField(context, 'warmest', 'Highest storage temperature', [-2, 40]),
      degreesField(context, 'fermented', 'Highest temperature since the ferment', [-2, 40], { hint: 'shows how much gas is left' }),
      wentInField('actual', 'Household sugar', 'g')
    ]
  },
  refusals: { nothing: 'Enter how much sugar went in.' },
  logged: (lot) => ({ says: `${lot.name}: sugar for the bottle is in`, to: `/lots/${lot.id}?log=bottles` })
}
