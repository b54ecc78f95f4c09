import { MATERIALS, type Culture, type Effect, type MaterialCard } from '../../materials'
import type { EntryOf } from '../entry'
import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** A card of one's own. Cards are gathered before all else: what a packet says holds for what went in before it was typed. */
export const cardMade: EntryKind<'card-made'> = {
  type: 'card-made',
  touches: (e) => ({ ...NOTHING_TOUCHED, materials: [e.cardId] }),
  apply() {}
}

/** Which built-in card lends what a packet does not say. */
const LIKE = {
  yeast: 'yeast',
  nutrient: 'complex-nutrient',
  bacteria: 'bacteria',
  fining: 'bentonite',
  oak: 'oak',
  sugar: 'sugar',
  tannin: 'tannin',
  enzyme: 'pectic-enzyme',
  acid: 'lemon-juice',
  bottle: 'bottle-750',
  closure: 'crown-cap'
} as const

/** The card that a packet makes: what it says, and the usual of its kind for the rest. */
export function ownCard(made: EntryOf<'card-made'>): MaterialCard {
  const { kind, doseMin, doseMax, limitPerL, minC, maxC, name } = made
  const { limit: _limit, allergen: _allergen, alsoKnownAs: _also, dose, ...like } = MATERIALS[LIKE[kind]]
  const own =
    doseMin !== undefined || doseMax !== undefined
      ? { min: doseMin ?? doseMax!, max: doseMax ?? doseMin!, source: 'packet' as const }
      : kind === 'fining'
        ? undefined
        : dose
  const culture: Culture = {
    ...(minC !== undefined && maxC !== undefined && { temperatureC: { min: minC, max: maxC } }),
    ...known(made, ['toleranceAbv', 'nitrogenNeed', 'sulphideRisk', 'malolactic', 'styles', 'minPh', 'maxTotalSo2MgPerL'])
  }
  return {
    ...like,
    key: made.cardId,
    kind,
    name,
    aliases: [],
    unit: made.unit ?? like.unit,
    effect: effectOf(made),
    ...(own && { dose: own }),
    ...(limitPerL !== undefined && { limit: { perL: limitPerL, source: 'packet' } }),
    ...(made.allergen && { allergen: made.allergen }),
    ...(kind === 'bottle' && { bottle: { ml: made.sizeMl ?? 750, ratedBar: made.ratedBar ?? 0 } }),
    ...(kind === 'closure' && { closes: made.closes ?? 'cork' }),
    ...(Object.keys(culture).length > 0 && { culture })
  }
}

function effectOf({ kind, nitrogenMgPerG, sugarShare, acidShare, acidGPerL }: EntryOf<'card-made'>): Effect {
  if (kind === 'acid')
    return acidGPerL === undefined ? MATERIALS['lemon-juice'].effect : { on: 'acids', acid: 'citric', gPerMl: acidGPerL / 1000 }
  if (kind === 'nutrient') return nitrogenMgPerG === undefined ? { on: 'nothing' } : { on: 'nitrogen', mgPerG: nitrogenMgPerG }
  if (kind !== 'sugar') return { on: 'nothing' }
  // What is not sugar is water: a gram of sugar takes up 0.62 mL, a gram of water 1 mL.
  const share = sugarShare ?? 1
  return { on: 'sugar', sugarShare: share, litresPerG: (share * 0.62 + (1 - share)) / 1000, ...(acidShare !== undefined && { acidShare }) }
}

/** What the packet says of some things, and nothing of those it does not. */
function known<K extends keyof EntryOf<'card-made'>>(made: EntryOf<'card-made'>, keys: readonly K[]) {
  const said = keys.flatMap((key) => (made[key] === undefined ? [] : [[key, made[key]]]))
  return Object.fromEntries(said) as { [P in K]?: NonNullable<EntryOf<'card-made'>[P]> }
}
