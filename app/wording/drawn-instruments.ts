/** The instruments of a practice cellar, in the order they come in. */
export const TOOLS = {
  hydrometer: 'Hydrometer', thermometer: 'Thermometer', refractometer: 'Refractometer', meter: 'pH meter', titration: 'Acid titration',
  iodine: 'Free SO₂', paper: 'Malic paper', senses: 'Smell, look and taste'
} as const
export type Tool = keyof typeof TOOLS

const HOW: Record<Exclude<Tool, 'titration' | 'iodine'>, string> = {
  hydrometer: 'Read where the flat surface crosses the scale, not where the liquid climbs the stem. If bubbles hold it up, spin it first.',
  thermometer: 'Read it in the middle of the wine or of the must, under the skins.',
  refractometer: 'Read where the blue and the white field meet. Once there is alcohol it shows too much; Presk corrects that.',
  meter: 'Calibrate in 7.01, then in 4.01, waiting each time until the figure stops moving. Then read the wine.',
  paper: 'Compare the wine’s lane with the malic standard beside it.',
  senses: 'This is what you find with nose, eyes and tongue.'
}
/** How an instrument is read, in two sentences. */
export function howToRead(tool: Tool, colour: 'red' | 'white'): string {
  if (tool === 'titration') {
    const until = colour === 'red' ? 'the red turns grey-green all over' : 'a faint pink stays after swirling'
    return `10 mL of wine, with gas driven out, and sodium hydroxide 0.1 N in the burette. Stop when ${until}.`
  }
  if (tool === 'iodine') {
    return '50 mL of wine with acid and starch, and iodine 0.02 N in the burette. Stop at the first blue-black that stays for some ' +
      `seconds.${colour === 'red' ? ' Red wines fade and read a few mg/L too high.' : ''}`
  }
  return HOW[tool]
}
