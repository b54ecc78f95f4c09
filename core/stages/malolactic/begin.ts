import { potentialAlcohol } from '../../hydrometry'
import { type LotView, abvOf, isFermenting, reckonedBrix } from '../../ledger'
import { USUAL_CONDITIONS } from '../../malolactic'
import { wineFrom } from '../off-lees'
import { isOnSkins } from '../skins'
import { faultOf } from '../smelt'
import { type CellarView, hoursSince } from '../stage'
import { conditionsOf } from './of-lot'
import type { MalolacticObstacle } from './says'
import { sugarInTheWay, tellSugar } from './sugar-before'
import { HELPED_DAYS, type Says, WAIT_DAYS, benchOf, noMalolactic, warm } from './ways'

/** So poor that bacteria would hardly begin: it is decided on instead of waited for. Ours. */
const HOPELESS = 0.2
/** With the yeast: a day after it, craft 3.9; on the skins: when the sugar is nearly gone. Common practice, no source. */
const [WITH_YEAST_H, ON_SKINS_SG] = [24, 1.005] as const
/** A ferment with less alcohol than this is young; so much over what bacteria bear is worth a change of plan, % vol. Ours. */
const [YOUNG_ABV, STRONG_BY] = [5, 0.5] as const
/** A wine in which nobody put bacteria for so long is asked whether it is to have any, h. Ours. */
const NEVER_BEGUN_H = 12 * 168

const fermentsBeforeBacteria = (lot: LotView): boolean =>
  isFermenting(lot) && lot.alcoholic !== 'stuck' && lot.bacteriaAt === undefined && lot.malolactic === 'to-come'

/** It is to have its bacteria while it still ferments, and it is time. */
export function timeIsNow(lot: LotView): boolean {
  if (!fermentsBeforeBacteria(lot)) return false
  if (lot.plan.malolactic === 'with-yeast') return lot.inoculatedAt !== undefined && hoursSince(lot.inoculatedAt, lot.asOf) >= WITH_YEAST_H
  return lot.plan.malolactic === 'on-skins' && isOnSkins(lot) && lot.sg !== undefined && lot.sg.value <= ON_SKINS_SG
}

/** Its alcohol once it is dry, % vol, where that is more than most bacteria live in and there is little of it yet; else undefined. */
export function strongLater(lot: LotView): number | undefined {
  if (!fermentsBeforeBacteria(lot) || lot.plan.malolactic === 'with-yeast' || !lot.sg || !lot.balance) return undefined
  const made = abvOf(lot.balance)
  const dry = made + potentialAlcohol(reckonedBrix(lot.sg.value)).abv
  return made < YOUNG_ABV && dry > USUAL_CONDITIONS.toleranceAbv + STRONG_BY ? Math.min(20, dry) : undefined
}

/** Why bacteria would spoil it, or not live in it; what is asked then is whether malolactic is still wanted. */
export function hopeless(lot: LotView, cellar: CellarView): MalolacticObstacle | undefined {
  if (lot.added.has('potassium-sorbate')) return 'sorbate'
  const fault = faultOf(lot, lot.asOf)
  // A wine that smells of vinegar is protected first: more bacteria are the last thing it wants.
  if (fault === 'vinegar' || fault === 'nail-varnish') return 'vinegar'
  const found = conditionsOf(lot, cellar.cards)
  return found && found.score < HOPELESS ? 'conditions' : undefined
}

/** Bacteria that go in with little alcohol in it get used to the rest; after pressing they would hardly begin. */
export const early = (lot: LotView, abv: number): Says => ({
  code: 'malolactic-early',
  key: 'malolactic-early',
  abv,
  urgency: 'soon',
  task: true,
  lotId: lot.id,
  minutes: 5,
  evidence: lot.originalSg?.from ?? lot.sg?.from ?? [],
  action: benchOf(lot),
  waysOut: [
    { code: 'bacteria-early', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'with-yeast' }] },
    { code: 'bacteria-late' },
    { code: 'no-malolactic', drafts: [{ type: 'lot-planned', lotId: lot.id, malolactic: 'none' }] }
  ]
})

/** Bacteria are asked for where they can work; where they cannot, or after weeks of silence, the question is whether they are wanted. */
export function begin(lot: LotView, cellar: CellarView, now: string): Says {
  const obstacle = hopeless(lot, cellar)
  if (!obstacle && sugarInTheWay(lot)) return tellSugar(lot, now)
  const over = wineFrom(lot)
  const late = over !== undefined && hoursSince(over, now) > NEVER_BEGUN_H
  if (!obstacle && !late) return start(lot, cellar)
  const found = conditionsOf(lot, cellar.cards)
  return {
    code: 'malolactic-wanted',
    key: `malolactic-wanted:${obstacle ?? 'late'}`,
    because: obstacle ?? 'late',
    ...howWell(found),
    urgency: 'soon',
    task: true,
    lotId: lot.id,
    minutes: 5,
    evidence: lot.ph?.from ?? [],
    action: { to: 'malolactic', lotId: lot.id },
    waysOut: [
      ...(obstacle === 'sorbate' || obstacle === 'vinegar'
        ? []
        : [{ code: 'begin-malolactic', action: benchOf(lot), days: HELPED_DAYS } as const]),
      ...(found?.limiting === 'celsius' ? [warm(lot)] : []),
      noMalolactic(lot),
      { code: 'wait', days: WAIT_DAYS }
    ]
  }
}

/** How well it would go, as far as that is known. */
const howWell = (found: ReturnType<typeof conditionsOf>) =>
  found && { score: found.score, ...(found.limiting && { limiting: found.limiting }) }

export function start(lot: LotView, cellar: CellarView): Says {
  return {
    code: 'start-malolactic',
    key: 'start-malolactic',
    ...howWell(conditionsOf(lot, cellar.cards)),
    urgency: 'soon',
    task: true,
    lotId: lot.id,
    minutes: 20,
    evidence: lot.sg?.from ?? [],
    action: { to: 'malolactic', lotId: lot.id }
  }
}
