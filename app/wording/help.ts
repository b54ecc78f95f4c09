/** How Presk works, for somebody who has ten minutes. Pictures are of the demo. */
interface HelpPart {
  title: string
  picture?: { file: string, alt: string }
  text: readonly string[]
  to: { path: string, label: string }
}
export const HELP: readonly HelpPart[] = [
  {
    title: 'Start a lot',
    text: [
      'A lot is one wine from one batch of fruit, must, juice or a kit. Say what came in and how much. Presk then asks, step by step, for '
      + 'what it needs: sulphite, sugar, pH, acid, yeast.',
      'You do not need every instrument. Answer “I have none” once, and Presk works with usual values and wider ranges.'
    ],
    to: { path: '/lots/new', label: 'Start a lot' }
  },
  {
    title: 'Do what Today says',
    picture: { file: 'today', alt: 'Today: the shelf of vessels with numbers, and the tasks in the same order' },
    text: [
      'Today lists what each lot needs, in the order in which you walk through the cellar. The numbers on the shelf are the numbers of '
      + 'the tasks. Each task opens the form or the calculation for it, already filled in.',
      'If you cannot do something, say so: not today, done already, nothing at hand. Presk then asks for something else.'
    ],
    to: { path: '/', label: 'Today' }
  },
  {
    title: 'Log what happened',
    text: [
      'Press / on a keyboard, or tap “Search or type”, and write as you would in a notebook: “tempranillo 1.032 25C”, “5 g sulphite in '
      + 'grenache”, “racked bobal”. Presk shows what it understood before it logs anything. The same field finds all you ever wrote.',
      'The round takes you from vessel to vessel with one thumb. Mistakes can be corrected or deleted; the earlier value stays visible.'
    ],
    to: { path: '/round', label: 'The round' }
  },
  {
    title: 'See where a figure comes from',
    picture: { file: 'lot', alt: 'A lot: its figures, marked as measured or estimated, its curve and its next task' },
    text: [
      'Every figure is measured ●, estimated ◐ or forecast ○, and says how sure it is. Tap it to see its readings and its formula.'
    ],
    to: { path: '/lots', label: 'Lots' }
  },
  {
    title: 'Try before you pour',
    picture: { file: 'sulphite', alt: 'The sulphite bench: the dose, and what it depends on' },
    text: [
      'The benches do the arithmetic: sulphite by pH, acid, sugar, blends, nutrient, cooling, bottles. They take a lot’s figures, show the '
      + 'wine before and after, and log what really went in.'
    ],
    to: { path: '/bench', label: 'Bench' }
  },
  {
    title: 'Look ahead',
    picture: { file: 'season', alt: 'The season: every lot on one line of time with its coming steps' },
    text: [
      'The season shows every lot’s way to the bottle, with the earliest, likely and latest day of each step. Enter a holiday to see what '
      + 'has to be done before, and what a friend could do.'
    ],
    to: { path: '/season', label: 'Season' }
  },
  {
    title: 'Practise',
    picture: { file: 'practice', alt: 'A drawn hydrometer to be read' },
    text: ['Play a whole season on simulated wines in an evening, or read a hydrometer in five minutes. Your own cellar is not touched.'],
    to: { path: '/practice', label: 'Practice' }
  },
  {
    title: 'Keep it safe',
    text: [
      'Everything is stored in this browser, on this device; Presk sends nothing anywhere. Choose a folder once under Settings, and '
      + 'Presk keeps copies there. Or export the cellar as a file now and then.'
    ],
    to: { path: '/settings', label: 'Settings' }
  }
]

/** Keys, for the laptop. */
export const KEYS: readonly { keys: string, does: string }[] = [
  { keys: '/ or Ctrl+K', does: 'Search, or type a reading' },
  { keys: 'Ctrl+Z', does: 'Undo what you logged last' },
  { keys: 'G then T', does: 'Today' },
  { keys: 'G then D', does: 'Crush day' },
  { keys: 'G then H', does: 'Before harvest' },
  { keys: 'G then L', does: 'Lots' },
  { keys: 'G then B', does: 'Bench' },
  { keys: 'G then C', does: 'Cellar' },
  { keys: 'G then S', does: 'Stores' },
  { keys: 'G then E', does: 'Settings' },
  { keys: 'G then P', does: 'Practice' },
  { keys: '← →', does: 'Along the shelf, once it has the focus' },
  { keys: '?', does: 'This list' }
]

/** What is new, the latest first. */
export const CHANGES: readonly { on: string, what: string }[] = [
  { on: '2026-12-01', what: 'Where no vessel is free, one tap adds one of a usual size. Press day chooses the vessel that fits.' },
  { on: '2026-12-01', what: 'Start concentrate by the can, or with fermenting must; say what becomes of the rest at bottling.' },
  { on: '2026-12-01', what: 'A reading that was a little low no longer adds alcohol: some wines now show 0.2 to 0.4 % less.' },
  { on: '2026-12-01', what: 'Presk learns from your finished lots; a bench keeps what you typed; Undo is above the tab bar on a phone.' },
  { on: '2026-12-01', what: 'Carry recent entries from screen to screen by QR codes; print a weighing list; undo an import.' },
  { on: '2026-12-01', what: 'Measure asks for what the lot needs now and takes a sugar test; Settings has a page of its own.' },
  { on: '2026-12-01', what: 'Type spoons, packets and tablets; export a zip with pictures and tables; use your own reading error.' },
  { on: '2026-12-01', what: 'Say that you are cooling or warming a must; racking day keeps its moves to the end.' },
  { on: '2026-11-30', what: 'Log what a task asks for with one tap; keep plans under a name; days off in the season.' },
  { on: '2026-11-30', what: 'Season: put a step on a day, see the hours ahead, and keep the steps in your own calendar.' },
  { on: '2026-11-30', what: 'Practice: seasons on simulated wines, instruments that you read, and thirteen exercises.' },
  { on: '2026-11-30', what: 'Compare lots and years; a lot’s record, the season book and vessel cards to print.' },
  { on: '2026-11-30', what: 'Copies in a folder, also to carry the cellar between a phone and a laptop.' },
  { on: '2026-11-30', what: 'Quarts, pints, cups and psi; dates as your browser writes them.' },
  { on: '2026-11-30', what: 'One field to search and to log; the Lots table sorts; forecasts keep score.' }
]
