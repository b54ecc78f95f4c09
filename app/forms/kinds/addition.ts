import { addition } from '~~/core/drafts'
import { MATERIAL_KINDS, type MaterialKind } from '~~/core/materials'
import { type EntryForm, lotOf, number, orNone, text, wanting } from '../spec'

/** Yeast and bacteria have a kind of entry of their own; closures go on bottles. */
const NOT_IN: readonly MaterialKind[] = ['yeast', 'bacteria', 'closure', 'bottle']
const GOES_IN = MATERIAL_KINDS.filter((kind) => !NOT_IN.includes(kind))

export const additionForm: EntryForm<'addition'> = {
  type: 'addition',
  title: 'Addition',
  fields(values, context) {
    const unit = context.card(text(values, 'material'))?.unit ?? 'g'
    return [
      { as: 'choice', key: 'material', label: 'What went in', items: context.materials(...GOES_IN), wide: true },
      {
        as: 'quantity',
        key: 'actual',
        label: 'How much',
        measure: 'plain',
        unit: '',
        unitLabel: unit,
        required: true,
        limits: { min: 0, max: 100_000, words: 'Between 0 and 100,000.' }
      },
      { as: 'words', key: 'purpose', label: 'What for, if you like', max: 120, wide: true }
    ]
  },
  blank: () => ({ material: 'tartaric', purpose: '' }),
  from: (e) => ({ material: e.material, actual: e.actual, purpose: e.purpose ?? '' }),
  draft(values, context, before) {
    const actual = number(values, 'actual')
    if (actual === undefined) return wanting('actual', 'Say how much went in.')
    const material = text(values, 'material')
    const draft = addition(
      {
        lotId: before?.lotId ?? lotOf(context),
        material,
        actual,
        planned: before?.planned,
        stage: before?.stage,
        purpose: orNone(text(values, 'purpose'))
      },
      context.cellar.cards
    )
    // The entry itself holds the strength of a solution.
    return before?.material === material && before.so2Share !== undefined ? { ...draft, so2Share: before.so2Share } : draft
  }
}
