import type { MoveAs, MoveProblem } from '~~/core/benches'
import type { AirAdvice, MeetingTrouble, Place, ToppingDoubt } from '~~/core/stages'

export const MOVE_AS: Record<MoveAs, { label: string, hint: string }> = {
  'rack': { label: 'Rack', hint: 'off its lees, into clean vessels' },
  'split': { label: 'Split', hint: 'move part of it' },
  'top-up': { label: 'Top up', hint: 'fill it with another wine' },
  'combine': { label: 'Blend', hint: 'into another lot' }
}

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
  'must': 'Move a must quietly: air drives off its sulphite.',
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

const PLACE_FIRST: Record<Place['first'][number], string> = {
  wash: 'wash it first',
  sanitise: 'sanitise it first',
  swell: 'soak it first'
}
const PLACE_FITS: Record<Place['fits'], (air: string, capacity: string) => string> = {
  'full': () => 'full',
  'tight': () => 'no room for the foam',
  'air': (air) => `${air} of air`,
  'too-small': (_, capacity) => `takes ${capacity}`
}
/**
 * How an empty vessel fits what is to go into it, and what has to be done to it first.
 * @param isWine no longer a must or a ferment: it would not keep in a wide vessel
 * @param say a volume in the person's units
 */
export const sayPlace = ({ fits, airL, wide, wood, first }: Place, capacityL: number, isWine: boolean, say: (litres: number) => string) =>
  [
    PLACE_FITS[fits](say(airL), say(capacityL)),
    ...(wide && isWine ? ['wide: for a day only'] : []),
    ...(wood ? ['gives a taste of oak'] : []),
    ...first.map((x) => PLACE_FIRST[x])
  ].join(', ')

const MISSING: Record<Exclude<MoveProblem, { litres: number }>['code'], string> = {
  'no-lot': 'This lot no longer exists.',
  'no-vessel': 'Choose a vessel.',
  'no-topper': 'Choose a wine to top up with.',
  'no-partner': 'Choose the other lot.',
  'no-name': 'The new lot needs a name.'
}
/** @param nameOf a vessel, @param say a volume in the person's units */
export function sayMoveProblem(problem: MoveProblem, nameOf: (vesselId: string) => string, say: (litres: number) => string): string {
  if (!('litres' in problem)) return MISSING[problem.code]
  const [name, litres] = [nameOf(problem.vesselId ?? ''), say(problem.litres)]
  if (problem.code === 'no-room') return `${name} has room for ${litres}.`
  if (problem.code === 'too-small') return `${name} holds ${litres}: this is too much.`
  return `${name} holds ${litres}. If there is more, log its volume first.`
}
