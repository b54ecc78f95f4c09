import type { EntryOf, ReadingQuantity } from '../ledger'
import type { MassUnit, VolumeUnit } from '../units'

/** What people write on the quick line, in small letters. Adding a word: a line here. */
export const OPERATIONS: Record<string, EntryOf<'operation'>['what']> = {
  'punched down': 'punch-down',
  'punched': 'punch-down',
  'punch down': 'punch-down',
  'pumped over': 'pump-over',
  'pumped': 'pump-over',
  'stirred': 'stir',
  'stir': 'stir',
  'stirred the lees': 'stir',
  'degassed': 'degas',
  'degas': 'degas',
  'chilled': 'chill',
  'warmed': 'heat',
  'filtered': 'filter',
  'settling': 'settle',
  'settle': 'settle',
  'soaking': 'cold-soak',
  'soak': 'cold-soak',
  'cold soak': 'cold-soak',
  'thawing': 'thaw',
  'thaw': 'thaw',
  'oak in': 'oak-in',
  'oak out': 'oak-out',
  'malolactic done': 'malolactic-over',
  'malolactic over': 'malolactic-over',
  'malolactic finished': 'malolactic-over',
  'malolactic complete': 'malolactic-over',
  'mlf done': 'malolactic-over',
  'mlf over': 'malolactic-over',
  'mlf finished': 'malolactic-over',
  'mlf complete': 'malolactic-over'
}

/** What was smelled or tasted: the rest of the line belongs to it. */
export const OBSERVATIONS: Record<string, EntryOf<'observation'>['what']> = {
  smells: 'smell',
  smell: 'smell',
  smelled: 'smell',
  tastes: 'taste',
  taste: 'taste',
  tasted: 'taste',
  looks: 'clarity',
  bubbles: 'bubbles',
  bubbling: 'bubbles',
  cap: 'cap',
  note: 'note',
  saw: 'note'
}

export const MOVES: Record<string, 'rack' | 'press'> = { racked: 'rack', rack: 'rack', pressed: 'press', press: 'press' }

/** Yeast or bacteria went in; the word itself stands for the culture where no packet is named. */
export const PITCHED: Record<string, 'yeast' | 'bacteria'> = {
  'pitched yeast': 'yeast',
  'yeast pitched': 'yeast',
  'yeast in': 'yeast',
  'pitched': 'yeast',
  'yeast': 'yeast',
  'pitched bacteria': 'bacteria',
  'bacteria in': 'bacteria',
  'bacteria': 'bacteria',
  'malolactic started': 'bacteria',
  'mlf started': 'bacteria'
}

/** Salts of sulphite are two; which one a bare word means is the person's setting. */
export const SULPHITE = ['sulphite', 'sulfite', 'sulphited', 'sulfited', 'so2', 'meta'] as const
export const STOCK = ['stock', 'solution'] as const

/** Kinds of instrument by their usual names. */
export const INSTRUMENTS: Record<string, string> = {
  'hydrometer': 'hydrometer',
  'refractometer': 'refractometer',
  'ph meter': 'ph-meter',
  'meter': 'ph-meter',
  'thermometer': 'thermometer'
}

/** After a number: what it is then a reading of, where that is clear by itself. */
export const UNIT_OF_READING: Record<string, ReadingQuantity> = {
  'brix': 'brix',
  '°brix': 'brix',
  'bx': 'brix',
  'sg': 'sg',
  'c': 'temperature',
  '°c': 'temperature',
  'f': 'temperature',
  '°f': 'temperature'
}
/** After the number of a named quantity, and saying nothing new. */
export const OWN_UNITS = /^(mg\/l|ppm|g\/l|%|l|c|f|°c|°f|brix|°brix)$/

export const AMOUNTS: Record<string, MassUnit | VolumeUnit | 'gal'> = {
  mg: 'mg',
  g: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  oz: 'oz',
  lb: 'lb',
  lbs: 'lb',
  ml: 'mL',
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  gal: 'gal',
  gallon: 'gal',
  gallons: 'gal'
}

/** What is counted instead of weighed: level spoons in teaspoons (3 to a tablespoon, 48 to a US cup), packets, tablets. */
export const COUNTED: Record<string, { of: 'spoons' | 'packets' | 'tablets', each: number }> = {
  tsp: { of: 'spoons', each: 1 },
  teaspoon: { of: 'spoons', each: 1 },
  teaspoons: { of: 'spoons', each: 1 },
  tbsp: { of: 'spoons', each: 3 },
  tablespoon: { of: 'spoons', each: 3 },
  tablespoons: { of: 'spoons', each: 3 },
  cup: { of: 'spoons', each: 48 },
  cups: { of: 'spoons', each: 48 },
  packet: { of: 'packets', each: 1 },
  packets: { of: 'packets', each: 1 },
  pack: { of: 'packets', each: 1 },
  sachet: { of: 'packets', each: 1 },
  sachets: { of: 'packets', each: 1 },
  tablet: { of: 'tablets', each: 1 },
  tablets: { of: 'tablets', each: 1 }
}
export const FRACTIONS: Record<string, number> = {
  '¼': 1 / 4, '½': 1 / 2, '¾': 3 / 4, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 1 / 8, '⅜': 3 / 8, '⅝': 5 / 8, '⅞': 7 / 8
}
export const HALVES: Record<string, number> = { half: 1 / 2, quarter: 1 / 4 }

/** Words that join others and say nothing by themselves. */
export const JOINING = new Set([
  'of', 'and', 'with', 'by', 'at', 'the', 'a', 'an', 'was', 'is', 'in', 'on', 'to', 'into', 'from', 'added', 'add', 'gave', 'read', 'reads',
  'reading', 'measured', 'my', 'it', ','
])

export const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'] as const
export const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const
