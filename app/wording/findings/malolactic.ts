import type { ConditionFinding, Limiting } from '~~/core/malolactic'
import type { MalolacticSays } from '~~/core/stages'
import { listed } from '../listed'
import { type SayFormat, type WordsFor, capital, days, weeks } from './say'

/** What holds bacteria up, in a word or two. */
export const LIMITING: Record<Limiting, string> = {
  ph: 'its acid',
  abv: 'its alcohol',
  freeSo2: 'its free SO₂',
  totalSo2: 'its total SO₂',
  celsius: 'the cold or the heat'
}
/** How well they can work. */
export const sayScore = (score: number): string => (score >= 0.6 ? 'good' : score >= 0.3 ? 'hard' : 'bad')

/** What stands in their way, and what to do about it. */
export function sayCondition(by: ConditionFinding, f: Pick<SayFormat, 'temperature' | 'words'>): { title: string, text: string } {
  switch (by.code) {
    case 'too-acid':
      return {
        title: `pH ${by.ph.toFixed(2)} is low for bacteria`,
        text: `From ${by.to.toFixed(1)} they work. A culture made for acid wines bears less; or take some acid off with carbonate, or `
          + 'leave it.'
      }
    case 'others-thrive':
      return {
        title: `At pH ${by.ph.toFixed(2)} other bacteria thrive as well`,
        text: 'Let it be over soon: enough of a known culture, warmth, and sulphite within days of its end.'
      }
    case 'too-strong':
      return {
        title: `${by.abv.toFixed(1)} % vol is much for bacteria`,
        text: `Most stop at about ${by.most.toFixed(0)}. Take a culture whose packet says that it bears more, and get it used to the wine.`
      }
    case 'free-sulphite':
      return {
        title: `Free SO₂ of ${by.mgPerL.toFixed(0)} mg/L holds bacteria up`,
        text: `It must be under ${by.most.toFixed(0)}. Wait until it is bound and gone, with air at a racking; bacteria put in now die.`
      }
    case 'total-sulphite':
      return {
        title: `Total SO₂ of ${by.mgPerL.toFixed(0)} mg/L holds bacteria up`,
        text: `Over about ${by.most.toFixed(0)} few work, and it does not go away by itself. A hardy culture, or a blend with a wine `
          + 'that has less.'
      }
    case 'too-cold':
      return {
        title: `${capital(f.words(f.temperature(by.celsius)))} is cold for bacteria`,
        text: `Bring it to ${f.words(f.temperature(by.to))} or more and keep it there until it is over: a warm room, a belt, a water bath.`
      }
    case 'too-warm':
      return {
        title: `${capital(f.words(f.temperature(by.celsius)))} is warm for bacteria`,
        text: `Keep it under ${f.words(f.temperature(by.to))}: they die early, and what spoils wine likes it.`
      }
  }
}

const span = ({ low, high }: { low: number, high: number }): string =>
  high < 2 ? 'any day' : high < 15 ? `in ${Math.round(low)} to ${Math.round(high)} days` : `in ${Math.max(1, Math.round(low / 7))} to `
    + `${Math.round(high / 7)} weeks`

export const MALOLACTIC_SAYS: WordsFor<MalolacticSays> = {
  'start-malolactic': ({ score, limiting }) => ({
    title: 'Malolactic is planned: put the bacteria in',
    reason: `${score === undefined ? '' : `Conditions are ${sayScore(score)}${limiting && score < 0.6 ? `; worst is ${LIMITING[limiting]}` : ''}. `}No sulphite before it. If it shall have none, say so in its plan.`,
    action: 'Plan it'
  }),
  'follow-malolactic': ({ nearly, urgency, weeksSince, endInDays }) => ({
    title: nearly ? 'Malolactic is nearly through' : urgency === 'wait' ? 'Malolactic is at work' : 'Look at the malic acid',
    reason: `${weeksSince < 1 ? 'Looked at within the week.' : `${capital(weeks(weeksSince))} since the last look.`}${endInDays ? ` Likely over ${span(endInDays)}.` : ''} It is over at 0.1 g/L; sulphite goes in then, not before.`,
    action: 'Look at it'
  }),
  'sulphite-after-malolactic': ({ ph, phMeasured, daysSince }) => ({
    title: phMeasured ? 'Malolactic is over: sulphite now' : 'Malolactic is over: measure pH, then sulphite',
    reason: `${daysSince < 1 ? 'It' : `${capital(days(daysSince))} ago it`} was found to be through, and nothing protects `
      + `it.${ph === undefined ? '' : phMeasured ? ` Its pH is ${ph.toFixed(2)} now.` : ` By the acid model its pH is about ${ph.toFixed(2)} now; the dose goes by what is measured.`}`,
    action: phMeasured ? 'Work out the dose' : 'Measure'
  }),
  'malolactic-course': ({ wrong }) => {
    switch (wrong.code) {
      case 'stalled':
        return {
          title: 'Malolactic stands still',
          reason: `Still ${wrong.malicGPerL.toFixed(1)} g/L after ${weeks(wrong.days / 7)} without a fall. See what holds it up: warmth `
            + 'first, then stir the lees, then nutrient for bacteria, then a fresh culture.',
          action: 'What holds it up'
        }
      case 'rises':
        return {
          title: 'Malic acid does not come back',
          reason: `It was read as ${wrong.fromGPerL.toFixed(1)} and later as ${wrong.toGPerL.toFixed(1)} g/L. One of the two is wrong, `
            + 'or another wine came in.',
          action: 'See both'
        }
      case 'overdue':
        return {
          title: 'Nobody has looked at its malic acid',
          reason: `${capital(weeks(wrong.days / 7))} with its bacteria: most are over by now, and an ended one without sulphite is open `
            + 'to all that spoils wine.',
          action: 'Look at it'
        }
    }
  },
  'malolactic-held-up': ({ by }, _lot, f) => {
    const { title, text } = sayCondition(by, f)
    return { title, reason: text, action: 'Conditions' }
  },
  'malolactic-blocked': ({ free, racked, cold, filtered }) => {
    const wanting = [
      ...(free ? [] : ['free SO₂ for 0.8 mg/L molecular']),
      ...(racked ? [] : ['off the lees']),
      ...(cold ? [] : ['kept cold']),
      ...(filtered ? [] : ['filtered before the bottle'])
    ]
    return {
      title: wanting.length ? 'Blocked malolactic: not safe yet' : 'Blocked malolactic: all is done that can be',
      reason: `${wanting.length ? `Still wanting: ${listed(wanting)}. ` : ''}What malic acid is left can begin in any bottle that is warm, `
        + 'unless it was filtered to 0.45 µm.',
      action: 'See it'
    }
  }
}
