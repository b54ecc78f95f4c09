import { fromCelsius } from '~~/core/units'

const NUMBER = '[−-]?\\d+(?:\\.\\d+)?'
const APART = new RegExp(`(within|steps of at most) (${NUMBER}) °C`, 'g')
const POINT = new RegExp(`(${NUMBER})(?: to (${NUMBER}))? °C`, 'g')
const fahrenheit = (typed: string): string =>
  fromCelsius(Number(typed.replace('−', '-')), '°F')
    .toFixed(0)
    .replace('-', '−')

/** A text with its temperatures in the person's degrees. Texts are written in °C; a difference is told by "within". */
export function inDegrees(text: string, unit: '°C' | '°F'): string {
  if (unit === '°C') return text
  return text
    .replace(APART, (_all, word: string, apart: string) => `${word} ${(Number(apart) * 1.8).toFixed(0)} °F`)
    .replace(POINT, (_all, from: string, to?: string) => `${fahrenheit(from)}${to ? ` to ${fahrenheit(to)}` : ''} °F`)
}
