import type { AirAdvice, MeetingTrouble, Place, ToppingDoubt } from '~~/core/stages'

export const MOVE_AS = {
  'rack': { label: 'Rack', hint: 'off its lees, into clean vessels' },
  'split': { label: 'Split', hint: 'a part of it elsewhere' },
  'top-up': { label: 'Top up', hint: 'another wine into it' },
  'combine': { label: 'Combine', hint: 'it into another lot' }
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
  'must': 'A must is left in peace: its sulphite goes with the air.',
  'early-ferment': 'Yeast at its beginning takes the air gladly.',
  'late-ferment': 'Past its first third air harms more than it helps.',
  'rotten-egg': 'It smelt of rotten egg: air drives that off.',
  'wine': 'A wine loses by air: fruit, colour and sulphite.'
}

export const TOPPING_DOUBT: Record<ToppingDoubt, string> = {
  'other-style': 'another colour',
  'malolactic-unlike': 'one of them still has its malic acid',
  'sweet': 'it has sugar left',
  'smells': 'it smelt of a fault',
  'younger': 'a younger vintage',
  'ph-unlike': 'its pH is far off',
  'alcohol-unlike': 'its alcohol is far off'
}
export const sayLikeness = (likeness: number): string =>
  (likeness > 0.75 ? 'very like' : likeness > 0.4 ? 'like' : likeness > 0.15 ? 'somewhat like' : 'unlike')

/** What one wine brings into another, with what to do. */
export const MEETING: Record<MeetingTrouble, (from: string, into: string) => string> = {
  'geranium': (from, into) =>
    `${from} holds sorbate, and bacteria have worked in ${into}: together they smell of geranium leaves, for good. Never blend these two.`,
  'bacteria-stopped': (from, into) =>
    `Bacteria are at work in ${into}, and the free SO₂ of ${from} stops them. Wait until its malolactic is over.`,
  'malic-again': (from, into) =>
    `${from} still has malic acid and ${into} is through: in the blend malolactic can begin again, in the bottle too. `
    + `Take ${from} through it first, or keep the blend sulphited and cool.`,
  'sugar-again': (from, into) =>
    `${from} has sugar left and ${into} is dry: in the blend it can ferment again. Hold it as a sweet wine is held, or leave them apart.`,
  'fault': (from, into) =>
    `${from} smelt of a fault not long ago: in ${into} there would be more of it, not less. Look into that first.`
}

export const PLACE_FIRST: Record<Place['first'][number], string> = {
  wash: 'wash it first',
  sanitise: 'sanitise it first',
  swell: 'swell it first'
}
