import type { NextMove } from '~~/core/advice'
import type { LotState } from '~~/core/ledger'
import { CLOCK_RUNS, CORRECT, STEP, hoursWords } from './crush'

export interface MoveWords {
  title: string
  reason: string
  /** Label of the button, and where it leads; none when there is nothing to do. */
  action?: string
  to?: string
}

const MISSING = { sugar: 'sugar', ph: 'pH', ta: 'titratable acidity' } as const

/** The next move of a lot in words. */
export function sayMove(move: NextMove, lot: LotState): MoveWords {
  const measure = { action: 'Measure', to: `/bench/measure?lot=${lot.id}` }
  const sulphite = { action: 'Work out the dose', to: `/bench/sulphite?lot=${lot.id}` }
  const crush = (action: string) => ({ action, to: `/crush/${lot.id}` })
  switch (move.code) {
    case 'measure-must': return { title: `Measure ${list(move.missing.map(m => MISSING[m]))}`, reason: 'Every dose that follows rests on these.', ...measure }
    case 'sulphite-must': return { title: 'Sulphite the must', reason: 'Nothing in it yet. At once, by the expected juice; yeast can follow 12 to 24 hours later.', ...crush('Work out the dose') }
    case 'correct-must': return { title: CORRECT[move.phase].title, reason: CORRECT[move.phase].why, ...crush(CORRECT[move.phase].action) }
    case 'crush-step': return { title: STEP[move.step].title, reason: STEP[move.step].why, ...crush('Open') }
    case 'clock': return { title: `${CLOCK_RUNS[move.step] ?? STEP[move.step].name}: ${hoursWords(move.hoursLeft)} to go`, reason: STEP[move.step].why, to: `/crush/${lot.id}`, action: 'Open' }
    case 'sulphite-low': return {
      title: 'Bring the sulphite up',
      reason: `Free SO₂ about ${move.freeMgPerL.toFixed(0)} mg/L; pH ${lot.ph!.value.toFixed(2)} asks for ${move.targetFreeMgPerL.toFixed(0)}.`, ...sulphite
    }
    case 'wait-for-yeast': return { title: `Wait ${Math.ceil(move.hoursLeft)} h before yeast`, reason: 'Sulphite went in less than 12 hours ago; yeast would not start in it.' }
    case 'pitch': return {
      title: 'Ready for yeast',
      reason: move.hoursSince > 24 ? 'More than a day since the sulphite: waiting longer invites spoilage.' : 'Measured, and the sulphite has had its time.',
      ...crush('Prepare the yeast')
    }
    case 'read-ferment': return {
      title: 'Read gravity and temperature',
      reason: move.daysSince < 1 ? 'Read within the last day.' : `Last gravity ${lot.sg ? lot.sg.value.toFixed(3) : 'unknown'}, ${days(move.daysSince)} ago. Once a day while it works.`, ...measure
    }
    case 'confirm-dry': return { title: 'Measure free SO₂', reason: 'Not known for this wine yet.', ...measure }
    case 'check-sulphite': return { title: 'Look at free SO₂', reason: `Last known ${Math.round(move.weeksSince)} weeks ago; it falls with time.`, ...measure }
    case 'rest': return { title: 'Nothing to do', reason: 'Leave it alone and keep it topped up.' }
  }
}

const list = (words: string[]): string => words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`
const days = (n: number): string => Math.floor(n) === 1 ? 'a day' : `${Math.floor(n)} days`
