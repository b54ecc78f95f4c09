import { correction } from '~~/core/drafts'
import type { Draft, Entry, EntryOf, Fact, LotView } from '~~/core/ledger'
import { type AnyFact, formOf } from '~/forms'
import { type FieldProblem, type Values, isProblem } from '~/forms/spec'
import { sayIssue } from '~/wording/problems'
import { unchanged } from './unchanged'
import type { QuantityField } from './useQuantityField'
import type { QuantitySpec } from './useSpecFields'
import { useFormContext } from '~/composables/useFormContext'
import { useFormat } from '~/composables/useFormat'
import { useKept } from '~/composables/useKept'
import { useSpecFields } from '~/composables/useSpecFields'
import { useCellarStore } from '~/stores/cellar'

export interface EntryFormOptions {
  type: Fact['type']
  lot?: LotView | undefined
  /** The entry that is to be put right. */
  fact?: Fact | undefined
  /** What is known before: the block that is sampled, the package that is counted. */
  given?: Values | undefined
}

/** What may have been logged for the wrong lot. Where wine moved, its form names both lots itself. */
const OF_ONE_LOT = new Set<Fact['type']>(['reading', 'addition', 'inoculation', 'observation', 'operation', 'tasting'])

/** Under which a half-filled form is kept for the tab. */
export const formKey = (type: Fact['type'], about: string, factId = ''): string => ['presk.form', type, about, factId].join('|')

/**
 * A form of one kind of entry: its values and quantity fields, what is wrong at which field, and the writing. What was typed
 * survives a reload until it is logged.
 */
export function useEntryForm(options: EntryFormOptions) {
  const cellar = useCellarStore()
  const f = useFormat()
  const form = formOf(options.type)
  const context = useFormContext(() => options.lot)
  // What somebody was led to is not mixed with what was half typed about something else.
  const led = options.lot && options.given ? `|${JSON.stringify(options.given)}` : ''
  const key = formKey(options.type, String(options.lot?.id ?? options.given?.blockId ?? ''), options.fact?.id) + led
  const started = (): Values => ({
    ...(options.fact ? form.from(options.fact as AnyFact, context.value) : form.blank(context.value)),
    ...options.given
  })
  const kept = useKept<Values>(key)
  const values = reactive<Values>({ ...started(), ...kept.read() })

  function begin(spec: QuantitySpec, field: QuantityField): void {
    const [value, typed] = [values[spec.key], values[`${spec.key}-typed`]]
    if (typeof typed === 'string') field.text = typed
    else if (typeof value === 'number') field.text = f.typed(value, spec.measure, spec.unit)
  }
  const { fieldOf, all } = useSpecFields(begin)
  /** What is asked for; the same list as before as long as it says the same, so that an entry elsewhere draws no field anew. */
  const specs = unchanged(() => form.fields(values, context.value, options.fact as AnyFact | undefined))
  const fields = computed(() => specs.value.map((spec) => ({ spec, field: spec.as === 'quantity' ? fieldOf(spec) : undefined })))
  /** Numbers, and what was typed for them, beside the other values. */
  const filled = computed<Values>(() => ({
    ...values,
    ...Object.fromEntries(
      fields.value.flatMap(({ spec, field }) =>
        field
          ? [
              [spec.key, field.value],
              [`${spec.key}-typed`, field.text]
            ]
          : []
      )
    )
  }))
  const untouched = JSON.stringify(filled.value)
  watch(filled, (now) => {
    if (JSON.stringify(now) !== untouched) kept.write(now)
  })

  const problems = ref<FieldProblem[]>([])
  /** What speaks against the whole, not against one field. */
  const problem = ref<string>()
  const saving = ref(false)
  const at = ref<string | undefined>(options.fact?.at)
  const reason = ref('')
  /** The lot that a corrected entry belongs to, and those it may belong to instead. */
  const lotId = ref(options.fact && OF_ONE_LOT.has(options.fact.type) && 'lotId' in options.fact ? options.fact.lotId : undefined)
  const lotChoices = computed(() => (lotId.value === undefined ? [] : cellar.lots.map((lot) => ({ value: lot.id, label: lot.name }))))

  async function submit(): Promise<Entry[] | undefined> {
    problems.value = []
    problem.value = undefined
    const shown = fields.value.flatMap(({ field }) => (field ? [field] : []))
    shown.forEach((field) => field.touch())
    if (shown.some((field) => !field.ok)) return undefined
    const before = options.fact as AnyFact | undefined
    const made = form.draft(filled.value, context.value, before)
    if (isProblem(made)) {
      problems.value = [made]
      return undefined
    }
    saving.value = true
    const drafts = Array.isArray(made) ? made : [made]
    const written = await cellar.log(
      drafts.map((draft) => (before ? asCorrection(before, draft) : ({ ...draft, ...(at.value && { at: at.value }) } as Draft<Fact>)))
    )
    saving.value = false
    if (!written) {
      sayWhyNot()
      return undefined
    }
    kept.forget()
    clear()
    return written
  }

  /** The entry as it should have been, with its own id; the correction carries it whole. */
  function asCorrection(before: AnyFact, made: Draft<EntryOf<Fact['type']>>): Draft {
    const { id, device, written } = before
    const ofLot = lotId.value && { lotId: lotId.value }
    return correction(id, { ...made, ...ofLot, id, device, written, at: at.value ?? before.at } as Fact, reason.value) as Draft
  }

  function sayWhyNot(): void {
    const known = new Set(fields.value.map(({ spec }) => spec.key))
    problems.value = cellar.issues
      .filter((issue) => known.has(issue.field))
      .map((issue) => ({ field: issue.field, reason: sayIssue(issue) }))
    const rest = cellar.issues.filter((issue) => !known.has(issue.field)).map(sayIssue)
    // What the ledger refuses as a whole is said above the page, with the way to help it.
    problem.value = rest.join(' ') || undefined
  }

  function clear(): void {
    // What was typed is no start of the next.
    for (const key of Object.keys(values)) if (key.endsWith('-typed')) values[key] = undefined
    Object.assign(values, { photo: undefined }, started())
    for (const { spec, field } of all()) {
      field.clear()
      begin(spec, field)
    }
    at.value = options.fact?.at
  }
  const set = (key: string, value: Values[string]): void => {
    Object.assign(values, form.follows?.(values, key, value), { [key]: value })
  }
  return { form, values, set, fields, problems, problem, saving, at, reason, lotId, lotChoices, submit, clear }
}
