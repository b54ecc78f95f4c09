import { expose } from 'comlink'
import { holdForLife } from './supervised'
import { type FermentAsked, forecastFerment } from '~~/core/fermentation'
import { LimitError } from '~~/core/units'

/** What cannot be reckoned is undefined. */
function orRefused<T>(reckon: () => T): T | undefined {
  try {
    return reckon()
  }
  catch (error) {
    if (error instanceof LimitError) return undefined
    throw error
  }
}

/** Forecasts of ferments: with what was read, and what such a must usually does in this warmth. */
const forecaster = {
  hold: holdForLife,
  forecast: (asked: FermentAsked) =>
    orRefused(() => ({ forecast: forecastFerment(asked), usual: forecastFerment({ ...asked, readings: [], roughly: true }) })),
  /** The forecast alone, as it would have been asked for. */
  ahead: (asked: FermentAsked) => orRefused(() => forecastFerment(asked))
}
export type Forecaster = typeof forecaster

expose(forecaster)
