import type { EntryOf, ReadingQuantity, Stage, Stream, Style } from '~~/core/ledger'

/** The words for the codes of the core, in one place and always the same. */
export const STYLE: Record<Style, string> = { red: 'Red', rose: 'Rosé', white: 'White' }

export const STREAM: Record<Stream, string> = {
  fresh: 'Fresh grapes', frozen: 'Frozen must or juice', juice: 'Fresh juice', kit: 'Kit or concentrate', test: 'Test ferment', blend: 'Blend'
}
export const STREAM_HINT: Record<Exclude<Stream, 'blend'>, string> = {
  fresh: 'Picked or bought by weight', frozen: 'Pails from the freezer', juice: 'Pressed juice by volume', kit: 'Juice with packets, to be watered', test: 'A bucket of a vineyard’s fruit, for a week'
}

export const STAGE: Record<Stage, string> = { must: 'Must', fermenting: 'Fermenting', wine: 'Wine', bottled: 'Bottled' }

export const QUANTITY: Record<ReadingQuantity, string> = {
  sg: 'gravity', brix: 'sugar', ph: 'pH', ta: 'TA', temperature: 'temperature', freeSo2: 'free SO₂', totalSo2: 'total SO₂',
  malic: 'malic acid', volume: 'volume', yan: 'YAN', sugar: 'residual sugar', abv: 'alcohol'
}
export const QUANTITY_UNIT: Record<ReadingQuantity, string> = {
  sg: 'SG', brix: '°Brix', ph: '', ta: 'g/L', temperature: '°C', freeSo2: 'mg/L', totalSo2: 'mg/L', malic: 'g/L', volume: 'L', yan: 'mg N/L', sugar: 'g/L', abv: '% vol'
}

export const MATERIAL: Record<string, string> = {
  'potassium-metabisulphite': 'potassium metabisulphite', 'sodium-metabisulphite': 'sodium metabisulphite', 'sulphite-stock': 'sulphite stock solution',
  'tartaric': 'tartaric acid', 'malic': 'malic acid', 'citric': 'citric acid', 'potassium-bicarbonate': 'potassium bicarbonate',
  'potassium-carbonate': 'potassium carbonate', 'calcium-carbonate': 'calcium carbonate', 'water': 'water', 'sugar': 'sugar',
  'complex-nutrient': 'complex nutrient', 'ammonium-phosphate': 'ammonium phosphate', 'organic-nutrient': 'organic nutrient',
  'rehydration-nutrient': 'rehydration nutrient', 'yeast': 'yeast', 'bacteria': 'malolactic bacteria',
  'pectic-enzyme': 'pectic enzyme', 'bentonite': 'bentonite', 'tannin': 'tannin', 'oak': 'oak'
}
export const materialName = (key: string): string => MATERIAL[key] ?? key

export const OPERATION: Record<EntryOf<'operation'>['what'], string> = {
  'punch-down': 'Punched down', 'pump-over': 'Pumped over', 'stir': 'Stirred', 'degas': 'Degassed', 'chill': 'Chilled', 'heat': 'Warmed',
  'oak-in': 'Oak in', 'oak-out': 'Oak out', 'filter': 'Filtered', 'settle': 'Left to settle', 'cold-soak': 'Cold soak', 'sanitise': 'Sanitised', 'thaw': 'Set to thaw', 'rehydrate': 'Yeast set to rehydrate'
}
export const OBSERVATION: Record<EntryOf<'observation'>['what'], string> = {
  smell: 'Smell', clarity: 'Clarity', bubbles: 'Bubbles', taste: 'Taste', cap: 'Cap', note: 'Note'
}
export const VESSEL: Record<EntryOf<'vessel-added'>['kind'], string> = {
  bin: 'Fermenting bin', pail: 'Pail', demijohn: 'Demijohn', tank: 'Steel tank', barrel: 'Barrel', keg: 'Keg'
}
