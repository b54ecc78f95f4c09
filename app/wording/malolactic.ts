import type { DecisionReason, Limiting, MalolacticTiming } from '~~/core/malolactic'

export const DECISION = {
  yes: 'Wanted in such a wine',
  no: 'Better without',
  either: 'As you like it'
} as const
export const DECISION_REASON: Record<DecisionReason, string> = {
  'kit': 'A kit is adjusted in its acid and often sulphited, and what is in its box may hold sorbate: bacteria hardly begin, and with '
    + 'sorbate they make geraniums.',
  'sweet': 'It shall stay sweet: bacteria make vinegar of sugar, and with sorbate geraniums.',
  'red-usual': 'Most reds are softer and safer for it: what malic acid is left may begin in the bottle.',
  'white-fresh': 'It makes a white rounder and takes its freshness: for full whites, not for crisp and aromatic ones.',
  'low-acid': 'Its pH is high already: it would take acid that is wanting.',
  'hard-to-start': 'It is so acid that bacteria hardly begin.',
  'sparkling': 'What is left of malic acid may begin in the bottle: through before, or blocked.'
}

/** When the bacteria go in, and what each risks. */
export const TIMING: Record<MalolacticTiming, { label: string, hint: string }> = {
  'with-yeast': { label: 'With the yeast', hint: 'a day after it: soonest through. If the ferment sticks, they make vinegar of its sugar' },
  'on-skins': { label: 'On the skins', hint: 'nearly dry, a week before the press: warm, and fed by the skins. The press must wait for '
    + 'it' },
  'after-pressing': { label: 'After pressing', hint: 'the surest for the ferment. The cellar is colder by then, and it waits without '
    + 'sulphite' }
}

export const CONDITION: Record<Limiting, { label: string, unit: string, wants: string }> = {
  ph: { label: 'pH', unit: '', wants: '3.2 and more' },
  abv: { label: 'Alcohol', unit: '% vol', wants: 'to 14 % vol' },
  freeSo2: { label: 'Free SO₂', unit: 'mg/L', wants: 'under 10' },
  totalSo2: { label: 'Total SO₂', unit: 'mg/L', wants: 'under 30 to 40' },
  celsius: { label: 'Warmth', unit: '', wants: '18 to 24 °C' }
}

export const sayFactor = (share: number): string => (share >= 0.95 ? 'good' : share >= 0.6 ? 'will do' : share >= 0.3 ? 'hard' : 'hardly')

/** How the bacteria go in: common practice, the packet wins. */
export const HYDRATION = [
  'Take the packet out of the cold half an hour before. Opened, it is used the same day.',
  'Stir it into twenty times its weight of chlorine-free water at 20 to 25 °C, and let it stand for 15 minutes; some are sprinkled in as '
    + 'they are.',
  'Pour it in under the surface, spread over all vessels, and stir gently. No splashing: they want no air.',
  'Lees stirred once a week feed them. No sulphite until it is through.'
] as const
