import type { EntryOf, LotPlan } from '~~/core/ledger'
import { sayDay } from './days'
import { STEP } from './way'

type Words<K extends keyof LotPlan> = Record<Extract<LotPlan[K], string>, string>

/** The plan of a lot: each choice in the words of the trade, with what the method gives up where it gives something up. */
export const MALOLACTIC: Words<'malolactic'> = {
  'after-pressing': 'after pressing',
  'on-skins': 'on the skins, a week before pressing',
  'with-yeast': 'with the yeast',
  none: 'none',
  blocked: 'none, and blocked on purpose'
}
export const FINISH: Words<'finish'> = { dry: 'dry', sweet: 'sweet' }
export const SULPHITE_METHOD: Words<'sulphite'> = {
  'by-ph': 'by pH',
  tablets: 'flat tablets',
  double: 'a double dose after the ferment',
  minimal: 'as little as possible',
  none: 'none; pasteurised'
}
export const YEAST_METHOD: Words<'yeast'> = {
  rehydrate: 'rehydrated',
  sprinkle: 'sprinkled dry',
  starter: 'a starter',
  wild: 'wild',
  lees: 'lees of another lot'
}
export const NUTRIENT_METHOD: Words<'nutrient'> = { 'by-nitrogen': 'by nitrogen, in parts', 'at-pitch': 'all with the yeast', none: 'none' }
export const PRESS_METHOD: Words<'press'> = { 'at-dryness': 'when dry', early: 'early, still sweet', extended: 'some weeks after it is '
  + 'dry' }

export const LEES_METHOD: Words<'lees'> = { rack: 'racked off its lees', fine: 'kept on the fine lees and stirred' }

const HOLD: Words<'hold'> = { sorbate: 'sweetness held by sorbate', heat: 'sweetness held by heat', none: 'sweetness not held' }
const CLARITY_PLAN: Words<'clarity'> = { fine: 'haze fined', wait: 'haze left to settle', accept: 'haze accepted' }
const PROOF: Words<'proof'> = { test: 'malolactic proven by a test', wait: 'malolactic given its weeks' }

/** How loose oak is made ready, and what each gives up: common practice, no source. */
export const OAK_READY: Words<'oakReady'> = {
  straight: 'straight from the bag',
  boiled: 'boiled',
  baked: 'baked',
  steeped: 'steeped in wine or spirit'
}
export const OAK_READY_HOW: Words<'oakReady'> = {
  straight: 'Keeps all its flavour, but microbes from the bag go in too. Only for a wine with its free SO₂ at its level.',
  boiled: 'Boil it for ten minutes and pour the water away. Clean, with less harsh tannin and less flavour.',
  baked: 'On a tray at 180 °C for about half an hour, until it smells of bread. Clean, dry and a little darker.',
  steeped: 'Cover it with wine or spirit for a week, then add both. Clean and faster, so taste sooner.'
}

/** Of a lot's plan, or of one that is kept. */
type Planned = Partial<LotPlan> & Partial<Pick<EntryOf<'lot-planned'>, 'type' | 'sugarSteps' | 'step'>>

/** A plan as a sentence: only what it says. */
export const sayPlan = (plan: Planned): string => `Planned: ${planParts(plan).join('; ') || 'nothing'}.`

/** What a plan says, part by part. */
export function planParts(plan: Planned): string[] {
  return [
    plan.malolactic && `malolactic ${MALOLACTIC[plan.malolactic]}`,
    plan.cold !== undefined && (plan.cold ? 'cold winter' : 'kept from the cold'),
    plan.finish && `to be ${FINISH[plan.finish]}`,
    plan.hold && HOLD[plan.hold],
    plan.clarity && CLARITY_PLAN[plan.clarity],
    plan.proof && PROOF[plan.proof],
    plan.sparkling !== undefined && (plan.sparkling ? 'sparkling' : 'still'),
    plan.oak !== undefined && (plan.oak ? 'with oak' : 'without oak'),
    plan.oakReady && `oak ${OAK_READY[plan.oakReady]}`,
    plan.heated !== undefined && (plan.heated ? 'fruit heated for colour' : 'fruit not heated'),
    plan.sulphite && `sulphite ${SULPHITE_METHOD[plan.sulphite]}`,
    plan.yeast && `yeast ${YEAST_METHOD[plan.yeast]}`,
    plan.nutrient && `nutrient ${NUTRIENT_METHOD[plan.nutrient]}`,
    plan.lees && LEES_METHOD[plan.lees],
    plan.sugarSteps && `${Math.round(plan.sugarSteps.totalG)} g of sugar or honey in ${plan.sugarSteps.parts} steps`,
    plan.step && `“${STEP[plan.step.code].label}” ${plan.step.day ? `on ${sayDay(plan.step.day)}` : 'as forecast'}`,
    plan.press && `pressed ${PRESS_METHOD[plan.press]}`
  ].flatMap((part) => part || [])
}
