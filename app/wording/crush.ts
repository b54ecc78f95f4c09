import type { CorrectPhase, CrushStep, CrushStepCode } from '~~/core/stages'
import type { EnzymeFinding } from '~~/core/must'
import type { PacketStep } from '~~/core/ledger'
import type { FruitHealth } from '~~/core/sulphite'

/** Each step of crush day: its short name on the rail, what it asks for, and why. */
export const STEP: Record<CrushStepCode, { name: string, title: string, why: string, leaveOut?: string }> = {
  thaw: {
    name: 'Thaw',
    title: 'Let it thaw',
    why: 'Slowly, lid on, in the cool. Stir from the bottom before anything is measured: the sugar lies there.'
  },
  'heat-fruit': {
    name: 'Heat',
    title: 'Heat the fruit for colour',
    why: 'Crushed, brought slowly to 60 to 70 °C and stirred from the bottom, 20 to 60 minutes: colour comes out, tannin hardly. Then '
      + 'cooled fast, lid on: enzyme from 45 °C down, sulphite from 40 °C, yeast from 30 °C. Its own enzymes are gone, so without pectic '
      + 'enzyme it stays cloudy.',
    leaveOut: 'Do not heat it'
  },
  'first-sulphite': {
    name: 'Sulphite',
    title: 'First sulphite',
    why: 'At once, by the juice that is expected and never by the weight of the fruit. It keeps wild yeast and browning off until yours '
      + 'is in.',
    leaveOut: 'Go without sulphite'
  },
  'true-volume': {
    name: 'Volume',
    title: 'Read the true volume',
    why: 'The juice was reckoned from the fruit. Once it can be read from the vessel, every dose goes by that.'
  },
  'came-sulphited': {
    name: 'Came with',
    title: 'Did it come with sulphite in it?',
    why: 'Frozen must and juice often do. Look on the pail or ask the seller. If nobody knows, Presk assumes some and waits before the '
      + 'yeast.'
  },
  'rack-solids': {
    name: 'Rack off',
    title: 'Rack the clear juice off the solids',
    why: 'Draw it off gently and leave the sludge behind. Stirring it up again for a sample would undo the settling.',
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
    why: 'One to four days on the skins below 12 °C, for colour before alcohol. Warmer, it starts by itself.'
  },
  enzyme: {
    name: 'Enzyme',
    title: 'Pectic enzyme',
    why: 'Before alcohol forms, warm enough to work, and hours after the sulphite. Bentonite would take it out again.',
    leaveOut: 'Leave the enzyme out'
  },
  measure: {
    name: 'Measure',
    title: 'Measure the must',
    why: 'Stir well, strain the sample, spin the bubbles out. Everything that follows rests on these.'
  },
  'water-kit': {
    name: 'Water',
    title: 'Water to its gravity',
    why: 'From the sweet side, in stages. Too much water cannot be taken out again; the line on the pail is only a hint.',
    leaveOut: 'Keep it as it is'
  },
  packets: {
    name: 'Packets',
    title: 'Packets before the yeast',
    why: 'In their order. What the leaflet says comes first.',
    leaveOut: 'No packet goes in'
  },
  correct: {
    name: 'Correct',
    title: 'Correct the must',
    why: 'Three quarters first, mix, measure, finish.',
    leaveOut: 'Leave it as it is'
  },
  pitch: { name: 'Yeast', title: 'Pitch the yeast', why: '12 to 24 hours after sulphite, and within 6 °C of the must.' }
}

export const CORRECT: Record<CorrectPhase, { title: string, why: string, action: string }> = {
  plan: {
    title: 'Correct the must',
    why: 'Its sugar, pH or acid is not where such a wine usually begins. See first what an addition would do; then three quarters of it '
      + 'go in.',
    action: 'See what helps'
  },
  'measure-again': {
    title: 'Measure again',
    why: 'The first stage is in. Mix well, give it an hour, and read before the rest.',
    action: 'Measure again'
  },
  finish: { title: 'Finish the correction', why: 'Measured again: now the small rest, by what the must says.', action: 'See the rest' }
}

export const HEALTH: Record<FruitHealth, { name: string, hint: string }> = {
  sound: { name: 'Sound', hint: 'clean, cool, whole berries' },
  'some-rot': { name: 'Some rot', hint: 'or split, warm, long on the way' },
  poor: { name: 'Poor', hint: 'much rot, wasps, already smelling' }
}

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
      return `Sulphite went in too short a time ago and would spoil the enzyme: wait ${hoursWords(finding.hoursLeft)} more.`
    case 'bentonite-removes-it':
      return 'Bentonite is in: it takes the enzyme out. Rack off it first.'
    case 'too-cold':
      return `At ${finding.mustC.toFixed(0)} °C it hardly works; above ${finding.worksC} °C it does. In the cold give it days.`
    case 'alcohol-forms':
      return 'The ferment is under way, and alcohol hinders the enzyme. It belonged before the yeast.'
  }
}

export const hoursWords = (hours: number): string =>
  hours < 1
    ? `${Math.max(1, Math.round(hours * 60))} min`
    : hours < 10
      ? `${hours.toFixed(hours % 1 < 0.05 || hours % 1 > 0.95 ? 0 : 1)} h`
      : `${Math.round(hours)} h`

/** Where a step stands, in a few words for the rail. */
export function sayStatus(step: CrushStep, when: (at: string) => string, hoursTo: (at: string) => number): string {
  switch (step.status) {
    case 'done':
      return step.over && step.closesAt && step.code !== 'pitch' ? `ended ${when(step.closesAt)}` : step.at ? when(step.at) : 'done'
    case 'left-out':
      return 'left out'
    case 'now':
      return 'now'
    case 'running':
      return `${hoursWords(hoursTo(step.opensAt!))} to go`
    case 'waiting':
      return step.opensAt ? `in ${hoursWords(hoursTo(step.opensAt))}` : 'too hot yet'
    case 'optional':
      return 'if you like'
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
