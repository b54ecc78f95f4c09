import type { CorrectPhase, CrushStep, CrushStepCode } from '~~/core/stages'
import type { EnzymeFinding } from '~~/core/must'
import type { PacketStep } from '~~/core/ledger'
import type { FruitHealth } from '~~/core/sulphite'

/** Each step of crush day: its short name on the rail, what it asks for, and why. */
export const STEP: Record<CrushStepCode, { name: string, title: string, why: string, leaveOut?: string }> = {
  thaw: {
    name: 'Thaw',
    title: 'Let it thaw',
    why: 'Slowly, lid on, in a cool place. Stir from the bottom before you measure, because the sugar collects there.'
  },
  'heat-fruit': {
    name: 'Heat',
    title: 'Heat the fruit for colour',
    why: 'Heat the crushed fruit slowly to 60 to 70 °C, stirring from the bottom, and hold it for 20 to 60 minutes. It gives colour '
      + 'and little tannin. Then cool it fast, lid on: enzyme below 45 °C, sulphite below 40 °C, yeast below 30 °C. Heat destroys its '
      + 'own enzymes, so without pectic enzyme it stays cloudy.',
    leaveOut: 'Do not heat it'
  },
  'first-sulphite': {
    name: 'Sulphite',
    title: 'First sulphite',
    why: 'At once, for the juice you expect, not for the weight of the fruit. It holds back wild yeast and browning until your yeast '
      + 'is in.',
    leaveOut: 'Go without sulphite'
  },
  'true-volume': {
    name: 'Volume',
    title: 'Read the true volume',
    why: 'Until now the juice was estimated from the fruit. Read it from the vessel, and every dose becomes more accurate.'
  },
  'came-sulphited': {
    name: 'Came with',
    title: 'Did it come with sulphite in it?',
    why: 'Frozen must and juice often do. Look on the pail or ask the seller. If you do not know, Presk assumes some and waits before the '
      + 'yeast.'
  },
  'rack-solids': {
    name: 'Rack off',
    title: 'Rack the clear juice off the solids',
    why: 'Draw it off gently and leave the solids behind. Do not stir it for a sample.',
    leaveOut: 'Keep the solids in'
  },
  settle: {
    name: 'Settle',
    title: 'Leave it to settle',
    why: '24 to 72 hours at 2 to 10 °C; then rack the clear juice off the solids.',
    leaveOut: 'Do not settle it'
  },
  'cold-soak': {
    name: 'Soak',
    title: 'Cold soak',
    why: 'One to four days on the skins below 12 °C, for colour before there is alcohol. If it is warmer, it starts to ferment.'
  },
  enzyme: {
    name: 'Enzyme',
    title: 'Pectic enzyme',
    why: 'Before there is alcohol, when it is warm enough, and some hours after the sulphite. Bentonite removes it.',
    leaveOut: 'No enzyme'
  },
  measure: {
    name: 'Measure',
    title: 'Measure the must',
    why: 'Stir well, strain the sample and spin out the bubbles. Everything else depends on these readings.'
  },
  'water-kit': {
    name: 'Water',
    title: 'Dilute to its gravity',
    why: 'Add water in stages, because you cannot take it out again. The line on the pail is only a guide.',
    leaveOut: 'Keep it as it is'
  },
  packets: {
    name: 'Packets',
    title: 'Packets before the yeast',
    why: 'In order, and as the leaflet says.',
    leaveOut: 'No packets'
  },
  correct: {
    name: 'Correct',
    title: 'Correct the must',
    why: 'Three quarters first, mix, measure, then the rest.',
    leaveOut: 'Leave it as it is'
  },
  pitch: { name: 'Yeast', title: 'Pitch the yeast', why: '12 to 24 hours after sulphite, and within 6 °C of the must.' }
}

export const CORRECT: Record<CorrectPhase, { title: string, why: string, action: string }> = {
  plan: {
    title: 'Correct the must',
    why: 'Its sugar, pH or acid is outside the usual range.',
    action: 'See what helps'
  },
  'measure-again': {
    title: 'Measure again',
    why: 'The first stage is in. Mix well, give it an hour, and read before the rest.',
    action: 'Measure again'
  },
  finish: {
    title: 'Finish the correction',
    why: 'You have measured again. Now add the rest, based on the new readings.',
    action: 'See the rest'
  }
}

export const HEALTH: Record<FruitHealth, { name: string, hint: string }> = {
  sound: { name: 'Sound', hint: 'clean, cool, whole berries' },
  'some-rot': { name: 'Some rot', hint: 'or split, warm, or long in transit' },
  poor: { name: 'Poor', hint: 'much rot, wasps, already smelling' }
}
/** The same, to choose from. */
export const HEALTH_CHOICES = (Object.keys(HEALTH) as FruitHealth[]).map((value) => ({
  value,
  label: HEALTH[value].name,
  hint: HEALTH[value].hint
}))

export const PACKET_STEP: Record<PacketStep, string> = {
  'before-yeast': 'Before the yeast',
  yeast: 'Yeast',
  ferment: 'During the ferment',
  stabilise: 'To stabilise',
  clear: 'To clear'
}

export function sayEnzymeFinding(finding: EnzymeFinding): string {
  switch (finding.code) {
    case 'sulphite-too-near':
      return `Sulphite went in too recently and would weaken the enzyme. Wait ${hoursWords(finding.hoursLeft)} more.`
    case 'bentonite-removes-it':
      return 'There is bentonite in it, which removes the enzyme. Rack first.'
    case 'too-cold':
      return `At ${finding.mustC.toFixed(0)} °C it hardly works; above ${finding.worksC} °C it does. Cold must needs days.`
    case 'alcohol-forms':
      return 'It is fermenting, and alcohol hinders the enzyme. Add it before the yeast next time.'
  }
}

export const hoursWords = (hours: number): string =>
  hours < 1
    ? `${Math.max(1, Math.round(hours * 60))} min`
    : hours < 10
      ? `${hours.toFixed(hours % 1 < 0.05 || hours % 1 > 0.95 ? 0 : 1)} h`
      : `${Math.round(hours)} h`

/** The state of a step, in a few words for the rail. */
export function sayStatus(step: CrushStep, when: (at: string) => string, hoursTo: (at: string) => number): string {
  switch (step.status) {
    case 'done':
      return step.over && step.closesAt && step.code !== 'pitch' ? `ended ${when(step.closesAt)}` : step.at ? when(step.at) : 'done'
    case 'left-out':
      return 'skipped'
    case 'now':
      return 'now'
    case 'running':
      return `${hoursWords(hoursTo(step.opensAt!))} to go`
    case 'waiting':
      return step.opensAt ? `in ${hoursWords(hoursTo(step.opensAt))}` : 'too hot yet'
    case 'optional':
      return 'optional'
    case 'later':
      return ''
  }
}

/** The step in words, as the next thing to do for a lot. */
export function sayStep(step: Pick<CrushStep, 'code' | 'phase'>): { title: string, why: string } {
  return step.code === 'correct' ? CORRECT[step.phase ?? 'plan'] : STEP[step.code]
}

/** A clock that is running, as what the floor waits for. */
export const CLOCK_RUNS: Partial<Record<CrushStepCode, string>> = {
  settle: 'Settling',
  'cold-soak': 'Soaking cold',
  thaw: 'Thawing',
  'heat-fruit': 'Keeping hot',
  enzyme: 'Enzyme waits for the sulphite'
}
