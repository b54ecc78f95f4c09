import { hoursBetween } from '../../units'
import { type LotState, type Owned, isMust, planOf, reckonedKit } from '../../ledger'
import { type ClockReading, arrivesOnSkins, clockAt, enzymeAdvice, kitWater } from '../../must'
import { packetTask } from '../stage'
import { correctionOf } from './correction-of-lot'

/** What is done to a must between its arrival and its yeast, in the order of the work (craft 3.3 to 3.6). */
export type CrushStepCode =
  | 'thaw'
  | 'came-sulphited'
  | 'heat-fruit'
  | 'first-sulphite'
  | 'true-volume'
  | 'settle'
  | 'rack-solids'
  | 'cold-soak'
  | 'enzyme'
  | 'measure'
  | 'water-kit'
  | 'packets'
  | 'correct'
  | 'pitch'

export type CrushStatus =
  | 'done'
  | 'left-out'
  /** It is this step's turn. */
  | 'now'
  /** Begun, and its time is not up. */
  | 'running'
  /** Cannot be done yet. */
  | 'waiting'
  | 'later'
  /** Can be done, and need not. */
  | 'optional'

export type CorrectPhase = 'plan' | 'measure-again' | 'finish'

export interface CrushStep {
  code: CrushStepCode
  status: CrushStatus
  /** When it was done or begun, ISO UTC. */
  at?: string
  /** Of a clock. */
  opensAt?: string
  closesAt?: string
  over?: boolean
  /** What a measurement lacks. */
  missing?: ('sugar' | 'ph' | 'ta')[]
  phase?: CorrectPhase
  /** Heated for colour and not read cool enough since: it must be at or below this, °C. */
  tooHotAbove?: number
  /** Holds nothing up. */
  optional?: boolean
}

interface Plan {
  code: CrushStepCode
  optional?: boolean
}

/** Heat drives sulphite off, so it comes first where it comes at all. */
const HEAT: Plan = { code: 'heat-fruit' }
/** After heating: sulphite stays in below this, enzyme and yeast live below theirs, °C. Common practice, no source. */
const COOL_FOR: Partial<Record<CrushStepCode, number>> = { 'first-sulphite': 40, enzyme: 45, pitch: 30 }

/** Steps by stream and style. Fruit gets sulphite at once; pails thaw first; whites settle; a kit is watered and follows its packets. */
function stepsFor(lot: LotState): Plan[] {
  const { heated } = planOf(lot)
  const red = lot.style === 'red'
  const skins = arrivesOnSkins(lot.stream, lot.style, lot.onSkins)
  const sulphite = { code: 'first-sulphite' } as const
  const end: Plan[] = [{ code: 'measure' }, { code: 'correct' }, { code: 'pitch' }]
  switch (lot.stream) {
    case 'fresh':
      return [
        ...(red && heated ? [HEAT] : []),
        sulphite,
        ...(red
          ? ([
              { code: 'enzyme', optional: true },
              { code: 'cold-soak', optional: true }
            ] as Plan[])
          : ([{ code: 'settle' }, { code: 'enzyme' }, { code: 'rack-solids' }] as Plan[])),
        { code: 'true-volume', optional: true },
        ...end
      ]
    case 'frozen':
      return [
        { code: 'thaw' },
        { code: 'came-sulphited' },
        ...(skins && red && heated ? [HEAT] : []),
        sulphite,
        ...(skins
          ? ([{ code: 'enzyme', optional: true }, { code: 'true-volume', optional: true }] as Plan[])
          : red
            ? []
            : ([{ code: 'settle' }, { code: 'enzyme' }, { code: 'rack-solids' }] as Plan[])),
        ...end
      ]
    case 'juice':
      return [
        { code: 'came-sulphited' },
        sulphite,
        ...(red ? [] : ([{ code: 'settle', optional: true }, { code: 'rack-solids', optional: true }] as Plan[])),
        ...end
      ]
    case 'kit':
      return [
        { code: 'measure' },
        ...(lot.kit ? ([{ code: 'water-kit' }] as Plan[]) : []),
        ...(lot.kit?.packets.length ? ([{ code: 'packets' }] as Plan[]) : []),
        { code: 'pitch' }
      ]
    case 'test':
      return [sulphite, { code: 'measure' }, { code: 'pitch' }]
    case 'blend':
      return end
  }
}

export const leftOutTask = (code: CrushStepCode): string => `crush:${code}`

/**
 * Where a must stands between arrival and yeast. Exactly one step has its turn, the first that can be done; clocks run
 * beside it; yeast comes when all before it is done or left out.
 * @param lot its state
 * @param now ISO UTC
 * @param owned what the household measures with: what it lacks holds nothing up
 */
export function crushSteps(lot: LotState, now: string, owned: Owned = {}): CrushStep[] {
  const pitched = lot.inoculatedAt !== undefined || !isMust(lot)
  let turnTaken = false
  // What is still ice is sulphited as it thaws, and neither settles, is measured nor corrected before that.
  let thawing: Own | undefined
  let allBefore = true
  return stepsFor(lot).map((plan) => {
    const cool = tooHotAbove(plan.code, lot)
    const itself = stepOf(plan.code, lot, { now, pitched, owned })
    const own: Own = cool === undefined || itself.status === 'done' ? itself : { status: 'waiting', tooHotAbove: cool }
    let step: CrushStep = { code: plan.code, ...own, ...(plan.optional && { optional: true }) }
    if (step.status === 'later' && lot.endedTasks.has(leftOutTask(plan.code)))
      step = { code: plan.code, status: 'left-out', at: lot.endedTasks.get(leftOutTask(plan.code))!.at }
    if (thawing && step.status === 'later' && plan.code !== 'first-sulphite')
      step = { ...step, status: 'waiting', ...(thawing.opensAt && { opensAt: thawing.opensAt }) }
    if (plan.code === 'thaw' && step.status === 'running') thawing = step
    const settled = step.status === 'done' || step.status === 'left-out'
    if (pitched && !settled) step = { code: plan.code, status: 'left-out' }
    else if (step.status === 'later' && plan.optional) step.status = 'optional'
    else if (step.status === 'later' && !turnTaken && (plan.code !== 'pitch' || allBefore) && (plan.code !== 'correct' || own.phase)) {
      step.status = 'now'
      turnTaken = true
    }
    if (step.status !== 'done' && step.status !== 'left-out' && !plan.optional) allBefore = false
    return step
  })
}

/** What a step waits to be cooled to after the fruit was heated, °C; nothing once it was read as cool. */
function tooHotAbove(code: CrushStepCode, lot: LotState): number | undefined {
  const [heated, limit] = [lot.worked.get('heat-fruit'), COOL_FOR[code]]
  if (!heated || limit === undefined) return undefined
  const cooled = lot.series.temperature?.some((p) => p.at > heated.at && p.value <= limit)
  return cooled ? undefined : limit
}

type Own = Omit<CrushStep, 'code'>
const LATER: Own = { status: 'later' }

/** A step by itself, without its neighbours: done, on a clock, or still to come ("later" until its turn). */
function stepOf(code: CrushStepCode, lot: LotState, { now, pitched, owned }: { now: string, pitched: boolean, owned: Owned }): Own {
  const worked = (what: 'thaw' | 'settle' | 'cold-soak' | 'heat-fruit'): Own => {
    const done = lot.worked.get(what)
    if (!done) return LATER
    const clock = clockAt(what, done.at, now)
    return { status: clock.phase === 'too-soon' && !pitched ? 'running' : 'done', at: done.at, ...times(clock) }
  }
  switch (code) {
    // A pail that was measured has thawed.
    case 'thaw':
      return lot.worked.has('thaw') ? worked('thaw') : lot.sg ? { status: 'done', at: lot.sg.at } : LATER
    case 'settle':
    case 'cold-soak':
    case 'heat-fruit':
      return worked(code)
    case 'came-sulphited':
      return lot.sulphitedOnArrival || lot.lastSulphiteAt ? { status: 'done', at: lot.lastSulphiteAt ?? lot.startedAt } : LATER
    case 'rack-solids': {
      const settled = lot.worked.get('settle')?.at
      const clock = settled === undefined ? undefined : clockAt('settle', settled, now)
      if (clock?.phase === 'too-soon' && !pitched) return { status: 'waiting', ...times(clock) }
      // What was not left to settle has no solids to come off.
      if (settled === undefined) return lot.endedTasks.has(leftOutTask('settle')) ? { status: 'left-out' } : LATER
      return lot.rackedAt !== undefined && lot.rackedAt > settled ? { status: 'done', at: lot.rackedAt } : LATER
    }
    case 'first-sulphite':
      // What came sulphited, or may have, gets none unasked.
      if (lot.sulphitedOnArrival === 'yes' || lot.sulphitedOnArrival === 'unknown') return { status: 'left-out' }
      return lot.lastSulphiteAt ? { status: 'done', at: lot.lastSulphiteAt } : LATER
    case 'true-volume':
      return lot.volume.origin === 'measured' ? { status: 'done', at: lot.volume.at } : LATER
    case 'enzyme':
      return enzymeStep(lot, now)
    case 'measure': {
      // Settling juice is not stirred for a sample: it is racked first.
      const settling = lot.worked.get('settle')
      const clock = settling && clockAt('settle', settling.at, now)
      if (clock?.phase === 'too-soon' && !pitched && missingOf(lot, owned).length > 0)
        return { status: 'waiting', opensAt: clock.opensAt, missing: missingOf(lot, owned) }
      const missing = missingOf(lot, owned)
      return missing.length > 0 ? { ...LATER, missing } : { status: 'done', at: lot.sg?.at ?? lot.startedAt }
    }
    case 'water-kit':
      return waterStep(lot)
    case 'packets': {
      const due = lot.kit!.packets.flatMap((p, i) => (p.step === 'before-yeast' ? [packetTask(i)] : []))
      if (!due.every((task) => lot.endedTasks.has(task))) return LATER
      return { status: 'done', ...(due[0] && { at: lot.endedTasks.get(due[0])!.at }) }
    }
    case 'correct':
      return correctStep(lot, owned)
    case 'pitch': {
      if (lot.inoculatedAt) return { status: 'done', at: lot.inoculatedAt }
      const came = lot.sulphitedOnArrival === 'yes' || lot.sulphitedOnArrival === 'unknown' ? lot.startedAt : undefined
      const sulphited = lot.lastSulphiteAt ?? came
      if (!sulphited || lot.stream === 'kit') return LATER
      const clock = clockAt('yeast-after-sulphite', sulphited, now)
      return { status: clock.phase === 'too-soon' ? 'waiting' : 'later', ...times(clock) }
    }
  }
}

function times(clock: ClockReading): Pick<Own, 'opensAt' | 'closesAt' | 'over'> {
  return { opensAt: clock.opensAt, closesAt: clock.closesAt, ...(clock.phase === 'over' && { over: true }) }
}

function enzymeStep(lot: LotState, now: string): Own {
  const given = lot.added.get('pectic-enzyme')
  if (given) return { status: 'done', at: given.lastAt }
  if (!lot.lastSulphiteAt) return LATER
  const clock = clockAt('enzyme-after-sulphite', lot.lastSulphiteAt, now)
  return clock.phase === 'too-soon' ? { status: 'waiting', opensAt: clock.opensAt } : LATER
}

/** What was not measured of a must; what nobody there can measure is not wanting. */
function missingOf(lot: LotState, owned: Owned): ('sugar' | 'ph' | 'ta')[] {
  const missing: ('sugar' | 'ph' | 'ta')[] = []
  if (!lot.sg && owned.hydrometer !== false) missing.push('sugar')
  if (!lot.ph && lot.stream !== 'kit' && owned['ph-meter'] !== false) missing.push('ph')
  if (!lot.ta && lot.stream !== 'kit' && owned['acid-kit'] !== false) missing.push('ta')
  return missing
}

/** A kit is watered when a *reading* says so: the estimate after the last water is not enough. */
function waterStep(lot: LotState): Own {
  // Once it ferments its gravity says nothing of its water any more.
  if (lot.inoculatedAt && lot.added.has('water')) return { status: 'done', at: lot.inoculatedAt }
  if (!lot.sg || lot.sg.origin !== 'measured') return lot.added.has('water') ? { ...LATER, phase: 'measure-again' } : LATER
  const { volumeL, sg } = reckonedKit(lot.volume.value, lot.sg.value)
  const water = kitWater(volumeL, sg, lot.kit!.targetSg, 1)
  return water.verdict === 'on-target' ? { status: 'done', at: lot.sg.at } : LATER
}

const SUGAR_SIDE = new Set(['water', 'sugar'])

/** Whether what was added as a first stage has been measured since: gravity for water and sugar, pH for the acids. */
function measuredSince(lot: LotState): boolean {
  return [...lot.staged].every(([material, { at }]) => (lot.series[SUGAR_SIDE.has(material) ? 'sg' : 'ph']?.at(-1)?.at ?? '') > at)
}

/** There is something to correct once all is measured and the finder would add something; a first stage wants measuring before the rest. */
function correctStep(lot: LotState, owned: Owned): Own {
  if (missingOf(lot, owned).length > 0) return LATER
  if (lot.staged.size > 0 && !measuredSince(lot)) return { ...LATER, phase: 'measure-again' }
  if (correctionOf(lot)?.verdict !== 'add') return { status: 'done', at: lot.ph?.at ?? lot.sg?.at ?? lot.startedAt }
  return { ...LATER, phase: lot.staged.size > 0 ? 'finish' : 'plan' }
}

/** What speaks against enzyme now, from the lot. */
export function enzymeFor(lot: LotState, now: string) {
  const hours = lot.lastSulphiteAt === undefined ? undefined : hoursBetween(lot.lastSulphiteAt, now)
  return enzymeAdvice({
    volumeL: lot.volume.value,
    bentonite: lot.added.has('bentonite'),
    fermenting: !isMust(lot),
    ...(hours !== undefined && { hoursSinceSulphite: Math.max(0, hours) }),
    ...(lot.temperature && { mustC: lot.temperature.value })
  })
}
