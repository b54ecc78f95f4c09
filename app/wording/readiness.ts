import type { Condition, ConditionCode, Gate } from '~~/core/stages'
import { CLARITY_SHORT } from './looks'

export const GATE: Record<Gate, { label: string, hint: string }> = {
  'fining': { label: 'Fining', hint: 'bentonite and others' },
  'cold': { label: 'Cold', hint: 'to drop tartrate crystals' },
  'blending': { label: 'Blending', hint: 'with other lots' },
  'sweetening': { label: 'Sweetening', hint: 'and keeping it sweet' },
  'bottling-still': { label: 'Bottling, still', hint: 'under cork or screw cap' },
  'bottling-sparkling': { label: 'Bottling, sparkling', hint: 'for a second ferment' }
}

type Words = Partial<Record<string, string>> & { met: string, open: string, unknown: string, settle: string }
/** What each condition says when it is met, when it is not, and when nobody knows; and the label of the way to settle it. */
const SAYS: Record<ConditionCode, Words> = {
  'stable-gravity': {
    met: 'The gravity is stable: two readings two days apart agree.',
    open: 'The gravity has moved since the last reading. A wine that ferments in a bottle can burst it.',
    ferments: 'It is fermenting, or has never been read dry. A wine that ferments in a bottle can burst it.',
    dry: 'Dry, by two readings that agree or by a sugar test.',
    sweet: 'Stable with sugar left: two readings two days apart agree.',
    unknown: 'No two readings show that the gravity is stable. Read it now, and again after two days or more.',
    settle: 'Read the gravity'
  },
  'malic-settled': {
    'met': 'Malolactic has finished.',
    'proof': 'Malolactic has finished.',
    'little': 'The malic acid left is too little to do harm.',
    'kit': 'Kits have no malolactic.',
    'blocked': 'Sulphite at a blocking level keeps malolactic out.',
    'filter': 'A sterile filter has taken the bacteria out.',
    'heat-planned': 'Pasteurising the bottles will kill the bacteria.',
    'low-ph': 'The pH is too low for bacteria.',
    'beyond-sulphite': 'Malic acid is left, and at this pH no sensible amount of sulphite blocks malolactic.',
    'kept-without': 'Malic acid may be left, and this wine is kept without the sulphite that would block malolactic.',
    'open': 'Malic acid is left and nothing keeps bacteria out. The bottles could turn gassy.',
    'unknown': 'Malolactic is not wanted, and nobody knows whether the sulphite blocks it.',
    'settle': 'Open malolactic'
  },
  'off-lees': {
    met: 'Racked off its lees.',
    open: 'It is still on its lees.',
    unknown: 'No racking has been logged.',
    settle: 'Rack it'
  },
  'off-fining': {
    met: 'No fining is left under it.',
    open: 'The fining is still under it, and would end up in the bottles.',
    unknown: 'Nobody knows whether a fining is still under it.',
    settle: 'Rack it'
  },
  'clear': {
    met: 'Clear against a torch.',
    accepted: 'The plan accepts a haze.',
    open: 'Not clear yet.',
    unknown: 'Nobody has checked its clarity since it was racked.',
    settle: 'Say how clear it is'
  },
  'gas-out': {
    met: 'No gas.',
    time: 'Half a year since it fermented: the gas has left by itself.',
    open: 'There is gas in it. Gas holds haze up, spoils readings and makes powder erupt.',
    unknown: 'Nobody has shaken a sample to check for gas.',
    settle: 'Check for gas'
  },
  'protein': {
    met: 'Stayed clear in the heat test.',
    red: 'A red: its tannin has removed the protein.',
    accepted: 'The plan accepts a haze.',
    open: 'Turned cloudy in the heat test. Fine it with bentonite, by a bench trial.',
    unknown: 'No heat test yet: two hours at 80 °C, cooled, checked with a torch.',
    settle: 'Heat test'
  },
  'cold': {
    met: 'No crystals in the cold test.',
    chilled: 'It was kept cold for a week or more.',
    accepted: 'The plan accepts crystals. They are harmless.',
    chilling: 'It is in the cold. Give it a week.',
    open: 'Crystals formed in the cold test.',
    unknown: 'No cold test yet: a sample at −4 °C for three days.',
    settle: 'Cold test'
  },
  'sulphite': {
    'met': 'Free SO₂ is at its level.',
    'kept-without': 'It is kept without sulphite.',
    'limit': 'Free SO₂ is below its level, and the limit for total SO₂ leaves no room for more.',
    'open': 'Free SO₂ is below its level.',
    'unknown': 'Its free SO₂ or pH is not known.',
    'settle': 'Work out the dose'
  },
  'sulphite-for-bottle': {
    'met': 'Free SO₂ is at its level, with a reserve for the air that bottling adds.',
    'kept-without': 'It is kept without sulphite: drink it young, or pasteurise the bottles.',
    'limit': 'Free SO₂ is too low for bottling, and the limit for total SO₂ leaves no room for more.',
    'open': 'Free SO₂ is too low for bottling: its level plus a reserve for the air.',
    'unknown': 'Its free SO₂ or pH is not known.',
    'settle': 'Work out the dose'
  },
  'sulphite-low-enough': {
    met: 'Little enough sulphite for yeast to start.',
    open: 'So much sulphite that yeast may not start.',
    unknown: 'Its free SO₂ or pH is not known.',
    settle: 'Measure'
  },
  'sweetness-held': {
    'met': 'No sugar left to ferment.',
    'dry': 'Dry: no sugar left to ferment.',
    'sorbate': 'Sorbate with sulphite keeps it from fermenting again.',
    'heated': 'Pasteurised: it cannot ferment again.',
    'heat-planned': 'The plan is to pasteurise the bottles: do it the day they are filled.',
    'open': 'It is sweet, and nothing stops yeast. In still bottles it can burst them. Cold alone does not stop it.',
    'unknown': 'Nobody knows how much sugar is left. Its gravity alone cannot tell.',
    'settle': 'Hold the sweetness'
  },
  'no-malolactic-with-sorbate': {
    met: 'No sorbate together with malolactic bacteria.',
    open: 'Sorbate and malolactic bacteria have met in it. They make a smell of geraniums that nothing removes.',
    unknown: '',
    settle: ''
  },
  'sorbate-may': {
    'met': 'No malolactic bacteria in it, so sorbate can be used.',
    'heat-planned': 'Malolactic bacteria have been in it. The plan keeps it sweet by heat, without sorbate.',
    'open': 'Malolactic bacteria have been in it. With sorbate they make a smell of geraniums. Only heat can keep it sweet.',
    'unknown': '',
    'settle': ''
  },
  'no-sorbate': {
    met: 'No sorbate in it.',
    open: 'There is sorbate in it: no second ferment will start.',
    unknown: '',
    settle: ''
  },
  'alcohol-for-yeast': {
    met: 'The alcohol leaves room for a second ferment.',
    open: 'So much alcohol that yeast may not start under pressure.',
    unknown: 'Its alcohol is not known.',
    settle: 'Measure'
  },
  'acids-known': {
    met: 'pH and TA are known.',
    open: 'pH or TA is not known.',
    unknown: 'pH or TA is not known. The next steps depend on them.',
    settle: 'Measure'
  },
  'sound': {
    'met': 'It smelt clean.',
    'rotten-egg': 'It smelt of rotten egg.',
    'vinegar': 'It smelt of vinegar.',
    'nail-varnish': 'It smelt of nail varnish.',
    'open': 'It smelt faulty.',
    'unknown': 'Nobody has smelt it in the last month.',
    'settle': 'Say how it smells'
  }
}
const OPEN_MALIC: Partial<Record<string, string>> = {
  'to-come': 'Malolactic is planned and has not started.',
  'under-way': 'Malolactic is under way.',
  'nearly': 'Malolactic has nearly finished.',
  'blocked': 'Malolactic is not wanted, and its sulphite is too low to block it.',
  'beyond-sulphite': SAYS['malic-settled']['beyond-sulphite']!,
  'kept-without': SAYS['malic-settled']['kept-without']!
}

/** A condition as a sentence. */
export function sayCondition(c: Condition): string {
  const words = SAYS[c.code]
  const figures = c.value !== undefined && c.wanted !== undefined ? ` ${figure(c)}` : ''
  if (c.state === 'unknown') return words.unknown
  if (c.state === 'not-met') {
    if (c.code === 'malic-settled') return (OPEN_MALIC[c.because ?? ''] ?? words.open) + figures
    if (c.code === 'clear' && c.because)
      return `Not clear yet: ${CLARITY_SHORT[c.because as keyof typeof CLARITY_SHORT]} when you last looked.`
    return ((c.because && words[c.because]) || words.open) + figures
  }
  return ((c.because && words[c.because]) || words.met) + (c.code.startsWith('sulphite') ? figures : '')
}

function figure({ code, value, wanted }: Condition): string {
  if (code === 'alcohol-for-yeast') return `${value!.toFixed(1)} % vol; up to ${wanted!.toFixed(1)}.`
  if (code === 'sulphite-low-enough') return `${value!.toFixed(2)} mg/L molecular; up to ${wanted!.toFixed(1)}.`
  if (code === 'sweetness-held') return `Up to ${value!.toFixed(0)} g/L of sugar; at most ${wanted!.toFixed(0)} is safe.`
  return `${value!.toFixed(0)} mg/L; it needs ${wanted!.toFixed(0)}.`
}
/** The label of the way that settles it: what is done there. */
export function settleLabel({ code, settle }: Condition): string {
  if (settle?.to === 'racking') return 'Plan the racking'
  if (settle?.to === 'sulphite') return 'Work out the dose'
  return settle?.to === 'measure' && code === 'sweetness-held' ? 'Test the sugar' : SAYS[code].settle
}

/** In few words, for a list in a sentence or a ledger line. */
export const CONDITION_SHORT: Record<ConditionCode, string> = {
  'stable-gravity': 'a stable gravity',
  'malic-settled': 'malolactic settled',
  'off-lees': 'off its lees',
  'off-fining': 'off the fining',
  'clear': 'clear',
  'gas-out': 'no gas',
  'protein': 'protein stable',
  'cold': 'cold stable',
  'sulphite': 'sulphite at its level',
  'sulphite-for-bottle': 'sulphite for bottling',
  'sulphite-low-enough': 'little enough sulphite',
  'sweetness-held': 'sweetness held',
  'no-malolactic-with-sorbate': 'no sorbate with bacteria',
  'sorbate-may': 'free of bacteria',
  'no-sorbate': 'no sorbate',
  'alcohol-for-yeast': 'low enough alcohol',
  'acids-known': 'pH and TA',
  'sound': 'a clean smell'
}
