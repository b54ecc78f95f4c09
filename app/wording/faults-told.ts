import type { Fault } from '~~/core/ledger'

interface FaultWords {
  /** What it tastes, smells or looks like. */
  is: string
  /** What it comes from. */
  from: string
  /** What can be done with the wine that has it. */
  now: string
  /** How the next one is kept from it. */
  next: string
}

/** What is told of each fault, on the page where it was tasted: common practice, no source. */
export const FAULT_TOLD: Record<Fault, FaultWords> = {
  'oxidised': {
    is: 'bruised apple, nuts, brown at the rim',
    from: 'Air: too much room over it, splashing, too little sulphite, or a closure that leaks.',
    now: 'It cannot be repaired. Drink it first, or cook with it. Casein removes some brown from a white.',
    next: 'Keep it topped up, rack it quietly, and bring free SO₂ to its level before every move and for the bottle.'
  },
  'volatile': {
    is: 'sharp in the nose and at the back of the throat',
    from: 'Acetic bacteria, which need air: a cap left dry, room over the wine, fruit flies, little sulphite at a high pH.',
    now: 'Keep it and its hoses away from other wines. Beyond a trace it makes vinegar, not wine.',
    next: 'Keep the cap wet, vessels full, pH below 3.7, add sulphite right after the ferments, and sort out split fruit.'
  },
  'ethyl-acetate': {
    is: 'solvent, pear drops',
    from: 'Wild yeasts on damaged fruit or a slow start, and the bacteria that make vinegar.',
    now: 'A trace may blow off with a splash rack; more stays.',
    next: 'Sound fruit, first sulphite at the crusher, and a yeast that starts within a day.'
  },
  'reduced': {
    is: 'rotten egg, struck match, rubber, cabbage',
    from: 'Yeast short of nitrogen, heavy lees left too long, or a bottle closed very tight.',
    now: 'In a vessel: a splash rack, and a second. In the bottle: decant it an hour before; a clean copper coin in the glass tells '
      + 'whether copper would help.',
    next: 'Measure nitrogen and feed in steps, rack off the gross lees within days, smell it every day of the ferment.'
  },
  'brett': {
    is: 'stable, sticking plaster, smoke',
    from: 'A wild yeast that lives in barrels and on little sugar, at high pH and little sulphite.',
    now: 'It keeps growing in the bottle, so drink it soon. Keep its barrel away from other wines.',
    next: 'Ferment to dry, molecular SO₂ at its level all winter, and no used barrel of unknown past.'
  },
  'cork-taint': {
    is: 'wet cardboard, and the fruit gone',
    from: 'From mould on cork, sometimes on wood or cardboard in the cellar, with chlorine.',
    now: 'Open another: usually only one bottle is affected.',
    next: 'Another batch of corks, or another closure; no chlorine on anything the wine touches.'
  },
  'mousy': {
    is: 'mouse cage, after swallowing, never in the nose',
    from: 'Lactic bacteria or wild yeast in a wine with little sulphite and a high pH.',
    now: 'Nothing takes it out; a third of people cannot taste it.',
    next: 'Keep sulphite at its level once malolactic has finished, and vessels full.'
  },
  'geranium': {
    is: 'crushed geranium leaf',
    from: 'Sorbate in a wine with lactic bacteria at work.',
    now: 'Nothing takes it out.',
    next: 'No sorbate after malolactic or without sulphite: leave it dry, or pasteurise it.'
  },
  'sulphite': {
    is: 'stings the nose, a lit match',
    from: 'More free SO₂ than its pH needs, or bottled right after a dose.',
    now: 'Store it for some months, or pour it from jug to jug. Anyone with asthma should avoid it.',
    next: 'Dose by pH to the level and the bottling reserve, not by the tablet.'
  },
  'prickle': {
    is: 'gas in a still wine, yeasty or of fresh apple',
    from: 'Bottled with gas left, or it ferments again: sugar or malic acid was left and nothing held it.',
    now: 'If it comes with haze, stand all of them in the cold in a closed box, and open one with gloves and eyes covered.',
    next: 'Two stable gravities, malic acid gone or locked, gas shaken out, before any bottle is filled.'
  },
  'haze': {
    is: 'a veil that was not there when it was bottled',
    from: 'Protein after a warm day, fine lees, pectin, or something that grows.',
    now: 'Protein and pectin are harmless. With gas or a smell, something is growing. Do not drink it until you know what.',
    next: 'A heat test, clear against a torch before bottling, enzyme for fruit that is rich in pectin.'
  },
  'crystals': {
    is: 'grains like sugar or glass on cork or bottom',
    from: 'Tartar that fell in the cold; harmless, and no glass.',
    now: 'Stand it upright for a day and pour it off gently.',
    next: 'A cold test, or weeks of cold before bottling. Or tell the people you give it to.'
  },
  'bitter': {
    is: 'dry gums, green walnut',
    from: 'Crushed seeds, wrung skins, stalks, or weeks too long on them.',
    now: 'Time, or a bench trial with egg white or gelatin; a little sweetness hides some.',
    next: 'Press gently, taste the press wine apart, and end the skins by taste.'
  },
  'green': {
    is: 'bell pepper, cut grass, sour',
    from: 'Fruit picked before it was ripe, or vines in deep shade.',
    now: 'Oak and a riper wine beside it in a blend cover some.',
    next: 'Pick by taste and seeds as well as by sugar; leaves off around the bunches in summer.'
  },
  'cooked': {
    is: 'jam, stewed fruit, prunes',
    from: 'A ferment that ran hot, or bottles stored too warm.',
    now: 'Drink it soon, cool.',
    next: 'Frozen bottles in the must above 30 °C, and a store that stays below 18 °C.'
  },
  'thin': {
    is: 'watery, short, flat',
    from: 'Fruit from a heavy crop or after rain, too much water, or acid taken too low.',
    now: 'A blend, a touch of acid by taste, or gum arabic by a trial.',
    next: 'Fewer bunches, less water, some juice drawn off the skins at the crusher.'
  }
}
