import type { GasSays } from '~~/core/stages'
import type { WordsFor } from './say'

const BECAUSE = {
  kit: 'Its clearing packets do nothing while gas holds the haze up.',
  haze: 'It stays hazy, and gas may be what holds the haze up.',
  stirred: 'It was stirred for it; whether all is out only a shaken sample tells.'
} as const

export const GAS_SAYS: WordsFor<GasSays> = {
  'shake-for-gas': ({ because }) => ({
    title: 'Shake a sample for gas',
    reason: `Half a jar, a thumb on it, shaken and opened. ${BECAUSE[because]}`,
    action: 'Say what it did'
  }),
  'degas': ({ gas }) => ({
    title: gas === 'puff' ? 'Degas it: it puffs' : 'Degas it: it sighs',
    reason:
      'Warm it to 18 °C or more and stir it hard in short turns over a day or two, without drawing air in; time does it too. Gas '
        + 'falsifies gravity, TA and pH. Never put powder into it before: it erupts.',
    action: 'Log it'
  })
}
