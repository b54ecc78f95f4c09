import { type SulphiteAnswer, type SulphiteChoices, type SulphiteNumber, sulphite } from '~~/core/benches'
import { isMust } from '~~/core/ledger'
import { BASE_WINE_MOLECULAR, SO2_SHARE, type SulphiteSalt } from '~~/core/sulphite'
import type { FormContext } from '~/forms/spec'
import { counted } from '~/wording/count'
import { HEALTH_CHOICES } from '~/wording/crush'
import { materialName, materialTitle } from '~/wording/materials'
import { type BenchForm, phField, plainField, volumeField } from './spec'

const SALTS = (Object.keys(SO2_SHARE) as SulphiteSalt[]).map((value) => ({
  value,
  label: `${materialTitle(value)} (${(SO2_SHARE[value] * 100).toFixed(1)} % SO₂)`
}))
const TARGETS = [
  { value: 0.5, label: '0.5', hint: 'usual for reds' },
  { value: 0.6, label: '0.6', hint: 'in between' },
  { value: 0.8, label: '0.8', hint: 'usual for whites' }
]
const BASE_WINE = { value: BASE_WINE_MOLECULAR, label: '0.35', hint: 'before a second ferment' }

function freeHint({ lot }: FormContext): string | undefined {
  if (!lot?.freeSo2) return 'leave empty if none went in yet'
  return lot.freeSo2.origin === 'estimated' ? 'estimated, so measure it if you can' : undefined
}
const boundHint = ({ lot }: FormContext): string =>
  lot?.doses.length
    ? `learned from ${counted(lot.doses.length, 'dose')} of this lot; a third is usual`
    : 'a third is usual; none for a cautious first dose'

export const sulphiteForm: BenchForm<SulphiteNumber, SulphiteChoices, SulphiteAnswer> = {
  code: 'sulphite',
  title: 'Sulphite',
  bench: sulphite,
  forgets: ['knowing'],
  figure: { name: 'dose', show: (grams, { powder }) => powder(grams) },
  fields({ targetMolecular }, context) {
    const { lot } = context
    const must = lot !== undefined && isMust(lot)
    return [
      phField({ required: !must }),
      volumeField(context, 'Volume', { hint: must && lot.volume.origin === 'estimated' ? 'expected juice, not fruit' : undefined }),
      ...(must
        ? [{ as: 'tiles', key: 'health', label: 'The fruit is', items: HEALTH_CHOICES } as const]
        : [
            plainField('free', 'Free SO₂ already there', [0, 300], 'Enter between 0 and 300 mg/L.', {
              unitLabel: 'mg/L',
              hint: freeHint(context),
              called: 'Free SO₂',
              required: false,
              decimals: 0
            }),
            plainField('bound', 'Share that will bind', [0, 80], 'Enter between 0 and 80 %.', {
              unitLabel: '%',
              hint: boundHint(context),
              required: false,
              decimals: 0
            }),
            {
              as: 'tiles',
              part: 'apart',
              key: 'targetMolecular',
              label: 'Molecular SO₂ wanted, mg/L',
              least: 110,
              // For a base wine, or where that target was chosen before.
              items: lot?.plan.sparkling || targetMolecular === BASE_WINE_MOLECULAR ? [BASE_WINE, ...TARGETS] : TARGETS
            } as const,
            plainField('tablet', 'Weight of one tablet', [0.2, 2], 'Enter between 0.2 and 2 g.', {
              unitLabel: 'g',
              hint: 'weigh ten and divide; take the salt from the packet, above',
              required: false,
              part: 'apart',
              stays: true
            })
          ]),
      { as: 'choice', key: 'salt', label: 'Salt', items: SALTS, wide: true, part: 'apart' },
      plainField('actual', 'Amount added', [0.01, 10_000], 'Enter an amount above zero.', { part: 'apart' })
    ]
  },
  refusals: { 'bacteria-work': 'Malolactic is under way: say that you know before you add it.' },
  logged: (lot, [added]) => ({
    says: added?.type === 'addition'
      ? `Logged: ${added.actual} ${added.unit} of ${materialName(added.material)} into ${lot.name}`
      : lot.name,
    to: `/lots/${lot.id}`
  })
}
