import { fact } from '~~/core/drafts'
import { EQUIPMENT } from '~~/core/ledger'
import { EQUIPMENT_NAME } from '~/wording/terms'
import { capital } from '~/wording/findings/say'
import type { EntryForm } from '../spec'

/** What the household measures with, asked once: what it lacks is not asked for. */
export const equipmentSaidForm: EntryForm<'equipment-said'> = {
  type: 'equipment-said',
  title: 'Equipment',
  fields: () => EQUIPMENT.map((key) => ({ as: 'switch', key, label: capital(EQUIPMENT_NAME[key]) }) as const),
  blank: ({ cellar }) => Object.fromEntries(EQUIPMENT.map((key) => [key, cellar.equipment[key] ?? true])),
  from: ({ has }) => Object.fromEntries(EQUIPMENT.map((key) => [key, has[key] ?? true])),
  // An entry that is put right says no more than it said.
  draft: (values, _context, before) => {
    const said = EQUIPMENT.filter((key) => !before || key in before.has)
    const has = Object.fromEntries(said.map((key) => [key, values[key] === true]))
    return fact('equipment-said', { has, ...(before?.reads && { reads: before.reads }) })
  }
}
