import { type EntryKind, NOTHING_TOUCHED } from './kind'

/** What a household measures with, asked once. What nobody said is not known to be wanting. */
export const EQUIPMENT = ['hydrometer', 'thermometer', 'ph-meter', 'acid-kit', 'so2-kit', 'sugar-test', 'malic-test', 'scale'] as const
export type Equipment = (typeof EQUIPMENT)[number]
/** What somebody reads with their own eye, and may read better or worse than others. */
export const READ_BY_EYE = ['sg', 'ph', 'ta', 'freeSo2'] as const
export type ReadByEye = (typeof READ_BY_EYE)[number]
/** Further off than this nobody reads who looks at all: four times what is usual (core/quantities), ours. */
export const WORST_ERROR: Readonly<Record<ReadByEye, number>> = { sg: 0.004, ph: 0.2, ta: 1.2, freeSo2: 20 }
/** How far off a person's own readings usually are, half-width in the unit of each: what people usually manage, where nobody said. */
export type OwnErrors = Readonly<Partial<Record<ReadByEye, number>>>
export type Owned = Readonly<Partial<Record<Equipment, boolean>>>

export const equipmentSaid: EntryKind<'equipment-said'> = {
  type: 'equipment-said',
  touches: () => NOTHING_TOUCHED,
  apply(folding, { has, reads }) {
    folding.cellar.equipment = { ...folding.cellar.equipment, ...said(has) }
    if (reads) folding.cellar.ownErrors = { ...folding.cellar.ownErrors, ...said(reads) }
  }
}

/** What is not said takes nothing back. */
const said = <Value>(parts: Readonly<Record<string, Value | undefined>>): Record<string, Value> =>
  Object.fromEntries(Object.entries(parts).flatMap(([key, value]) => (value === undefined ? [] : [[key, value]])))
