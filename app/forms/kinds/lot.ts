import { fact } from '~~/core/drafts'
import { ALCOHOLIC, type EntryOf } from '~~/core/ledger'
import { ALCOHOLIC_WORD, STREAM, STYLE } from '~/wording/terms'
import { type EntryForm, choices, inMass, inVolume, lotOf, number, orNone, text, wanting } from '../spec'

const litres = { min: 0, max: 100_000, words: 'Between 0 and 100,000 litres.' }

/** A lot's start, to be put right; it is started on a page of its own. */
export const lotStartedForm: EntryForm<'lot-started'> = {
  type: 'lot-started',
  title: 'Start',
  fields: (values, { volumeUnit, massUnit }) => [
    { as: 'words', key: 'name', label: 'Name' },
    { as: 'choice', key: 'style', label: 'Style', items: choices(STYLE) },
    { as: 'choice', key: 'stream', label: 'Came as', items: choices(STREAM) },
    ...(values.byMass
      ? [
          {
            ...inMass(massUnit),
            key: 'massKg',
            label: 'Fruit',
            required: true,
            limits: { min: 0.1, max: 100_000, words: 'Enter the weight of the fruit.' }
          } as const
        ]
      : []),
    {
      ...inVolume(volumeUnit),
      key: 'volumeL',
      label: 'Volume',
      required: true,
      limits: litres
    },
    { as: 'words', key: 'origin', label: 'Origin', max: 120 },
    {
      as: 'quantity',
      key: 'vintage',
      label: 'Vintage',
      measure: 'plain',
      unit: '',
      limits: { min: 1900, max: 2200, words: 'A year, like 2026.' }
    }
  ],
  blank: () => ({ name: '', style: 'red', stream: 'fresh', origin: '' }),
  from: (e) => ({
    name: e.name,
    style: e.style,
    stream: e.stream,
    massKg: e.massKg,
    byMass: e.massKg !== undefined,
    volumeL: e.volumeL,
    origin: e.origin ?? '',
    vintage: e.vintage
  }),
  draft(values, _context, before) {
    if (!before) return wanting('name', 'Start a lot on its own page.')
    const [name, volumeL, massKg] = [text(values, 'name'), number(values, 'volumeL'), number(values, 'massKg')]
    if (!name) return wanting('name', 'A lot needs a name.')
    if (volumeL === undefined) return wanting('volumeL', 'A lot needs a volume.')
    const { id: _id, device: _device, written: _written, type: _type, ...was } = before
    // Another weight of fruit gives another volume, unless that was put right too.
    const scaled =
      massKg !== undefined && before.massKg !== undefined && volumeL === before.volumeL ? (volumeL * massKg) / before.massKg : volumeL
    return fact('lot-started', {
      ...optional(was),
      name,
      volumeL: scaled,
      massKg,
      style: values.style as EntryOf<'lot-started'>['style'],
      stream: values.stream as EntryOf<'lot-started'>['stream'],
      origin: orNone(text(values, 'origin')),
      vintage: number(values, 'vintage')
    })
  }
}

/** Fields that an entry lacks are shown as not given. */
function optional(was: Omit<EntryOf<'lot-started'>, 'id' | 'device' | 'written' | 'type'>) {
  const { vesselId, kit, arrivalId, onSkins, ...rest } = was
  return { ...rest, vesselId, kit, arrivalId, onSkins }
}

export const lotAmendedForm: EntryForm<'lot-amended'> = {
  type: 'lot-amended',
  title: 'Rename or change stage',
  fields: () => [
    { as: 'words', key: 'name', label: 'Name' },
    {
      as: 'choice',
      key: 'alcoholic',
      label: 'Ferment',
      items: [
        { value: '', label: 'from the readings' },
        ...ALCOHOLIC.filter((a) => a !== 'stuck').map((value) => ({ value, label: ALCOHOLIC_WORD[value] }))
      ]
    },
    { as: 'switch', key: 'ended', label: 'None left: drunk, given or poured away', wide: true },
    { as: 'words', key: 'note', label: 'Note (optional)', max: 2000, wide: true }
  ],
  blank: ({ lot }) => ({ name: lot?.name ?? '', alcoholic: '', ended: false, note: '' }),
  from: (e) => ({ name: e.name ?? '', alcoholic: e.alcoholic ?? '', ended: e.ended ?? false, note: e.note ?? '' }),
  draft(values, context, before) {
    const name = text(values, 'name')
    const said = {
      name: name !== (before ? before.name : context.lot?.name) || before?.name ? orNone(name) : undefined,
      alcoholic: orNone(text(values, 'alcoholic')) as EntryOf<'lot-amended'>['alcoholic'],
      ended: values.ended ? true : undefined,
      note: orNone(text(values, 'note'))
    }
    if (Object.values(said).every((v) => v === undefined)) return wanting('name', 'Nothing was changed.')
    return fact('lot-amended', { lotId: before?.lotId ?? lotOf(context), ...said })
  }
}
