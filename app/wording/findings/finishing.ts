import type { FinishingSays } from '~~/core/stages'
import type { WordsFor } from './say'

const count = (left: number): string => (left === 1 ? 'One bottle' : `${left} bottles`)
const CHILL = 'Chill them now in a closed box. Wear gloves and eye protection.'

export const FINISHING: WordsFor<FinishingSays> = {
  'geraniums': () => ({
    title: 'Sorbate and malolactic bacteria have met',
    reason: 'Together they produce a smell of geraniums that nothing removes. Keep the sulphite up and the wine cold, smell it now and '
      + 'then, keep it apart from other wines and drink it first.'
  }),
  'sorbate-in-ferment': () => ({
    title: 'Sorbate does not stop a ferment',
    reason: 'It went in while yeast was active. Sorbate keeps a few yeasts from multiplying and does nothing against many. Let it ferment '
      + 'out and look for two gravities that agree.',
    action: 'Read the gravity'
  }),
  'sorbate-unprotected': ({ freeMgPerL, neededMgPerL }) => ({
    title: 'Sorbate without enough sulphite',
    reason: `Free SO₂ is about ${freeMgPerL.toFixed(0)} mg/L. Beside sorbate, this pH needs at least ${neededMgPerL.toFixed(0)}, or `
      + `bacteria attack the sorbate.`,
    action: 'Work out the sulphite'
  }),
  'sweet-unheld': ({ sugarLow, sugarHigh }) => ({
    title: 'Sweet, with nothing to stop a new ferment',
    reason: `${Math.round(sugarLow)} to ${Math.round(sugarHigh)} g/L of sugar, without sorbate and sulphite or heat. It may ferment again. `
      + 'Keep an airlock on it, and do not bottle it until it is held.',
    action: 'Hold the sweetness'
  }),
  'weak-bottles': ({ left }) => ({
    title: `${count(left)} made or closed for still wine, with a ferment inside`,
    reason: `They can burst or throw their corks. ${CHILL} Open them, and refill the wine into bottles rated for the pressure, under wire `
      + 'or crown caps.'
  }),
  'over-pressure': ({ left, bar, ratedBar, celsius }) => ({
    title: `${count(left)} may reach ${bar.toFixed(0)} bar`,
    reason: `At ${celsius} °C the sugar in them can make ${bar.toFixed(1)} bar, and the bottles are rated for ${ratedBar} bar. `
      + `${CHILL} Keep them cold, and open them one by one if they gush.`
  }),
  'pasteurise-bottles': ({ left, sugarHigh }) => ({
    title: 'Pasteurise the bottles today',
    reason: `${count(left)} with up to ${Math.round(sugarHigh)} g/L of sugar. Heat them in a water bath: the bench gives time and `
      + `temperature. Keep the closures loose until they are hot, and keep your face away from the bottles.`,
    did: 'Pasteurised',
    action: 'Log with a note'
  }),
  'sweet-bottles': ({ left, sugarHigh }) => ({
    title: `${count(left)} with sugar and nothing to stop yeast`,
    reason: `Up to ${Math.round(sugarHigh)} g/L of sugar. If it ferments, a still bottle bursts. ${CHILL} Open one: if it hisses, open all `
      + 'of them, pour them together and let the wine ferment out.'
  }),
  'malic-bottles': ({ left, freeMgPerL, wantedMgPerL }) => ({
    title: `${count(left)} may start malolactic`,
    reason: `${
      wantedMgPerL === undefined
        ? 'Malolactic had not finished when they were filled.'
        : `They were filled with about ${(freeMgPerL ?? 0).toFixed(0)} mg/L of free SO₂, where ${wantedMgPerL.toFixed(0)} keeps `
          + `bacteria out.`
    } Malic acid left in them makes gas and haze. Store them cold, open one now and then, and drink them young.`
  })
}
