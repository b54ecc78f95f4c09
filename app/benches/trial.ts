import { type TrialAnswer, type TrialChoices, type TrialNumber, trial } from '~~/core/benches'
import { cardOf } from '~~/core/materials'
import { TRIED } from '~/wording/finishing'
import { materialTitle } from '~/wording/materials'
import { type BenchForm, plainField, wentInField } from './spec'

const COUNTS = [3, 4, 5, 6] as const
/** Of one's own cards, what may be tried besides. */
const OWN_KINDS = ['fining', 'tannin', 'oak', 'stabiliser'] as const
/** Fining goes through its gate; acid, oak and what rounds a wine off at the end does not. */
const GATED: ReadonlySet<string> = new Set(['fining', 'tannin'])

export const trialForm: BenchForm<TrialNumber, TrialChoices, TrialAnswer> = {
  code: 'trial',
  title: 'Bench trial',
  bench: trial,
  gate: (_, { agent }, { cards }) => (GATED.has(cardOf(agent, cards)?.kind ?? 'fining') ? 'fining' : undefined),
  fields({ agent }, context) {
    const card = context.card(agent)
    const unit = card?.unit ?? 'g'
    const own = context.materials(...OWN_KINDS).filter(({ value }) => context.card(value)?.name !== undefined)
    const agents = [...new Set([...Object.keys(TRIED), ...own.map(({ value }) => value)])]
    return [
      {
        as: 'choice',
        key: 'agent',
        label: 'Material',
        wide: true,
        items: agents.map((value) => ({ value, label: materialTitle(value, context.cellar.cards) }))
      },
      { as: 'choice', key: 'count', label: 'Number of glasses', items: COUNTS.map((value) => ({ value, label: `${value} glasses` })) },
      plainField('glassMl', 'Wine in each glass', [20, 1000], 'Between 20 and 1000 mL.', { unitLabel: 'mL', stays: true }),
      ...(card?.kind === 'oak'
        ? []
        : [
            plainField('stock', 'Stock solution', [0.1, 500], `Between 0.1 and 500 ${unit}/L.`, {
              unitLabel: `${unit}/L`,
              hint: 'so that you can measure each dose',
              per: 'agent'
            })
          ]),
      { as: 'tick', key: 'blind', label: 'Blind: letters only, mixed', hint: 'Somebody else fills the glasses.' },
      { as: 'words', key: 'notes', label: 'What you saw and tasted', max: 400, part: 'tasted', per: 'agent' },
      // Its glasses are drawn by the page, by letters where it is blind.
      { as: 'choice', key: 'chosen', label: 'Choice: the smallest dose that works', items: [], part: 'apart', per: 'agent' },
      wentInField('goesIn', materialTitle(agent, context.cellar.cards), unit, { hint: 'leave empty to log only the trial', per: 'agent' })
    ]
  },
  note({ agent, notes }, { card, rates, taken }, { cellar }) {
    const unit = `${card.unit}/L`
    const choice = taken === undefined ? '' : `; ${taken} ${unit} chosen`
    const name = materialTitle(agent, cellar.cards).toLowerCase()
    return `Trial with ${name}: ${rates.join(', ')} ${unit}${choice}. ${notes}`.trim().slice(0, 2000)
  },
  logged: (lot) => ({ says: `${lot.name}: trial logged`, to: `/lots/${lot.id}` })
}
