import type { Condition, ConditionCode, Gate } from '~~/core/stages'
import { CLARITY_SHORT } from './looks'

export const GATE: Record<Gate, { label: string, hint: string }> = {
  'fining': { label: 'Fining', hint: 'bentonite and the like' },
  'cold': { label: 'Cold', hint: 'to shed its tartar' },
  'blending': { label: 'Blending', hint: 'with other lots' },
  'sweetening': { label: 'Sweetening', hint: 'and holding it sweet' },
  'bottling-still': { label: 'Bottling, still', hint: 'under cork or screw' },
  'bottling-sparkling': { label: 'Bottling, sparkling', hint: 'for a second ferment' }
}

type Words = Partial<Record<string, string>> & { met: string, open: string, unknown: string, settle: string }
/** What each condition says when it is met, when it is not, and when nobody knows; and the label of the way to settle it. */
const SAYS: Record<ConditionCode, Words> = {
  'stable-gravity': {
    met: 'Its gravity stands: two readings, two days apart, agree.',
    open: 'Its gravity has moved since the reading before: what ferments in a bottle bursts it.',
    ferments: 'It ferments, or was never read dry: what ferments in a bottle bursts it.',
    dry: 'Dry, by two readings that agree or by a sugar test.',
    sweet: 'It stands with sugar left: two readings, two days apart, agree.',
    unknown: 'No two readings say that it stands: read the gravity now, and again two days or more after.',
    settle: 'Read the gravity'
  },
  'malic-settled': {
    met: 'Malolactic is through.',
    done: 'Malolactic is through.',
    kit: 'A kit has no malolactic.',
    blocked: 'Malolactic is kept from it by sulphite at its level.',
    open: 'Malic acid is left and nothing keeps bacteria from it: a bottle of it turns gassy.',
    unknown: 'Malolactic is not wanted, and nobody knows whether its sulphite holds it off.',
    settle: 'Settle it'
  },
  'off-lees': {
    met: 'Racked off its lees.',
    open: 'It still lies on its lees.',
    unknown: 'Nobody noted a racking.',
    settle: 'Rack it'
  },
  'clear': {
    met: 'Clear against a torch.',
    open: 'Not clear yet.',
    unknown: 'Nobody has looked through it since it was racked.',
    settle: 'Say how clear'
  },
  'gas-out': {
    met: 'No gas in it.',
    time: 'Half a year since its ferment: its gas has gone by itself.',
    open: 'There is gas in it: it holds haze up, falsifies readings, and powder makes it erupt.',
    unknown: 'Nobody has shaken a sample for gas.',
    settle: 'Say what it did'
  },
  'protein': {
    met: 'It stayed clear in the heat test.',
    red: 'A red: its tannin has taken the protein out.',
    open: 'It clouded in the heat test: bentonite, by a bench trial.',
    unknown: 'No heat test yet: 80 °C for two hours, cooled, against the torch.',
    settle: 'Heat test'
  },
  'cold': {
    met: 'No crystals in the cold test.',
    chilled: 'It stood in the cold for a week or more.',
    accepted: 'By its plan it is not cold stabilised: crystals may come, and are harmless.',
    open: 'Crystals in the cold test.',
    unknown: 'No cold test yet: a sample at −4 °C for three days.',
    settle: 'Cold'
  },
  'sulphite': {
    'met': 'Its free SO₂ is at its level.',
    'kept-without': 'It is kept without sulphite.',
    'open': 'Its free SO₂ is below its level.',
    'unknown': 'Its free SO₂ or its pH is not known.',
    'settle': 'Sulphite'
  },
  'sulphite-for-bottle': {
    'met': 'Its free SO₂ is at its level, with a reserve for the air of bottling.',
    'kept-without': 'It is kept without sulphite: drink it young, or pasteurise.',
    'open': 'Its free SO₂ is below its level with the reserve for the air of bottling.',
    'unknown': 'Its free SO₂ or its pH is not known.',
    'settle': 'Sulphite'
  },
  'sulphite-low-enough': {
    met: 'Little enough sulphite for yeast to begin.',
    open: 'So much sulphite that yeast may not begin.',
    unknown: 'Its free SO₂ or its pH is not known.',
    settle: 'Measure'
  },
  'sweetness-held': {
    met: 'Nothing to ferment in it.',
    dry: 'Dry: nothing in it to ferment.',
    sorbate: 'Its sweetness is held by sorbate with sulphite.',
    heated: 'Its sweetness is held by pasteurising.',
    open: 'It is sweet, and nothing keeps yeast from it: in still bottles it bursts them. Cold alone does not hold it.',
    unknown: 'Whether it is sweet is not known.',
    settle: 'Hold it sweet'
  },
  'no-malolactic-with-sorbate': {
    met: 'No sorbate beside malolactic bacteria.',
    open: 'Sorbate and malolactic bacteria met in it: they make the smell of geraniums, and nothing takes it out.',
    unknown: '',
    settle: ''
  },
  'sorbate-may': {
    met: 'No malolactic bacteria in it: sorbate may hold it sweet.',
    open: 'Malolactic bacteria have been in it: no sorbate, which they turn into the smell of geraniums. Only heat holds it sweet.',
    unknown: '',
    settle: ''
  },
  'no-sorbate': {
    met: 'No sorbate in it.',
    open: 'There is sorbate in it: no second ferment will begin.',
    unknown: '',
    settle: ''
  },
  'alcohol-for-yeast': {
    met: 'Its alcohol leaves yeast room for a second ferment.',
    open: 'So much alcohol that yeast may not begin under pressure.',
    unknown: 'Its alcohol is not known.',
    settle: 'Measure'
  },
  'acids-known': {
    met: 'pH and TA are known.',
    open: 'pH or TA is not known.',
    unknown: 'pH or TA is not known: what follows goes by them.',
    settle: 'Measure'
  },
  'sound': {
    'met': 'It smelt sound.',
    'rotten-egg': 'It smelt of rotten egg.',
    'vinegar': 'It smelt of vinegar.',
    'nail-varnish': 'It smelt of nail varnish.',
    'open': 'It smelt of a fault.',
    'unknown': 'Nobody has smelt it for a month.',
    'settle': 'Say how it smells'
  }
}
const OPEN_MALIC: Partial<Record<string, string>> = {
  'to-come': 'Malolactic is planned and has not begun.',
  'under-way': 'Malolactic is under way.',
  'nearly': 'Malolactic is not quite through.',
  'blocked': 'Malolactic is not wanted, and its sulphite is too low to hold it off.'
}

/** A condition as a sentence. */
export function sayCondition(c: Condition): string {
  const words = SAYS[c.code]
  const figures = c.value !== undefined && c.wanted !== undefined ? ` ${figure(c)}` : ''
  if (c.state === 'unknown') return words.unknown
  if (c.state === 'not-met') {
    if (c.code === 'malic-settled') return (OPEN_MALIC[c.because ?? ''] ?? words.open) + figures
    if (c.code === 'clear' && c.because)
      return `Not clear yet: ${CLARITY_SHORT[c.because as keyof typeof CLARITY_SHORT]} when it was last looked at.`
    return ((c.because && words[c.because]) || words.open) + figures
  }
  return ((c.because && words[c.because]) || words.met) + (c.code.startsWith('sulphite') ? figures : '')
}

function figure({ code, value, wanted }: Condition): string {
  if (code === 'alcohol-for-yeast') return `${value!.toFixed(1)} % vol; up to ${wanted!.toFixed(1)}.`
  if (code === 'sulphite-low-enough') return `${value!.toFixed(2)} mg/L molecular; up to ${wanted!.toFixed(1)}.`
  return `${value!.toFixed(0)} mg/L; ${wanted!.toFixed(0)} wanted.`
}
export const settleLabel = (c: Condition): string => SAYS[c.code].settle
/** In few words, for a list in a sentence or a ledger line. */
export const CONDITION_SHORT: Record<ConditionCode, string> = {
  'stable-gravity': 'gravity that stands',
  'malic-settled': 'malic acid settled',
  'off-lees': 'off its lees',
  'clear': 'clear',
  'gas-out': 'gas out',
  'protein': 'protein stable',
  'cold': 'cold stable',
  'sulphite': 'sulphite at its level',
  'sulphite-for-bottle': 'sulphite for the bottle',
  'sulphite-low-enough': 'little enough sulphite',
  'sweetness-held': 'sweetness held',
  'no-malolactic-with-sorbate': 'no sorbate beside bacteria',
  'sorbate-may': 'room for sorbate',
  'no-sorbate': 'no sorbate',
  'alcohol-for-yeast': 'alcohol low enough',
  'acids-known': 'pH and TA',
  'sound': 'sound'
}
