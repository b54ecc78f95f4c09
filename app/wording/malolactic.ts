import type { DecisionReason, Limiting, MalolacticTiming } from '~~/core/malolactic'

export const DECISION = {
  yes: 'Recommended for this wine',
  no: 'Not recommended',
  either: 'Your choice'
} as const
export const DECISION_REASON: Record<DecisionReason, string> = {
  'kit': 'The acid of a kit is adjusted, and it often contains sulphite and sorbate. Bacteria hardly start, and with '
    + 'sorbate they make a smell of geraniums.',
  'sweet': 'It stays sweet: bacteria turn sugar into vinegar, and sorbate into a smell of geraniums.',
  'red-usual': 'Most reds become softer and safer: any malic acid left can start malolactic in the bottle.',
  'white-fresh': 'It makes a white rounder and less fresh: for full whites, not for crisp and aromatic ones.',
  'low-acid': 'Its pH is already high, and malolactic would take away more acid.',
  'hard-to-start': 'It is too acid for bacteria to start.',
  'sparkling': 'Any malic acid left can start malolactic in the bottle, so finish it first or block it.'
}

/** When the bacteria go in, and what each risks. */
export const TIMING: Record<MalolacticTiming, { label: string, hint: string }> = {
  'with-yeast': { label: 'With the yeast', hint: 'a day after it: finishes soonest. If the ferment sticks, bacteria turn sugar into '
    + 'vinegar' },
  'on-skins': { label: 'On the skins', hint: 'nearly dry, a week before pressing: warm, and fed by the skins. Pressing has to wait for '
    + 'it' },
  'after-pressing': { label: 'After pressing', hint: 'safest for the ferment. The cellar is colder by then, and the wine waits without '
    + 'sulphite' }
}

export const CONDITION: Record<Limiting, { label: string, unit: string, wants: string }> = {
  ph: { label: 'pH', unit: '', wants: '3.2 and more' },
  abv: { label: 'Alcohol', unit: '% vol', wants: 'to 14 % vol' },
  freeSo2: { label: 'Free SO₂', unit: 'mg/L', wants: 'under 10' },
  totalSo2: { label: 'Total SO₂', unit: 'mg/L', wants: 'under 30 to 40' },
  celsius: { label: 'Temperature', unit: '', wants: '18 to 24 °C' }
}

export const sayFactor = (share: number): string =>
  (share >= 0.95 ? 'good' : share >= 0.6 ? 'acceptable' : share >= 0.3 ? 'hard' : 'hardly')

/** How the bacteria go in: common practice, the packet wins. */
export const HYDRATION = [
  'Take the packet out of the cold half an hour before. Use an opened packet the same day.',
  'Stir it into twenty times its weight of chlorine-free water at 20 to 25 °C, and wait 15 minutes. Some are sprinkled in as '
    + 'they are.',
  'Pour it in under the surface, shared between all vessels, and stir gently without splashing.',
  'Stir the lees once a week to feed them. No sulphite until malolactic has finished.'
] as const
