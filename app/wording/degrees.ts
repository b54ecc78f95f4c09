import { fromCelsius } from '~~/core/units'

const NUMBER = '[−-]?\\d+(?:\\.\\d+)?'
const APART = new RegExp(`(within|steps of at most) (${NUMBER}) °C`, 'g')
const POINT = new RegExp(`(${NUMBER})(?: to (${NUMBER}))? °C`, 'g')
const fahrenheit = (typed: string): string =>
  fromCelsius(Number(typed.replace('−', '-')), '°F')
    .toFixed(0)
    .replace('-', '−')

const PRESSURE = new RegExp(`(${NUMBER})(?: to (${NUMBER}))? bar\\b`, 'g')
/** 1 bar is 14.5038 psi: the pound-force and the square inch, exact by definition. */
const psi = (bar: string): string => (Number(bar) * 14.5038).toFixed(0)

/** A text with its pressures in pounds per square inch. Texts are written in bar. */
export const inPsi = (text: string): string =>
  text.replace(PRESSURE, (_all, from: string, to?: string) => `${psi(from)}${to ? ` to ${psi(to)}` : ''} psi`)

/** A text with its temperatures in the person's degrees. Texts are written in °C; a difference is told by "within". */
export function inDegrees(text: string, unit: '°C' | '°F'): string {
  if (unit === '°C') return text
  return text
    .replace(APART, (_all, word: string, apart: string) => `${word} ${(Number(apart) * 1.8).toFixed(0)} °F`)
    .replace(POINT, (_all, from: string, to?: string) => `${fahrenheit(from)}${to ? ` to ${fahrenheit(to)}` : ''} °F`)
}
