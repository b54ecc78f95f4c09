import { type YeastAnswer, type YeastChoices, type YeastNumber, yeast } from '~~/core/benches'
import { ASSUMED_YAN } from '~~/core/yeast'
import { choices, inSugar, type OwnUnits } from '~/forms/spec'
import { sayWhen } from '~/wording/days'
import { STYLE } from '~/wording/terms'
import { type BenchField, type BenchForm, degreesField, plainField, volumeField, wentInField } from './spec'

type Form = BenchForm<YeastNumber, YeastChoices, YeastAnswer>
const haveField = (hint: string) =>
  plainField('have', 'Yeast you have', [0.5, 5000], 'Between 0.5 and 5000 g of yeast.', {
    unitLabel: 'g',
    hint,
    required: false,
    part: 'short'
  })
const mustField = (units: OwnUnits, label: string, hint: string) => degreesField(units, 'must', label, [2, 40], { hint })

/** Any must, of a lot or of none: which yeast, how much, and its nutrient. */
export const yeastForm: Form = {
  code: 'yeast',
  title: 'Yeast and nutrient',
  bench: yeast,
  figure: { name: 'nutrient', show: (grams, { powder }) => powder(grams) },
  fields: (_, context): BenchField<YeastNumber, YeastChoices>[] => [
    { ...inSugar(context.sugarUnit), key: 'sg', label: 'Sugar', required: true },
    volumeField(context),
    mustField(context, 'Coolest', 'when you pitch'),
    degreesField(context, 'warmest', 'Warmest', [5, 40], { hint: 'at the peak of the ferment' }),
    plainField('yan', 'YAN', [0, 1000], 'Enter between 0 and 1000 mg N/L.', {
      unitLabel: 'mg N/L',
      hint: `leave empty if not measured: Presk then assumes ${ASSUMED_YAN}`,
      required: false,
      decimals: 0
    }),
    { as: 'choice', key: 'style', label: 'Style', items: choices(STYLE) },
    { as: 'tick', key: 'malolacticWanted', label: 'Malolactic planned' },
    haveField('if it may not be enough')
  ]
}

/** The yeast of a lot on crush day: weighed, rehydrated in steps, and in the must. */
export const yeastRunForm: Form = {
  code: 'yeast-run',
  title: 'Yeast',
  bench: yeast,
  fields: (_, context): BenchField<YeastNumber, YeastChoices>[] => {
    const { lot } = context
    return [
      { ...inSugar(context.sugarUnit), key: 'sg', label: 'Sugar', part: 'known' },
      volumeField(context, 'Volume', { part: 'known' }),
      mustField(context, 'Must temperature', lot?.temperature ? `read ${sayWhen(lot.temperature.at, lot.asOf)}` : 'measure it now'),
      { as: 'tick', key: 'withNutrient', label: 'With rehydration nutrient' },
      { as: 'words', key: 'ownName', label: 'Name on the packet', part: 'kind' },
      haveField('all packets together'),
      degreesField(context, 'slurry', 'Yeast temperature', [2, 60], { required: false, part: 'gap' }),
      wentInField('actual', 'Yeast added', 'g', {
        limits: { min: 0.1, max: 100_000, words: 'Enter how many grams of yeast went in.' },
        part: 'pitch'
      })
    ]
  },
  refusals: { 'no-plan': 'Enter how many grams of yeast went in.' },
  logged: (lot, _, act) =>
    act === 'begin'
      ? { says: 'Yeast run started' }
      : { says: `Yeast added to ${lot.name}`, to: `/${lot.inoculatedAt ? 'lots' : 'crush'}/${lot.id}` }
}
