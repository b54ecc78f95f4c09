import { type Finding, byUrgency, isEnded } from '../findings'
import type { LotView } from '../ledger'
import { type BlendedSays, blendedStage } from './blended'
import { type BottledSays, bottledStage } from './bottled'
import { type ClearingSays, clearingStage } from './clearing'
import { type EverySays, everyStage, partBroken } from './every'
import { type FaultSays, faultStage } from './fault'
import { type FermentSays, fermentStage } from './ferment'
import { type FiningSays, finingStage } from './fining'
import { type BottlingSays, type FinishingSays, bottlingStage, finishingStage } from './finishing'
import { type GasSays, gasStage } from './gas'
import { type KeepingSays, keepingStage } from './keeping'
import { type KitSays, kitStage } from './kit'
import { type LeesSays, leesStage } from './lees'
import { type MalolacticSays, malolacticEarlyStage, malolacticStage } from './malolactic'
import { type MustSays, mustStage } from './must'
import { type MousseSays, mousseStage } from './mousse'
import { type OakSays, oakStage } from './oak'
import { type StabilitySays, stabilityStage } from './stability'
import { type ToppingSays, toppingStage } from './topping'
import { type WoodSays, woodStage } from './wood'
import { asDecision } from './put-off'
import { withoutQuiet } from './quiet'
import type { CellarView, Stage } from './stage'

export { sulphiteToCome } from './packets'
export { isOnSkins } from './skins'
export { packetTask } from './stage'
export { isCarried, walkingOrder } from './walk'
export type { CellarView, LotForecast, Stage } from './stage'
export {
  airBeside,
  answeredSince,
  askForecast,
  fermentAsked,
  bandOfLot,
  believedTemperatures,
  doubtedReadings,
  doubtfulKey,
  endingOf,
  expectedAt,
  fermentStart,
  goneShare,
  nextFeed,
  nextSugarStep,
  oddGravity,
  phaseOf,
  pressAsk,
  wantingNitrogen,
  wholeOriginalSg,
  yeastOfLot
} from './ferment'
export type { Ending, Feed, Phase, SugarStep } from './ferment'
export {
  cameSulphited,
  correctionOf,
  courseOfLot,
  crushSteps,
  enzymeFor,
  finderReadings,
  isSyrup,
  judgeLot,
  judgeMust,
  ladlesFor,
  leesFor,
  leftOutTask,
  rememberCorrection
} from './must'
export type { CorrectPhase, CrushStatus, CrushStep, CrushStepCode, Judgement } from './must'
export { bacteriaFor, conditionsOf, malolacticCourseOf, malolacticEndedAt, waitedFor } from './malolactic'
export { MEASURED, type Measured, measuredBy } from './measured-by'
export type { LotConditions, LotCourse } from './malolactic'
export { airAdvice, isAskedFor, meetings, placesFor, toppingWines, usualPlace } from './moving'
export type { AirAdvice, Meeting, MeetingTrouble, Place, ToppingDoubt, ToppingWine } from './moving'
export { BOTTLE_L, CONDITIONS, GATES, HARD, bottlingWindow, gateTask, monthsOfRest, readinessOf } from './finishing'
export type { Condition, ConditionCode, Gate, Readiness } from './finishing'
export { bottlesLeft, drinkWindowOf } from './bottled'
export { airOver } from './topping'
export { mousseOf } from './mousse'
export { testUnderWay } from './stability'
export type { TestUnderWay } from './stability'
export { acidContextOf } from './acid-context'
export { coldCompared } from './cold-compared'
export type { ColdCompared } from './cold-compared'
export { vesselTasksOf, wantsSwelling, wantsWashing } from './vessels'
export type { VesselSays } from './vessels'
export { NET_SPREAD, askRacking, leesShareOf, lotOfWine } from './racking-day'
export type { RackingDay } from './racking-day'
export { firstDoseOf } from './first-sulphite'
export { BOTTLING_RESERVE, MOST_AT_ONCE, NEXT_ROUND_DAYS, aimOf, doseFor, isKept, roundDose } from './sulphite-dose'
export type { GivenForDose, LotDose } from './sulphite-dose'
export { weighingOf } from './weighing'
export type { WeighingLine, WeighingSum } from './weighing'
export { winterOf } from './winter'
export type { WinterRisk, WinterRow } from './winter'
export { limitsNear } from './every'
export type { LimitNear } from './every'
export { reasonsForBlock } from './harvest'
export type { HarvestReason } from './harvest'

export type { BottledSays, BottlingSays, ClearingSays }
export type { EverySays, FaultSays, FermentSays, FiningSays, FinishingSays, GasSays, KeepingSays, KitSays }
export type { BlendedSays, LeesSays, MalolacticSays, MousseSays, MustSays, OakSays }
export type { StabilitySays, ToppingSays, WoodSays }

/** Everything that any stage can say. */
export type StageSays =
  | MustSays
  | FermentSays
  | MalolacticSays
  | KeepingSays
  | KitSays
  | LeesSays
  | ToppingSays
  | WoodSays
  | GasSays
  | OakSays
  | StabilitySays
  | FaultSays
  | FiningSays
  | BlendedSays
  | MousseSays
  | FinishingSays
  | BottledSays
  | BottlingSays
  | ClearingSays
  | EverySays
export type StageFinding = Finding<StageSays>

/** In the order of the work. A new stage is one more line. */
export const STAGES: readonly Stage<StageSays>[] = [
  mustStage,
  fermentStage,
  malolacticStage,
  malolacticEarlyStage,
  keepingStage,
  kitStage,
  leesStage,
  toppingStage,
  woodStage,
  oakStage,
  blendedStage,
  finingStage,
  stabilityStage,
  gasStage,
  clearingStage,
  faultStage,
  finishingStage,
  mousseStage,
  bottlingStage,
  bottledStage,
  everyStage
] as unknown as readonly Stage<StageSays>[]

/**
 * What is to be done with a lot, most pressing first; the first is its next move. What somebody put off, moved or left is not
 * among them. Where the first stage that has something for it waits for a proof, the later ones keep still; what stands beside
 * them all, like a kit's packets, is among it in any case.
 */
export function tasksOf(lot: LotView, cellar: CellarView, now: string): StageFinding[] {
  const of = (stage: Stage<StageSays>): StageFinding[] =>
    said(lot, stage.code, true, () => (stage.appliesTo(lot) ? stage.tasks(lot, cellar, now) : []))
  const beside = STAGES.filter((stage) => stage.beside).flatMap(of)
  let own: StageFinding[] = []
  for (const stage of STAGES) {
    if (own.length === 0 && !stage.beside) own = of(stage)
  }
  const open = [...own, ...beside].filter((t) => !isEnded(t, lot.endedTasks, now)).sort(byUrgency)
  return withoutQuiet(open, () => findingsOf(lot, cellar, now)).map((task) => asDecision(task, lot))
}

/** What is worth knowing of a lot, most pressing first; what was seen and left as it is does not come back. */
export function findingsOf(lot: LotView, cellar: CellarView, now: string): StageFinding[] {
  const all = STAGES.flatMap((stage) => said(lot, stage.code, false, () => (stage.appliesTo(lot) ? stage.findings(lot, cellar, now) : [])))
  const doubted = new Set(all.flatMap((f) => (f.code === 'reading-doubtful' ? f.evidence : [])))
  // What its stage says of a reading, with what to do, the ledger need not say again.
  const twice = (f: StageFinding) => f.code === 'ledger' && f.problem.code === 'contradicts' && doubted.has(f.problem.entryId)
  return all.filter((f) => !twice(f) && !isEnded(f, lot.endedTasks, now)).sort(byUrgency)
}

/** What one stage says. Where it cannot be worked out that is said instead, and no other stage goes without its word. */
function said(lot: LotView, stage: string, task: boolean, say: () => StageFinding[]): StageFinding[] {
  try {
    return say()
  }
  catch (error) {
    return [partBroken(lot, stage, task, error)]
  }
}
