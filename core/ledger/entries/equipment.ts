import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** What a household measures with, asked once. What nobody said is not known to be wanting. */
export const EQUIPMENT = ['hydrometer', 'thermometer', 'ph-meter', 'acid-kit', 'so2-kit', 'sugar-test', 'malic-test', 'scale'] as const
export type Equipment = (typeof EQUIPMENT)[number]
export type Owned = Readonly<Partial<Record<Equipment, boolean>>>

export const equipmentSaid: EntryKind<'equipment-said'> = {
  type: 'equipment-said',
  touches: () => NOTHING_TOUCHED,
  apply(folding, { has }) {
    const said = Object.fromEntries(Object.entries(has).filter(([, is]) => is !== undefined))
    folding.cellar.equipment = { ...folding.cellar.equipment, ...said }
  }
}
