/** A word of the trade, said for somebody who hears it for the first time. */
export interface Term {
  name: string
  /** How a text spells it, as a pattern; whole words only. */
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
      'How dense it is compared with water, which is 1.000. Sugar raises it, alcohol lowers it: about 1.090 ' +
      'before a ferment, 0.992 to 0.996 when it is over.'
  },
  'ph': {
    name: 'pH',
    match: 'pH',
    says:
      'How strongly the acid acts, from about 2.9 to 4. Lower is sharper and safer. With a tenth more, a wine needs ' +
      'a quarter more sulphite.'
  },
  'ta': {
    name: 'Titratable acidity, TA',
    match: 'titratable acidity|TA',
    says:
      'All the acid a titration finds, counted as tartaric acid, in g/L. It is what you ' +
      'taste as sour. pH does not follow it closely.'
  },
  'titration': {
    name: 'Titration',
    match: 'titrations?|titrant|titrated?',
    says:
      'Measuring acid by how much base of known strength neutralises it, drop by drop, until a colour changes or a ' +
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
    says: 'Free and bound sulphite together. The law limits it, and it hinders malolactic bacteria.'
  },
  'sulphite': {
    name: 'Sulphite',
    match: 'sulphites?|sulphited',
    says: 'A salt of sulphur dioxide. It prevents browning and most spoilage. The dose depends on pH.'
  },
  'pectic-enzyme': {
    name: 'Pectic enzyme',
    match: 'pectic enzyme',
    says: 'It breaks down the pectin of the fruit: more juice, more colour, and a wine that clears.'
  },
  'cold-soak': {
    name: 'Cold soak',
    match: 'cold soak|soaking cold',
    says: 'Crushed red grapes kept cold before the ferment, so that the juice takes up colour before there is alcohol.'
  },
  'potential-alcohol': {
    name: 'Potential alcohol',
    match: 'potential alcohol',
    says: 'The alcohol its sugar would make if yeast fermented all of it.'
  },
  'tolerance': {
    name: 'Tolerance of a yeast',
    match: 'tolerance',
    says: 'The alcohol at which a yeast stops, according to its packet.'
  },
  'pitch': { name: 'To pitch', match: 'pitch(?:ed|ing)?', says: 'To add the yeast.' },
  'rehydrate': {
    name: 'To rehydrate',
    match: 'rehydrat(?:e|ed|ing|ion)',
    says: 'To soak dry yeast in water at 35 to 40 °C for a quarter of an hour before you add it.'
  },
  'nutrient': {
    name: 'Nutrient, nitrogen',
    match: 'nutrients?|nitrogen|YAN',
    says:
      'What yeast needs besides sugar, above all nitrogen. With too little the ferment smells or stops; too ' +
      'late, it feeds spoilage.'
  },
  'cap': {
    name: 'Cap',
    match: '(?<=\\b(?:the|a|dry) )cap|cap worked',
    says:
      'The skins of a red, lifted to the top by gas. Push them under two or three times a day: dry and ' +
      'warm, they turn to vinegar.'
  },
  'stuck': { name: 'Stuck', match: 'stuck|sticks', says: 'A ferment that has stopped with sugar left.' },
  'free-run': {
    name: 'Free run and press wine',
    match: 'free run|press wine',
    says:
      'What runs off by itself, and what you press out of the skins: harder, with more tannin and a higher ' +
      'pH.'
  },
  'tannin': {
    name: 'Tannin',
    match: 'tannins?',
    says: 'What dries the mouth, from skins, seeds, stems and oak. It helps a red to age.'
  },
  'lees': {
    name: 'Lees',
    match: '(?:gross )?lees',
    says:
      'What settles at the bottom: dead yeast, pulp, crystals. The thick first ones go early, the fine ones may ' +
      'stay.'
  },
  'rack': { name: 'To rack', match: 'rack(?:ed|ing|ings)?', says: 'To draw wine off its lees into a clean vessel.' },
  'malolactic': {
    name: 'Malolactic',
    match: 'malolactic',
    says:
      'Bacteria turn the sharp malic acid into soft lactic acid, in or after the ferment. Wanted in most reds; ' +
      'if it starts in the bottle, the wine turns gassy.'
  },
  'malic': {
    name: 'Malic acid',
    match: 'malic acid|malic',
    says: 'The sharp acid of green apples, one of the two main acids of grapes. Malolactic bacteria convert it.'
  },
  'chromatogram': {
    name: 'Paper chromatogram',
    match: 'paper chromatogram|chromatograms?',
    says:
      'Drops of wine creep up a sheet of paper in a solvent, and each acid leaves its own spot. It shows ' +
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
      'Stirring in a material that takes haze or harshness down as it settles. Try it in a glass first: ' +
      'each also removes something good.'
  },
  'bentonite': {
    name: 'Bentonite',
    match: 'bentonite',
    says:
      'A clay that removes protein, which can make a white hazy when warm. Soaked in water before it ' +
      'goes in.'
  },
  'cold-stable': {
    name: 'Cold test, tartrate',
    match: 'tartrates?|bitartrate|cold test',
    says:
      'In the cold, wine drops crystals of potassium and tartaric acid. They are harmless, but better left ' +
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
      'It keeps yeast from multiplying in a sweet wine, but does not stop a ferment. With malolactic bacteria it turns ' +
      'to geranium, without sulphite it fails.'
  },
  'degas': {
    name: 'To degas',
    match: 'degas(?:sed|sing)?',
    says: 'To shake or stir out the gas of the ferment. Gas keeps haze in suspension and falsifies acid and gravity.'
  },
  'disgorge': {
    name: 'To disgorge',
    match: 'disgorg(?:e|ed|ing)',
    says: 'To release the lees through the neck of a sparkling bottle, and top it up.'
  },
  'riddle': {
    name: 'To riddle',
    match: 'riddl(?:e|ed|ing)',
    says: 'To turn bottles a little each day, neck down, until the lees collect on the closure.'
  }
} as const satisfies Record<string, Term>

export type TermKey = keyof typeof GLOSSARY

const KEYS = Object.keys(GLOSSARY) as TermKey[]
/** One pattern for all, the longer before the shorter; a match inside another word does not count. */
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
