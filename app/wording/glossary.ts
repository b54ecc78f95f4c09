/** A word of the trade, said for somebody who hears it for the first time. */
export interface Term {
  name: string
  /** How it stands in a text, as a pattern; whole words only. */
  match: string
  says: string
}

/** In the order of the year. A word that means something else as well is only known beside what makes it clear. */
export const GLOSSARY = {
  'brix': {
    name: 'Brix',
    match: '°?Brix',
    says:
      'Sugar by weight: at 22 °Brix there are 22 g of it in 100 g of juice. Alcohol and other things count as ' +
      'well, so in a ferment it reads wrong.'
  },
  'gravity': {
    name: 'Gravity',
    match: 'specific gravity|gravity|gravities',
    says:
      'How heavy it is beside water, which is 1.000. Sugar makes it heavier, alcohol lighter: about 1.090 ' +
      'before a ferment, 0.992 to 0.996 when it is over.'
  },
  'ph': {
    name: 'pH',
    match: 'pH',
    says:
      'How strongly its acid acts, from about 2.9 to 4: the lower, the sharper and the safer. A tenth more asks ' +
      'for a quarter more sulphite.'
  },
  'ta': {
    name: 'Titratable acidity, TA',
    match: 'titratable acidity|TA',
    says:
      'All the acid that a titration finds, counted as if it were tartaric acid, in g/L. It is what the tongue ' +
      'calls sour; pH does not follow it closely.'
  },
  'titration': {
    name: 'Titration',
    match: 'titrations?|titrant|titrated?',
    says:
      'Measuring acid by how much of a known lye it takes to use it up: drop by drop, until a colour turns or a ' +
      'meter shows 8.2.'
  },
  'must': {
    name: 'Must',
    match: '(?<=\\b(?:the|a|this|own|little) )must|musts|must’s',
    says: 'Crushed grapes or their juice, with skins or without, until it is wine.'
  },
  'free-so2': {
    name: 'Free SO₂',
    match: 'free SO₂',
    says:
      'The part of the sulphite that is not bound to anything and can still protect. It falls with time and ' +
      'air, so it is measured again and again.'
  },
  'molecular-so2': {
    name: 'Molecular SO₂',
    match: 'molecular(?: SO₂)?',
    says:
      'The small part of the free SO₂ that kills what spoils wine. How small depends on pH: at 3.2 one part in ' +
      '25, at 3.8 one in 100.'
  },
  'total-so2': {
    name: 'Total SO₂',
    match: 'total SO₂',
    says: 'Free and bound sulphite together. It is what the law limits, and what holds malolactic bacteria up.'
  },
  'sulphite': {
    name: 'Sulphite',
    match: 'sulphites?|sulphited',
    says: 'A salt of sulphur dioxide. It keeps off browning and most of what spoils wine; dosed by the pH.'
  },
  'pectic-enzyme': {
    name: 'Pectic enzyme',
    match: 'pectic enzyme',
    says: 'It breaks down the jelly of the fruit: more juice, more colour, and a wine that clears.'
  },
  'cold-soak': {
    name: 'Cold soak',
    match: 'cold soak|soaking cold',
    says: 'Crushed red grapes kept cold before the ferment, so that colour comes out into juice without alcohol.'
  },
  'potential-alcohol': {
    name: 'Potential alcohol',
    match: 'potential alcohol',
    says: 'The alcohol that its sugar would make if the yeast took all of it.'
  },
  'tolerance': {
    name: 'Tolerance of a yeast',
    match: 'tolerance',
    says: 'The alcohol at which that yeast gives up, by its packet.'
  },
  'pitch': { name: 'To pitch', match: 'pitch(?:ed|ing)?', says: 'To put the yeast in.' },
  'rehydrate': {
    name: 'To rehydrate',
    match: 'rehydrat(?:e|ed|ing|ion)',
    says: 'To wake dry yeast in warm water, at 35 to 40 °C for a quarter of an hour, before it goes in.'
  },
  'nutrient': {
    name: 'Nutrient, nitrogen',
    match: 'nutrients?|nitrogen|YAN',
    says:
      'What yeast needs beside sugar, nitrogen above all. Too little, and the ferment smells or stops; too ' +
      'late, and it feeds what spoils wine.'
  },
  'cap': {
    name: 'Cap',
    match: '(?<=\\b(?:the|a|dry) )cap|cap worked',
    says:
      'The skins of a red that its gas lifts to the top. It is pushed under two or three times a day: dry and ' +
      'warm, it turns to vinegar.'
  },
  'stuck': { name: 'Stuck', match: 'stuck|sticks', says: 'A ferment that has stopped while there is sugar left.' },
  'free-run': {
    name: 'Free run and press wine',
    match: 'free run|press wine',
    says:
      'What runs off by itself, and what the press gets out of the skins: harder, with more tannin and a higher ' +
      'pH.'
  },
  'tannin': {
    name: 'Tannin',
    match: 'tannins?',
    says: 'What dries the mouth: from skins, seeds, stems and oak. It carries a red through its years.'
  },
  'lees': {
    name: 'Lees',
    match: '(?:gross )?lees',
    says:
      'What settles at the bottom: dead yeast, pulp, crystals. The thick first ones go early, the fine ones may ' +
      'stay.'
  },
  'rack': { name: 'To rack', match: 'rack(?:ed|ing|ings)?', says: 'To draw the wine off what has settled into a clean vessel.' },
  'malolactic': {
    name: 'Malolactic',
    match: 'malolactic',
    says:
      'Bacteria turn the sharp malic acid into soft lactic acid, in or after the ferment. Wanted in most reds; ' +
      'where it begins in the bottle, the bottle is gassy.'
  },
  'malic': {
    name: 'Malic acid',
    match: 'malic acid|malic',
    says: 'The sharp acid of green apples, one of the two that grapes have most of. Malolactic bacteria take it.'
  },
  'chromatogram': {
    name: 'Paper chromatogram',
    match: 'paper chromatogram|chromatograms?',
    says:
      'Drops of wine creep up a sheet of paper in a solvent, and each acid leaves its own spot: one sees ' +
      'whether malic acid is gone.'
  },
  'top-up': {
    name: 'To top up',
    match: 'top(?:ped|ping)? (?:it |them )?up',
    says: 'To fill a vessel with wine until there is no air in it.'
  },
  'fining': {
    name: 'Fining',
    match: 'fining|fined|finings',
    says:
      'Something is stirred in that takes haze or harshness down with it as it settles. Tried in a glass first: ' +
      'each takes something good along.'
  },
  'bentonite': {
    name: 'Bentonite',
    match: 'bentonite',
    says:
      'A clay that takes protein out, which else makes a white hazy in the warm. Swelled in water before it ' +
      'goes in.'
  },
  'cold-stable': {
    name: 'Cold test, tartrate',
    match: 'tartrates?|bitartrate|cold test',
    says:
      'In the cold, wine drops crystals of potassium and tartaric acid. They harm nobody, but are better left ' +
      'in the cellar than found in the bottle.'
  },
  'heat-test': {
    name: 'Heat test, protein',
    match: 'heat test|protein',
    says:
      'A glass of it is warmed and cooled. If it turns hazy, protein would do so in a warm room one day; ' +
      'bentonite takes it out.'
  },
  'sorbate': {
    name: 'Sorbate',
    match: 'sorbates?|sorbic acid',
    says:
      'It keeps yeast from multiplying in a sweet wine; it stops no ferment. With malolactic bacteria it turns ' +
      'to geranium, without sulphite it fails.'
  },
  'degas': {
    name: 'To degas',
    match: 'degas(?:sed|sing)?',
    says: 'To shake or stir the gas of the ferment out. It holds haze up and makes acid and gravity read wrong.'
  },
  'disgorge': {
    name: 'To disgorge',
    match: 'disgorg(?:e|ed|ing)',
    says: 'To let the lees out of a sparkling bottle by its neck, and fill it up again.'
  },
  'riddle': {
    name: 'To riddle',
    match: 'riddl(?:e|ed|ing)',
    says: 'To turn bottles a little each day, neck down, until their lees lie on the closure.'
  }
} as const satisfies Record<string, Term>

export type TermKey = keyof typeof GLOSSARY

const KEYS = Object.keys(GLOSSARY) as TermKey[]
/** One pattern for all, the longer before the shorter; what stands inside another word is none. */
const ALL = new RegExp(
  `(?<![\\p{L}\\p{N}])(?:${[...KEYS]
    .sort((a, b) => GLOSSARY[b].match.length - GLOSSARY[a].match.length)
    .map((key) => `(?<${key.replaceAll('-', '_')}>${GLOSSARY[key].match})`)
    .join('|')})(?![\\p{L}\\p{N}])`,
  'giu'
)

export type Part = string | { term: TermKey, text: string }

/**
 * A text in parts, with the words of the trade that it has for the first time.
 * @param most so many at the most: a text is to be read
 */
export function partsOf(text: string, most = 2): Part[] {
  const parts: Part[] = []
  const seen = new Set<TermKey>()
  let from = 0
  for (const found of text.matchAll(ALL)) {
    const term = KEYS.find((key) => found.groups?.[key.replaceAll('-', '_')] !== undefined)!
    if (seen.has(term) || seen.size >= most) continue
    seen.add(term)
    if (found.index > from) parts.push(text.slice(from, found.index))
    parts.push({ term, text: found[0] })
    from = found.index + found[0].length
  }
  if (from < text.length) parts.push(text.slice(from))
  return parts
}
