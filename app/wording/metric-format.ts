import type { SayFormat } from './findings'

const three = (value: number): string =>
  value.toFixed(Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2).replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '')

/** Figures in litres, grams and °C: for whoever asks without settings of their own. */
export const metricFormat: Omit<SayFormat, 'material'> = {
  temperature: (celsius) => ({ text: celsius.toFixed(1).replace(/\.0$/, ''), unit: '°C' }),
  volume: (litres) => (litres < 1 ? { text: (litres * 1000).toFixed(0), unit: 'mL' } : { text: three(litres), unit: 'L' }),
  powder: (grams) => (grams >= 1000 ? { text: (grams / 1000).toFixed(2), unit: 'kg' }
    : { text: grams.toFixed(grams < 1 ? 2 : grams >= 100 ? 0 : 1), unit: 'g' }),
  words: ({ text, unit }) => `${text} ${unit}`
}
