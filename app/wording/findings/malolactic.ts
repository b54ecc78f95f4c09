import { type ConditionFinding, type Limiting, USUAL_CONDITIONS } from '~~/core/malolactic'
import type { MalolacticSays } from '~~/core/stages'
import { listed } from '../listed'
import { type SayFormat, type WordsFor, capital, days, weeks } from './say'

/** What holds bacteria up, in a word or two. */
export const LIMITING: Record<Limiting, string> = {
  ph: 'the acidity',
  abv: 'the alcohol',
  freeSo2: 'the free SO₂',
  totalSo2: 'the total SO₂',
  celsius: 'the temperature'
}
/** How well they can work. */
export const sayScore = (score: number): string => (score >= 0.6 ? 'good' : score >= 0.3 ? 'difficult' : 'poor')

/** What hinders the bacteria, and what to do about it. */
export function sayCondition(by: ConditionFinding, f: Pick<SayFormat, 'temperature' | 'words'>): { title: string, text: string } {
  switch (by.code) {
    case 'too-acid':
      return {
        title: `pH ${by.ph.toFixed(2)} is low for the bacteria`,
        text: `They work from pH ${by.to.toFixed(1)}. Some cultures tolerate less. You can also take off some acid with carbonate, or do `
          + 'sweet without malolactic.'
      }
    case 'others-thrive':
      return {
        title: `At pH ${by.ph.toFixed(2)} spoilage bacteria thrive too`,
        text: 'Make it short: enough of a known culture, warmth, and sulphite within days of the end.'
      }
    case 'too-strong':
      return {
        title: `${by.abv.toFixed(1)} % vol is high for the bacteria`,
        text: `Most stop at about ${by.most.toFixed(0)} %. Choose a culture whose packet allows more, and get it used to the wine.`
      }
    case 'free-sulphite':
      return {
        title: `Free SO₂ of ${by.mgPerL.toFixed(0)} mg/L holds the bacteria up`,
        text: `It must be below ${by.most.toFixed(0)}. Wait until it has bound, with some air at a racking. Bacteria added now would die.`
      }
    case 'total-sulphite':
      return {
        title: `Total SO₂ of ${by.mgPerL.toFixed(0)} mg/L holds the bacteria up`,
        text: `Few work above about ${by.most.toFixed(0)}, and it does not go away. Use a hardy culture, or blend with a wine that has `
          + 'less.'
      }
    case 'too-cold':
      return {
        title: `${capital(f.words(f.temperature(by.celsius)))} is cold for the bacteria`,
        text: `Warm it to ${f.words(f.temperature(by.to))} or more and keep it there until the end: a warm room, a belt or a water bath.`
      }
    case 'too-warm':
      return {
        title: `${capital(f.words(f.temperature(by.celsius)))} is warm for the bacteria`,
        text: `Keep it below ${f.words(f.temperature(by.to))}. They die early, and spoilage likes the warmth.`
      }
  }
}

const span = ({ low, high }: { low: number, high: number }): string =>
  high < 2 ? 'any day now'
    : high < 15 && low < 1 ? `within ${Math.round(high)} days`
      : high < 15 ? `in ${Math.round(low)} to ${Math.round(high)} days` : `in ${Math.max(1, Math.round(low / 7))} to `
    + `${Math.round(high / 7)} weeks`

const WANTED = {
  sorbate: 'There is sorbate in it. Bacteria would turn that into a smell of geraniums, for good, so none go in.',
  vinegar: 'It smells of vinegar. Protect it first: a full vessel, sulphite at its level, a cool place. More bacteria would do harm.',
  late: 'It has been dry for months and no bacteria went in. Nothing protects it while it waits, so decide now.'
} as const

export const MALOLACTIC_SAYS: WordsFor<MalolacticSays> = {
  'start-malolactic': ({ score, limiting }) => ({
    title: 'Add the malolactic bacteria',
    reason: `${
      score === undefined ? ''
        : `Conditions are ${sayScore(score)}${limiting && score < 0.6 ? `: the problem is ${LIMITING[limiting]}` : ''}. `
    }No sulphite before or during malolactic. If you do not want it, change the plan.`,
    action: 'Plan malolactic'
  }),
  'malolactic-early': ({ abv }) => ({
    title: 'Add the bacteria during the ferment?',
    reason: `This must can make about ${abv.toFixed(1)} % vol, and most malolactic bacteria stop near ${USUAL_CONDITIONS.toleranceAbv}. `
      + 'While there is little alcohol they start more easily. Check the packet: it says which musts and yeasts they tolerate.',
    action: 'See the conditions'
  }),
  'malolactic-wanted': ({ because, score, limiting }) => ({
    title: 'Do you still want malolactic?',
    reason:
      because === 'conditions'
        ? `Conditions are ${sayScore(score ?? 0)}${limiting ? `: ${LIMITING[limiting]} is the problem` : ''}. Bacteria would hardly start, `
          + 'and nothing protects the wine while it waits.'
        : WANTED[because],
    action: 'See the conditions'
  }),
  'sugar-before-bacteria': ({ sugarHigh, tested, inVain, goesOn }) => tested !== undefined && goesOn
    ? {
        title: 'Sugar is left: give the yeast another week',
        reason: `The test found ${Math.round(tested)} g/L, and the yeast may still be working on it. Bacteria turn sugar into vinegar, so `
          + 'keep the wine warm, and test again in a week before they go in.',
        action: 'Enter a sugar test'
      }
    : tested !== undefined
      ? {
          title: 'Sugar is left: no bacteria yet',
          reason: `The test found ${Math.round(tested)} g/L${inVain ? ', and the restart took none of it' : ''}. Bacteria turn sugar into `
          + `vinegar, so ${inVain ? '' : 'let it ferment dry first, or '}leave it sweet without malolactic.`,
          action: inVain ? 'Test again' : 'Restart it'
        }
      : {
          title: 'Test for sugar before the bacteria',
          reason: `The gravity allows for up to ${Math.round(sugarHigh)} g/L of sugar. Bacteria turn sugar into vinegar, so make sure `
          + 'that it is dry first.',
          action: 'Enter a sugar test'
        },
  'malolactic-stands': ({ because, weeksIn, malicGPerL }) => ({
    title: {
      'stalled': 'Malolactic has stalled',
      'not-begun': 'Malolactic has not started',
      'long': 'Malolactic is taking too long'
    }[because],
    reason: `${capital(weeks(weeksIn))} since the bacteria went in${
      malicGPerL === undefined ? '' : `, malic acid at ${malicGPerL.toFixed(1)} g/L`
    }. Nothing protects the wine while it waits. Warm it, feed or replace the bacteria, or block it and add sulphite.`,
    action: 'See what holds it up'
  }),
  'follow-malolactic': ({ nearly, urgency, weeksSince, endInDays, warmthUnknown }, _lot, f) => ({
    title: nearly ? 'Malolactic has nearly finished' : urgency === 'wait' ? 'Malolactic is under way' : 'Check the malic acid',
    reason: `${weeksSince < 1 ? 'Checked within the last week.' : `Last checked ${weeks(weeksSince)} ago.`}${
      endInDays ? ` Likely to finish ${span(endInDays)}.` : ''
    } It has finished when malic acid is down to 0.1 g/L. Only then does sulphite go in.${
      warmthUnknown ? ` Take its temperature too: below ${f.words(f.temperature(18))} the bacteria slow down.` : ''
    }`,
    action: 'Check malic acid'
  }),
  'sulphite-after-malolactic': ({ ph, phMeasured, daysSince }) => ({
    title: phMeasured ? 'Malolactic has finished: add sulphite' : 'Malolactic has finished: measure pH, then add sulphite',
    reason: `${daysSince < 1 ? 'Finished today' : `Finished ${days(daysSince)} ago`}, and nothing protects it.${
      ph === undefined ? '' : phMeasured ? ` The pH is now ${ph.toFixed(2)}.` : ` The pH should be about ${ph.toFixed(2)} now. Measure it: `
        + 'the dose depends on it.'
    }`,
    action: phMeasured ? 'Work out the dose' : 'Measure'
  }),
  'malolactic-course': ({ wrong }) => {
    switch (wrong.code) {
      case 'stalled':
        return {
          title: 'Malic acid is not falling',
          reason: `Still ${wrong.malicGPerL.toFixed(1)} g/L after ${weeks(wrong.days / 7)}. Try warmth first, then stir the lees, then `
            + 'nutrient for bacteria, then a fresh culture.',
          action: 'See what holds it up'
        }
      case 'rises':
        return {
          title: 'Malic acid cannot rise',
          reason: `It was ${wrong.fromGPerL.toFixed(1)} and later ${wrong.toGPerL.toFixed(1)} g/L. One of the two is wrong, or another `
            + `wine came in.`,
          action: 'See both'
        }
      case 'overdue':
        return {
          title: 'Nobody has checked the malic acid',
          reason: `${capital(weeks(wrong.days / 7))} since the bacteria went in. Most have finished by now, and a finished wine without `
            + 'sulphite is open to spoilage.',
          action: 'Check malic acid'
        }
    }
  },
  'malolactic-held-up': ({ by }, _lot, f) => {
    const { title, text } = sayCondition(by, f)
    return { title, reason: text, action: 'See the conditions' }
  },
  'malolactic-blocked': ({ free, racked, cold, filtered, wantedMgPerL }) => {
    const missing = [
      ...(free ? [] : [`free SO₂ at ${wantedMgPerL.toFixed(0)} mg/L (0.8 mg/L molecular)`]),
      ...(racked ? [] : ['racking off the lees']),
      ...(cold ? [] : ['a cold place']),
      ...(filtered ? [] : ['a sterile filter before bottling'])
    ]
    return {
      title: missing.length ? 'Malolactic blocked: not safe yet' : 'Malolactic blocked: everything is done',
      reason: `${missing.length ? `Still missing: ${listed(missing)}. ` : ''}Any malic acid left can start in a warm bottle unless the `
        + `wine was filtered to 0.45 µm.`,
      action: 'Open malolactic'
    }
  }
}
