import { type SugarAnswer, type SugarNumber, sugarAndWater } from '~~/core/benches'
import type { Sweetener } from '~~/core/must'
import { choices, inSugar } from '~/forms/spec'
import { type BenchForm, volumeField } from './spec'

const SWEETENERS: Record<Sweetener, string> = {
  sucrose: 'Household sugar (sucrose)',
  dextrose: 'Dextrose monohydrate',
  honey: 'Honey',
  concentrate: 'Grape concentrate, 68 °Brix'
}

export const sugarAndWaterForm: BenchForm<SugarNumber, { sweetener: Sweetener }, SugarAnswer> = {
  code: 'sweeten',
  title: 'Sugar and water',
  bench: sugarAndWater,
  fields: (_, context) => [
    { ...inSugar(context.sugarUnit), key: 'sgNow', label: 'Reading now', required: true },
    { ...inSugar(context.sugarUnit), key: 'sgWanted', label: 'Reading wanted', required: true },
    volumeField(context),
    { as: 'choice', key: 'sweetener', label: 'Sugar as', items: choices(SWEETENERS) }
  ]
}
