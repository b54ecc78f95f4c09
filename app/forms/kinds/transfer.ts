import { transfer } from '~~/core/drafts'
import type { EntryOf } from '~~/core/ledger'
import { AIR } from '~/wording/moving'
import { STYLE } from '~/wording/terms'
import { type EntryForm, type FormContext, inVolume, lotOf, number, orNone, text, wanting } from '../spec'

const PURPOSE: Record<EntryOf<'transfer'>['purpose'], string> = {
  rack: 'Racked',
  press: 'Pressed',
  fill: 'Filled into a vessel',
  split: 'Split',
  'top-up': 'Topped up',
  blend: 'Blended'
}
const NOWHERE = 'no vessel named'

/** Where wine can go: an empty vessel, another vessel of this lot, or into another lot's; and into a lot that has no vessel. */
function places(context: FormContext, from: string, chosen: string) {
  const { cellar, lot } = context
  const vessels = [...cellar.vessels.values()]
    .filter((v) => v.id !== from && !v.retiredAt)
    .map((v) => {
      const other = v.lotId === undefined || v.lotId === lot?.id ? undefined : cellar.lots.get(v.lotId)
      const hint = v.lotId === undefined ? `empty, ${context.volume(v.capacityL)}` : other ? `blend into ${other.name}` : 'this lot'
      return { value: `${v.lotId ?? lot?.id}/${v.id}`, label: `${v.name}: ${hint}` }
    })
  const lots = [...cellar.lots.values()]
    .filter((l) => `${l.id}/` === chosen || (l.id !== lot?.id && (l.contents.has('') || l.contents.size === 0)))
    .map((l) => ({ value: `${l.id}/`, label: `${l.name}: ${NOWHERE}` }))
  return [...vessels, ...lots]
}

export const transferForm: EntryForm<'transfer'> = {
  type: 'transfer',
  title: 'Move',
  fields(values, context) {
    const from = text(values, 'from')
    const litres = inVolume(context.volumeUnit)
    return [
      {
        as: 'choice',
        key: 'from',
        label: 'From',
        items: [...(context.lot?.contents ?? [])].map(([id, held]) => ({
          value: id,
          label: `${context.cellar.vessels.get(id)?.name ?? NOWHERE}, ${context.volume(held)}`
        }))
      },
      { as: 'choice', key: 'to', label: 'To', items: places(context, from, text(values, 'to')), wide: true },
      {
        ...litres,
        key: 'outL',
        label: 'Left the vessel',
        required: true,
        limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000 litres.' }
      },
      { ...litres, key: 'leesL', label: 'Lost to lees', limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000 litres.' } },
      {
        as: 'choice',
        key: 'purpose',
        label: 'As',
        items: [{ value: '', label: 'from the destination' }, ...Object.entries(PURPOSE).map(([value, label]) => ({ value, label }))]
      },
      {
        as: 'choice',
        key: 'air',
        label: 'Air',
        items: [{ value: '', label: 'not given' }, ...Object.entries(AIR).map(([value, { label }]) => ({ value, label }))]
      }
    ]
  },
  blank: ({ lot }) => ({ from: [...(lot?.contents.keys() ?? [])][0] ?? '', to: '', purpose: '', air: '' }),
  from: (e) => ({
    from: e.from.vesselId ?? '',
    to: `${e.to.lotId}/${e.to.vesselId ?? ''}`,
    outL: e.outL,
    leesL: e.outL - e.inL,
    purpose: e.purpose,
    air: e.air ?? ''
  }),
  draft(values, context, before) {
    const [lotId, vesselId] = text(values, 'to').split('/')
    if (!lotId || vesselId === undefined) return wanting('to', 'Choose where it goes.')
    const [ours, other] = [context.lot, context.cellar.lots.get(lotId)]
    if (ours && other && other.id !== ours.id && other.style !== ours.style && text(values, 'purpose') !== 'blend')
      return wanting('purpose', `This blends a ${STYLE[ours.style].toLowerCase()} into a ${STYLE[other.style].toLowerCase()}. If that is `
        + 'meant, choose “Blended”.')
    const outL = number(values, 'outL')
    if (!outL) return wanting('outL', 'Enter how much left the vessel.')
    const leesL = number(values, 'leesL') ?? 0
    if (leesL > outL) return wanting('leesL', 'You left more behind than you moved.')
    return transfer({
      from: { lotId: before?.from.lotId ?? lotOf(context), vesselId: orNone(text(values, 'from')) },
      to: { lotId, vesselId: orNone(vesselId) },
      outL,
      leesL,
      purpose: orNone(text(values, 'purpose')) as EntryOf<'transfer'>['purpose'] | undefined,
      air: orNone(text(values, 'air')) as EntryOf<'transfer'>['air']
    })
  }
}
