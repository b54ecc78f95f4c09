import { type BottlingAnswer, type BottlingChoices, type BottlingNumber, bottlesFor, bottling, usedOf } from '~~/core/benches'
import { closureItems } from '~/forms/kinds/bottling'
import { inVolume } from '~/forms/spec'
import { bottleLabel } from '~/wording/materials'
import { type BenchForm, plainField, volumeField } from './spec'

export const bottlesForm: BenchForm<BottlingNumber, BottlingChoices, BottlingAnswer> = {
  code: 'bottles',
  title: 'Bottling day',
  bench: bottling,
  gate: (lot) => (lot?.plan.sparkling ? 'bottling-sparkling' : 'bottling-still'),
  fields(choices, context) {
    const used = usedOf(choices, context)
    const countOf = (key: BottlingNumber, label: string, more: Parameters<typeof plainField>[4]) =>
      plainField(key, label, [0, 100_000], 'Enter a number of bottles.', { required: false, ...more })
    return [
      volumeField(context, 'Wine, net of lees'),
      {
        ...inVolume(context.volumeUnit),
        key: 'loss',
        label: 'Lost in hoses and filter',
        required: true,
        limits: { min: 0, max: 1000, words: 'Between nothing and 1000 litres.' },
        stays: true
      },
      {
        as: 'many',
        key: 'used',
        label: 'Sizes',
        items: bottlesFor(context.lot, context.cellar).map((card) => ({ value: card.key, label: bottleLabel(card) }))
      },
      ...used.map((card) => countOf(`stock:${card.key}`, `In store, ${bottleLabel(card)}`, { hint: 'leave empty for as many as needed' })),
      ...used.map((card) => countOf(`filled:${card.key}`, `Bottles of ${bottleLabel(card)}`, { part: 'went-in' })),
      {
        as: 'choice',
        key: 'closure',
        label: 'Closed with',
        items: closureItems(context.cellar.cards, context.lot?.plan.sparkling === true),
        part: 'went-in'
      },
      { as: 'words', key: 'place', label: 'Where you store them', max: 80, part: 'went-in' }
    ]
  },
  note: (_, { rest }) => (rest?.becomes === 'used' ? 'the rest was drunk or used' : rest?.becomes === 'lees' ? 'the rest was lees' : ''),
  refusals: {
    'whole-number': 'Enter whole numbers of bottles.',
    'no-bottles': 'Enter how many bottles you filled.'
  },
  logged: (lot, _written, _act, { rest }) => ({
    says: `${lot.name}: bottled`,
    to: rest?.becomes === 'jug' ? `/lots/${lot.id}/move?as=rack` : `/lots/${lot.id}`
  })
}
