import type { FinishingSays } from '~~/core/stages'
import type { WordsFor } from './say'

export const FINISHING: WordsFor<FinishingSays> = {
  'geraniums': () => ({
    title: 'Sorbate and malolactic bacteria have met',
    reason:
      'Together they make the smell of geraniums, and nothing takes it out. Keep its sulphite up and the wine cold, smell it now and '
        + 'then, keep it apart from other wines, and drink it first.'
  }),
  'sorbate-in-ferment': () => ({
    title: 'Sorbate stops no ferment',
    reason:
      'It went in while yeast was at work. It keeps a few yeasts from becoming many, and does nothing to many: let it ferment out, and '
        + 'look for two gravities that agree.',
    action: 'Read the gravity'
  }),
  'sorbate-unprotected': ({ freeMgPerL, neededMgPerL }) => ({
    title: 'Sorbate without enough sulphite',
    reason: `Free SO₂ is about ${freeMgPerL.toFixed(0)} mg/L, and beside sorbate this pH asks for ${neededMgPerL.toFixed(0)} at least: `
      + 'bacteria would get at the sorbate.',
    action: 'Bring the sulphite up'
  }),
  'weak-bottles': ({ left }) => ({
    title: `${left === 1 ? 'A bottle' : `${left} bottles`} made or closed for still wine, with a ferment in ${left === 1 ? 'it' : 'them'}`,
    reason:
      'They burst, or throw their corks. Into the cold now, in a closed box, with gloves on and eyes covered; then open them, and fill '
        + 'the wine into bottles that are rated for the pressure, under wire or crown.'
  }),
  'sweet-bottles': ({ left }) => ({
    title: `${left === 1 ? 'A sweet bottle' : `${left} sweet bottles`} with nothing to keep yeast out`,
    reason:
      'What begins to ferment in a still bottle bursts it. Put them in the cold now, in a closed box, and handle them with gloves and '
        + 'eyes covered; open one. If it hisses, open all, pour them together and let it ferment out.'
  })
}
