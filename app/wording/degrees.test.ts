import { describe, expect, it } from 'vitest'
import { inDegrees } from './degrees'

describe('temperatures in a text, for who reads Fahrenheit', () => {
  it.each([
    ['24 to 72 hours at 2 to 10 °C; then rack', '24 to 72 hours at 36 to 50 °F; then rack'],
    ['within 6 °C of the must', 'within 11 °F of the must'],
    ['in steps of at most 5 °C', 'in steps of at most 9 °F'],
    ['wants at most 32 °C', 'wants at most 90 °F'],
    ['weeks of cold at −2 °C', 'weeks of cold at 28 °F'],
    ['0 °C in melting ice', '32 °F in melting ice'],
    ['38.5 °C', '101 °F'],
    ['no degrees in it: 20 g/L', 'no degrees in it: 20 g/L']
  ])('%s: %s', (celsius, fahrenheit) => {
    expect(inDegrees(celsius, '°F')).toBe(fahrenheit)
    expect(inDegrees(celsius, '°C')).toBe(celsius)
  })
})
