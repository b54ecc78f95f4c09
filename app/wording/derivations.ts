import { acidStateOf } from '~~/core/acids'
import { type Figure, type LotState, sugarOf } from '~~/core/ledger'

export type FigureKey = 'volume' | 'sg' | 'ph' | 'ta' | 'freeSo2' | 'abv' | 'nitrogenGiven'

/** How a figure of a lot came about, in a sentence or two with its values. The entries behind it are listed below it. */
export function sayDerivation(key: FigureKey, figure: Figure, lot: LotState, shown: string): string {
  if (figure.origin === 'measured' && key !== 'volume')
    return `${shown} is a reading, corrected for the temperature of the sample and the known error of its instrument.`
  switch (key) {
    case 'volume':
      return figure.origin === 'measured'
        ? `${shown}: the volume as started or last measured, with what came in and went out since.`
        : `${shown} is calculated from ${lot.massKg ? `${lot.massKg} kg of fruit at 0.60 to 0.70 L each` : 'what was expected'} (common `
          + 'practice). Measure it after pressing.'
    case 'sg':
      return lot.balance
        ? `${shown} by mass balance: ${lot.balance.extractGPerL.toFixed(0)} g/L of extract and ${lot.balance.ethanolGPerL.toFixed(0)} `
          + 'g/L of alcohol after the last addition or blend (Tabarié).'
        : `${shown}, an estimate.`
    case 'ph':
    case 'ta':
      return `${shown}: the most probable acids behind the last measured pH and TA${acidsOf(lot)}, carried through what was done since `
        + 'by the charge balance.'
    case 'freeSo2':
      return `${shown}: the last reading, plus ${Math.round((1 - lot.boundShare) * 100)} % of each addition `
        + `(${Math.round(lot.boundShare * 100)} % is taken to bind, `
        + `${lot.doses.length ? `learnt from ${lot.doses.length} of this lot’s own doses` : 'the usual share'}), less half a per cent a `
        + 'day. A ferment uses it up.'
    case 'nitrogenGiven':
      return `${shown}: the nitrogen of each nutrient by its card (ammonium phosphate 212 mg in a gram, complex 100, organic 40), over `
        + 'the volume it went into. Rehydration nutrient feeds the yeast in its water and is not counted.'
    case 'abv':
      return lot.balance
        ? `${shown} by Balling’s balance through every addition: ${lot.balance.ethanolGPerL.toFixed(1)} g/L of alcohol ÷ 7.892, from 1 g `
          + `for each 2.0665 g of extract gone. ${sugarOf(lot.balance).toFixed(0)} g/L of sugar are left, by estimate.`
        : `${shown}, as measured.`
  }
}

function acidsOf({ acids }: LotState): string {
  if (!acids) return ''
  const { acidsGPerL: g, potassiumGPerL } = acidStateOf(acids.composition)
  const named = (['tartaric', 'malic', 'lactic', 'succinic'] as const)
    .filter((name) => g[name] >= 0.15)
    .map((name) => `${g[name].toFixed(1)} ${name}`)
  return ` (in g/L: ${named.join(', ')}, ${potassiumGPerL.toFixed(1)} potassium)`
}
