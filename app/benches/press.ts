import { type PressAnswer, type PressChoices, type PressNumber, press } from '~~/core/benches'
import { PRESS_METHODS } from '~~/core/fermentation'
import { inVolume } from '~/forms/spec'
import { PRESS_METHOD } from '~/wording/press'
import { type BenchForm, WENT_IN } from './spec'

const TASTE = [
  { value: 'soft', label: 'Soft', hint: 'skins still give' },
  { value: 'ripe', label: 'Ripe', hint: 'seeds brown, skins spent' },
  { value: 'harsh', label: 'Harsh', hint: 'bitter, drying' }
]

export const pressForm: BenchForm<PressNumber, PressChoices, PressAnswer> = {
  code: 'press',
  title: 'Press day',
  bench: press,
  fields: (_, context) => {
    const litres = { ...inVolume(context.volumeUnit), quantity: 'volume', part: WENT_IN } as const
    return [
      {
        as: 'tiles',
        key: 'method',
        label: 'Method',
        items: PRESS_METHODS.map((value) => ({ value, ...PRESS_METHOD[value] })),
        least: 170
      },
      { as: 'tiles', key: 'tannin', label: 'Taste of skins and seeds', items: TASTE, least: 130 },
      { ...litres, key: 'free', label: 'Free run', required: true },
      { ...litres, key: 'pressed', label: 'Press wine', hint: 'leave empty if there was none' }
    ]
  },
  logged: (lot) => ({ says: `${lot.name}: pressed`, to: `/lots/${lot.id}` })
}
