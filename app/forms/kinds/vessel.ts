import { type VesselKind, namesBy, usualSizes } from '~~/core/cellar'
import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { CARE, VESSEL_OF, vesselWords } from '~/wording/terms'
import { type EntryForm, choices, inTemperature, inVolume, number, orNone, text, wanting } from '../spec'

const MOST_AT_ONCE = 50

export const vesselAddedForm: EntryForm<'vessel-added'> = {
  type: 'vessel-added',
  title: 'Vessel',
  fields: ({ kind }, { volumeUnit }, before) => [
    { as: 'choice', key: 'kind', label: 'Kind', items: choices(vesselWords(volumeUnit)) },
    {
      ...inVolume(volumeUnit),
      key: 'capacityL',
      label: 'Capacity',
      required: true,
      hint: 'brim-full',
      usual: usualSizes(kind as VesselKind, volumeUnit),
      limits: { min: 0.1, max: 100_000, words: 'A vessel holds between a tenth of a litre and 100,000 litres.' }
    },
    { as: 'choice', key: 'material', label: 'Made of', items: [{ value: '', label: 'not given' }, ...choices(VESSEL_OF)] },
    ...(kind === 'barrel'
      ? [
          {
            as: 'choice',
            key: 'fillsBefore',
            label: 'Wines held before',
            items: [
              { value: '', label: 'unknown' },
              { value: 0, label: 'none, it is new' },
              { value: 1, label: 'one' },
              { value: 2, label: 'two' },
              { value: 3, label: 'three or more' }
            ]
          } as const
        ]
      : []),
    ...(before
      ? []
      : [
          {
            as: 'quantity',
            measure: 'plain',
            unit: '',
            key: 'count',
            label: 'How many',
            limits: { min: 1, max: MOST_AT_ONCE, words: `Between 1 and ${MOST_AT_ONCE} at once.` }
          } as const
        ]),
    {
      as: 'words',
      key: 'name',
      label: 'Name',
      hint: before ? undefined : 'Several are numbered: “Jug” makes Jug 1, Jug 2 and so on.',
      wide: true
    }
  ],
  blank: () => ({ name: '', kind: 'demijohn', material: '', fillsBefore: '', count: 1 }),
  from: (e) => ({ name: e.name, kind: e.kind, capacityL: e.capacityL, material: e.material ?? '', fillsBefore: e.fillsBefore ?? '' }),
  draft(values, { cellar }, before) {
    const [name, capacityL, count] = [text(values, 'name'), number(values, 'capacityL'), number(values, 'count') ?? 1]
    if (!name) return wanting('name', 'Enter a name, and write it on the vessel.')
    if (capacityL === undefined) return wanting('capacityL', 'This is needed.')
    if (!before && !Number.isInteger(count)) return wanting('count', 'A whole number of vessels.')
    const of = (called: string) =>
      fact('vessel-added', {
        vesselId: before?.vesselId ?? newId(),
        name: called.slice(0, 80),
        kind: values.kind as VesselKind,
        capacityL,
        material: orNone(text(values, 'material')) as EntryOf<'vessel-added'>['material'],
        fillsBefore: values.kind === 'barrel' && values.fillsBefore !== '' ? Number(values.fillsBefore) : undefined
      })
    if (before) return of(name)
    return namesBy(name, count, [...cellar.vessels.values()].map((v) => v.name)).map(of)
  }
}

export const vesselCaredForm: EntryForm<'vessel-cared'> = {
  type: 'vessel-cared',
  title: 'Cleaning',
  fields: (_values, { cellar }) => [
    { as: 'choice', key: 'vesselId', label: 'Vessel', items: [...cellar.vessels.values()].map((v) => ({ value: v.id, label: v.name })) },
    {
      as: 'choice',
      key: 'what',
      label: 'Done',
      items: choices(CARE)
    },
    { as: 'words', key: 'note', label: 'Note (optional)', max: 2000, wide: true }
  ],
  blank: ({ cellar }) => ({ vesselId: [...cellar.vessels.keys()][0] ?? '', what: 'cleaned', note: '' }),
  from: (e) => ({ vesselId: e.vesselId, what: e.what, note: e.note ?? '' }),
  draft: (values) =>
    fact('vessel-cared', {
      vesselId: text(values, 'vesselId'),
      what: values.what as EntryOf<'vessel-cared'>['what'],
      note: orNone(text(values, 'note'))
    })
}

export const vesselAmendedForm: EntryForm<'vessel-amended'> = {
  type: 'vessel-amended',
  title: 'Use of a vessel',
  fields: (_values, { cellar }) => [
    { as: 'choice', key: 'vesselId', label: 'Vessel', items: [...cellar.vessels.values()].map((v) => ({ value: v.id, label: v.name })) },
    {
      as: 'choice',
      key: 'retired',
      label: 'State',
      items: [
        { value: true, label: 'Out of use' },
        { value: false, label: 'In use again' }
      ]
    },
    { as: 'words', key: 'note', label: 'Reason (optional)', max: 2000, wide: true }
  ],
  blank: ({ cellar }) => ({ vesselId: [...cellar.vessels.keys()][0] ?? '', retired: true, note: '' }),
  from: (e) => ({ vesselId: e.vesselId, retired: e.retired, note: e.note ?? '' }),
  draft: (values) =>
    fact('vessel-amended', { vesselId: text(values, 'vesselId'), retired: values.retired === true, note: orNone(text(values, 'note')) })
}

export const airReadForm: EntryForm<'air-read'> = {
  type: 'air-read',
  title: 'Room',
  fields: (_values, { cellar, temperatureUnit }) => [
    { as: 'choice', key: 'vesselId', label: 'Next to', items: [...cellar.vessels.values()].map((v) => ({ value: v.id, label: v.name })) },
    {
      ...inTemperature(temperatureUnit),
      key: 'celsius',
      label: 'Room temperature',
      required: true,
      limits: { min: -30, max: 60, words: 'Between −30 and 60 °C.' }
    }
  ],
  blank: ({ cellar }) => ({ vesselId: [...cellar.vessels.keys()][0] ?? '' }),
  from: (e) => ({ vesselId: e.vesselId, celsius: e.celsius }),
  draft(values, _context, before) {
    const celsius = number(values, 'celsius')
    if (celsius === undefined) return wanting('celsius', 'This is needed.')
    return fact('air-read', { vesselId: text(values, 'vesselId'), celsius, instrumentId: before?.instrumentId })
  }
}
