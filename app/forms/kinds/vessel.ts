import { fact } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { VESSEL, VESSEL_OF } from '~/wording/terms'
import { type EntryForm, choices, inTemperature, inVolume, number, orNone, text, wanting } from '../spec'

export const vesselAddedForm: EntryForm<'vessel-added'> = {
  type: 'vessel-added',
  title: 'Vessel',
  fields: (_values, { volumeUnit }) => [
    { as: 'words', key: 'name', label: 'What you call it', wide: true },
    { as: 'choice', key: 'kind', label: 'Kind', items: choices(VESSEL) },
    {
      ...inVolume(volumeUnit),
      key: 'capacityL',
      label: 'Holds',
      required: true,
      hint: 'brim-full',
      limits: { min: 0.1, max: 100_000, words: 'A vessel holds between a tenth of a litre and 100,000 litres.' }
    },
    { as: 'choice', key: 'material', label: 'Made of', items: [{ value: '', label: 'not said' }, ...choices(VESSEL_OF)] }
  ],
  blank: () => ({ name: '', kind: 'demijohn', material: '' }),
  from: (e) => ({ name: e.name, kind: e.kind, capacityL: e.capacityL, material: e.material ?? '' }),
  draft(values, _context, before) {
    const [name, capacityL] = [text(values, 'name'), number(values, 'capacityL')]
    if (!name) return wanting('name', 'A vessel needs a name: write the same on it.')
    if (capacityL === undefined) return wanting('capacityL', 'This is needed.')
    return fact('vessel-added', {
      vesselId: before?.vesselId ?? newId(),
      name: name.slice(0, 80),
      kind: values.kind as EntryOf<'vessel-added'>['kind'],
      capacityL,
      material: orNone(text(values, 'material')) as EntryOf<'vessel-added'>['material']
    })
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
      label: 'It was',
      items: [
        { value: 'cleaned', label: 'Cleaned' },
        { value: 'sanitised', label: 'Sanitised' }
      ]
    },
    { as: 'words', key: 'note', label: 'Note, if any', max: 2000, wide: true }
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

export const airReadForm: EntryForm<'air-read'> = {
  type: 'air-read',
  title: 'Room',
  fields: (_values, { cellar, temperatureUnit }) => [
    { as: 'choice', key: 'vesselId', label: 'Beside', items: [...cellar.vessels.values()].map((v) => ({ value: v.id, label: v.name })) },
    {
      ...inTemperature(temperatureUnit),
      key: 'celsius',
      label: 'The room has',
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
