import { expose } from 'comlink'
import { holdForLife } from './supervised'
import { type FermentAsked, forecastFerment } from '~~/core/fermentation'
import { LimitError } from '~~/core/units'

/** Forecasts of ferments: with what was read, and what such a must usually does in this warmth. */
const forecaster = {
  hold: holdForLife,
  forecast(asked: FermentAsked) {
    try {
      return { forecast: forecastFerment(asked), usual: forecastFerment({ ...asked, readings: [], roughly: true }) }
    }
    catch (error) {
      if (error instanceof LimitError) return undefined
      throw error
    }
  }
}
export type Forecaster = typeof forecaster

expose(forecaster)
