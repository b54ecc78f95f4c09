import type { AirAdvice, MeetingTrouble, Place, ToppingDoubt } from '~~/core/stages'

export const MOVE_AS = {
  'rack': { label: 'Rack', hint: 'off its lees, into clean vessels' },
  'split': { label: 'Split', hint: 'move part of it' },
  'top-up': { label: 'Top up', hint: 'fill it with another wine' },
  'combine': { label: 'Blend', hint: 'into another lot' }
} as const
export type MoveAs = keyof typeof MOVE_AS

export const MOVE_TITLE: Record<MoveAs, (name: string) => string> = {
  'rack': (name) => `Rack ${name}`,
  'split': (name) => `Split ${name}`,
  'top-up': (name) => `Top up ${name}`,
  'combine': (name) => `${name} into another lot`
}

export const AIR = {
  quiet: { label: 'Quietly', hint: 'the hose under the surface' },
  splashed: { label: 'With splashing', hint: 'over the side, to take up air' }
} as const

export const AIR_BECAUSE: Record<AirAdvice['because'], string> = {
  'must': 'Leave a must alone: air drives off its sulphite.',
  'early-ferment': 'Young yeast benefits from air.',
  'late-ferment': 'After the first third of the ferment air does more harm than good.',
  'rotten-egg': 'It smelled of rotten egg, and air drives that off.',
  'wine': 'Air costs a wine fruit, colour and sulphite.'
}

export const TOPPING_DOUBT: Record<ToppingDoubt, string> = {
  'other-style': 'another colour',
  'malolactic-unlike': 'one of them still has its malic acid',
  'sweet': 'it has sugar left',
  'smells': 'it smelled of a fault',
  'younger': 'a younger vintage',
  'ph-unlike': 'its pH is very different',
  'alcohol-unlike': 'its alcohol is very different'
}
export const sayLikeness = (likeness: number): string =>
  (likeness > 0.75 ? 'very similar' : likeness > 0.4 ? 'like' : likeness > 0.15 ? 'fairly similar' : 'unlike')

/** What one wine brings into another, with what to do. */
export const MEETING: Record<MeetingTrouble, (from: string, into: string) => string> = {
  'geranium': (from, into) =>
    `${from} contains sorbate, and ${into} has had malolactic bacteria. Together they smell of geranium leaves, for good. Never blend `
      + `these two.`,
  'bacteria-stopped': (from, into) =>
    `Malolactic is under way in ${into}, and the free SO₂ of ${from} would stop it. Wait until it has finished.`,
  'malic-again': (from, into) =>
    `${from} still has malic acid and ${into} has finished malolactic. In the blend it can start again, even in the bottle. `
    + `Finish it in ${from} first, or keep the blend sulphited and cool.`,
  'sugar-again': (from, into) =>
    `${from} has sugar left and ${into} is dry. The blend can ferment again. Stabilise it like a sweet wine, or keep them apart.`,
  'fault': (from, into) =>
    `${from} smelled of a fault recently, and would spread it to ${into}. Sort that out first.`
}

export const PLACE_FIRST: Record<Place['first'][number], string> = {
  wash: 'wash it first',
  sanitise: 'sanitise it first',
  swell: 'soak it first'
}
