import { QUANTITIES, QUANTITY_NAMES } from '~~/core/quantities'
import type { Unit } from '~~/core/units'
import type { Alcoholic, Care, Closure, EntryOf, ReadingQuantity, Standing, Stream, Style, Equipment } from '~~/core/ledger'

/** The words for the codes of the core, in one place and always the same. */
export const STYLE: Record<Style, string> = { red: 'Red', rose: 'Rosé', white: 'White' }

export const STREAM: Record<Stream, string> = {
  fresh: 'Fresh grapes',
  frozen: 'Frozen must or juice',
  juice: 'Fresh juice',
  kit: 'Kit or concentrate',
  test: 'Test ferment',
  blend: 'Blend'
}
export const STREAM_HINT: Record<Exclude<Stream, 'blend'>, string> = {
  fresh: 'Picked or bought by weight',
  frozen: 'Pails from the freezer',
  juice: 'Pressed juice by volume',
  kit: 'Concentrate with packets',
  test: 'A bucket of a vineyard’s fruit, for a week'
}

export const STANDING: Record<Standing, string> = {
  must: 'Must',
  fermenting: 'Fermenting',
  wine: 'Wine',
  bottled: 'Bottled',
  empty: 'Gone'
}
export const ALCOHOLIC_WORD: Record<Alcoholic, string> = {
  none: 'not started',
  active: 'under way',
  dry: 'finished, dry',
  stuck: 'stuck',
  stopped: 'ended sweet'
}

export const QUANTITY: Record<ReadingQuantity, string> = {
  sg: 'gravity',
  brix: 'sugar',
  ph: 'pH',
  ta: 'TA',
  temperature: 'temperature',
  freeSo2: 'free SO₂',
  totalSo2: 'total SO₂',
  malic: 'malic acid',
  volume: 'volume',
  yan: 'YAN',
  sugar: 'residual sugar',
  abv: 'alcohol'
}
export const QUANTITY_UNIT = Object.fromEntries(QUANTITY_NAMES.map((name) => [name, QUANTITIES[name].unit])) as Record<
  ReadingQuantity,
  string
>

export const OPERATION: Record<EntryOf<'operation'>['what'], string> = {
  'punch-down': 'Punched down',
  'pump-over': 'Pumped over',
  stir: 'Stirred',
  degas: 'Degassed',
  chill: 'Chilled',
  heat: 'Warmed',
  'heat-fruit': 'Fruit heated for colour',
  'oak-in': 'Oak in',
  'oak-out': 'Oak out',
  filter: 'Filtered',
  settle: 'Left to settle',
  'cold-soak': 'Cold soak',
  sanitise: 'Sanitised',
  'malolactic-over': 'Malolactic taken as finished',
  thaw: 'Set to thaw',
  rehydrate: 'Yeast set to rehydrate',
  restart: 'Restart begun',
  pasteurise: 'Pasteurised',
  riddle: 'Riddled',
  disgorge: 'Disgorged',
  'heat-test': 'Heat test begun',
  'cold-test': 'Cold test begun',
  'warm': 'Warmed',
  'cool': 'Cooled',
  'marbles': 'Marbles added',
  'gas-cover': 'Inert gas added'
}
export const EQUIPMENT_NAME: Record<Equipment, string> = {
  'hydrometer': 'hydrometer',
  'thermometer': 'thermometer',
  'ph-meter': 'pH meter',
  'acid-kit': 'acid titration kit',
  'so2-kit': 'free SO₂ kit',
  'sugar-test': 'sugar test',
  'malic-test': 'malic acid test',
  'scale': 'scale'
}
export const OBSERVATION: Record<EntryOf<'observation'>['what'], string> = {
  smell: 'Smell',
  clarity: 'Clarity',
  bubbles: 'Bubbles',
  taste: 'Taste',
  cap: 'Cap',
  gas: 'Gas',
  'heat-test': 'Heat test for protein',
  'cold-test': 'Cold test for crystals',
  'warm-glass': 'Warm glass with yeast',
  'next-time': 'Next time',
  chromatogram: 'Paper chromatogram',
  note: 'Note'
}
const VESSEL: Record<EntryOf<'vessel-added'>['kind'], string> = {
  bin: 'Fermenting bin',
  pail: 'Pail',
  demijohn: 'Demijohn',
  tank: 'Steel tank',
  barrel: 'Barrel',
  keg: 'Keg'
}
/** The kinds of vessels as people call them who measure in this unit. */
export const vesselWords = (unit: Unit): typeof VESSEL => (unit === 'US gal' ? { ...VESSEL, demijohn: 'Carboy' } : VESSEL)
export const VESSEL_OF: Record<NonNullable<EntryOf<'vessel-added'>['material']>, string> = {
  glass: 'Glass',
  plastic: 'Plastic',
  steel: 'Steel',
  oak: 'Oak'
}
export const CLOSURE: Record<Closure, string> = {
  cork: 'Cork',
  screw: 'Screw cap',
  crown: 'Crown cap',
  wired: 'Wired cork',
  swing: 'Swing top'
}
export const TAKEN: Record<EntryOf<'bottle-taken'>['what'], string> = { drunk: 'Drunk', given: 'Given away', lost: 'Lost or broken' }
export const COST: Record<EntryOf<'cost'>['what'], string> = {
  fruit: 'Fruit or kit',
  bottles: 'Bottles',
  hire: 'Equipment hire',
  other: 'Something else'
}
export const CARE: Record<Care, string> = { cleaned: 'Cleaned', sanitised: 'Sanitised', swelled: 'Soaked', sulphured: 'Sulphured' }
