import type { GasSays } from '~~/core/stages'
import type { WordsFor } from './say'

const BECAUSE = {
  kit: 'The clearing packets do nothing while gas keeps the haze up.',
  haze: 'It stays hazy, and gas may be the reason.',
  stirred: 'You degassed it. Only a shaken sample shows whether all the gas is out.'
} as const

export const GAS_SAYS: WordsFor<GasSays> = {
  'shake-for-gas': ({ because }) => ({
    title: 'Shake a sample to check for gas',
    reason: `Half fill a jar, cover it with your thumb, shake it and lift the thumb. ${BECAUSE[because]}`,
    action: 'Enter the result'
  }),
  'degas': ({ gas }) => ({
    title: gas === 'puff' ? 'Degas it: there is a lot of gas' : 'Degas it: there is some gas',
    reason: 'Warm it to 18 °C or more and stir it hard in short bursts over a day or two, without drawing in air. Time does it too. Gas '
      + 'falsifies gravity, TA and pH. Add no powder before: it erupts.',
    action: 'Log it'
  })
}
