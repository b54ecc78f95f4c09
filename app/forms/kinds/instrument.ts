import { fact } from '~~/core/drafts'
import { type EntryOf, checkAgainst } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { INSTRUMENT } from '~/wording/instruments'
import { withinLimits } from '~/composables/withinLimits'
import { type EntryForm, number, text, wanting } from '../spec'

export const instrumentAddedForm: EntryForm<'instrument-added'> = {
  type: 'instrument-added',
  title: 'Instrument',
  fields: (values) => [
    { as: 'words', key: 'name', label: 'Another instrument', placeholder: 'a name you recognise' },
    { as: 'choice', key: 'kind', label: 'Kind', items: Object.entries(INSTRUMENT).map(([value, words]) => ({ value, label: words.name })) },
    ...(values.kind === 'hydrometer'
      ? [
          {
            as: 'choice',
            key: 'calibrationC',
            label: 'Calibrated at',
            items: [
              { value: 20, label: '20 °C (68 °F)' },
              { value: 15.56, label: '15.6 °C (60 °F)' }
            ]
          } as const
        ]
      : [])
  ],
  blank: () => ({ name: '', kind: 'hydrometer', calibrationC: 20 }),
  from: (e) => ({ name: e.name, kind: e.kind, calibrationC: e.calibrationC ?? 20, step: e.step }),
  draft(values, _context, before) {
    const name = text(values, 'name')
    if (!name) return wanting('name', 'An instrument needs a name.')
    return fact('instrument-added', {
      instrumentId: before?.instrumentId ?? newId(),
      name: name.slice(0, 80),
      kind: values.kind as EntryOf<'instrument-added'>['kind'],
      calibrationC: values.kind === 'hydrometer' ? Number(values.calibrationC) : undefined,
      step: before?.step,
      follows: before?.follows
    })
  }
}

const point = (key: string, label: string) =>
  ({
    as: 'quantity',
    key,
    label,
    measure: 'plain',
    unit: '',
    limits: { min: -1000, max: 1000, words: 'Between −1000 and 1000.' }
  }) as const

export const instrumentCheckedForm: EntryForm<'instrument-checked'> = {
  type: 'instrument-checked',
  title: 'Check',
  fields: (values) => [
    point('known-0', 'Known value'),
    point('shown-0', 'It showed'),
    ...(values.two ? [point('known-1', 'Known value, second'), point('shown-1', 'It showed, second')] : []),
    { as: 'switch', key: 'two', label: 'Add a second value' },
    { as: 'switch', key: 'adjusted', label: 'I adjusted it' }
  ],
  blank: () => ({ two: false, adjusted: true, instrumentId: '' }),
  from: (e) => ({
    two: (e.standards?.length ?? 0) > 1,
    adjusted: e.adjusted,
    instrumentId: e.instrumentId,
    'known-0': e.standards?.[0]?.known ?? 0,
    'shown-0': e.standards?.[0]?.shown ?? e.offset,
    'known-1': e.standards?.[1]?.known,
    'shown-1': e.standards?.[1]?.shown
  }),
  draft(values, _context, before) {
    const standards = [0, ...(values.two ? [1] : [])].map((i) => ({
      known: number(values, `known-${i}`),
      shown: number(values, `shown-${i}`)
    }))
    const [a, b] = standards
    if (a!.known === undefined || a!.shown === undefined) return wanting('shown-0', 'Enter the known value and what it showed.')
    if (b && (b.known === undefined || b.shown === undefined))
      return wanting('shown-1', 'Enter the known value and what it showed, both times.')
    if (b && b.known === a!.known) return wanting('known-1', 'The two known values are the same. Use two different ones.')
    const known = standards as { known: number, shown: number }[]
    const found = withinLimits(() => checkAgainst(known as [{ known: number, shown: number }]))
    if (!found) {
      return wanting(
        'shown-1',
        'Between these two it shows less than four fifths or more than six fifths of the difference. That is past correcting: read '
          + 'again, or clean or replace it.'
      )
    }
    return fact('instrument-checked', {
      instrumentId: before?.instrumentId ?? text(values, 'instrumentId'),
      offset: found.offset,
      slope: found.slope,
      standards: known,
      adjusted: values.adjusted === true
    })
  }
}
