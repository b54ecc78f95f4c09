import { inDegrees } from '~/wording/degrees'
import { type Likelihood, likely } from '~~/core/quantities'
import type { ReadingQuantity } from '~~/core/ledger'
import { type QuantityKind, type Unit, readQuantity } from '~~/core/units'
import { sayLikelihood, sayQuantityProblem } from '~/wording/problems'

interface Options {
  kind: QuantityKind
  unit: Unit
  units?: Unit[]
  text?: string
  required?: boolean
  /** What the number is, to judge whether it is likely; may change with the unit. */
  quantity?: (unit: Unit) => ReadingQuantity | undefined
  /** Hard limits for what is not a reading, in the kind's own unit, with the words for outside. */
  limits?: { min: number, max: number, words: string }
}

export type QuantityField = ReturnType<typeof useQuantityField>

/**
 * One entry field for a quantity: what was typed stays as it was typed; beside it what was understood, a complaint, or a
 * question. An unusual value is asked about once and taken when confirmed; it is never changed silently.
 */
export function useQuantityField(options: Options) {
  const settings = useSettingsStore()
  const text = ref(options.text ?? '')
  const unit = ref<Unit>(options.unit)
  const touched = ref(false)
  const confirmed = ref<number>()

  const empty = computed(() => text.value.trim() === '')
  const parsed = computed(() => readQuantity(text.value, options.kind, unit.value, settings.gallon))
  const understoodUnit = computed<Unit>(() => (parsed.value.ok ? parsed.value.unit : unit.value))
  const doubt = computed<Exclude<Likelihood, { verdict: 'fine' }> | undefined>(() => {
    const quantity = options.quantity?.(understoodUnit.value)
    if (!parsed.value.ok || !quantity) return undefined
    const found = likely(quantity, parsed.value.value)
    return found.verdict === 'fine' || (found.verdict === 'ask' && confirmed.value === parsed.value.value) ? undefined : found
  })
  const outside = computed(
    () =>
      parsed.value.ok &&
      options.limits !== undefined &&
      (parsed.value.value < options.limits.min || parsed.value.value > options.limits.max)
  )

  /** The number in the kind's own unit once nothing speaks against it. */
  const value = computed(() => (parsed.value.ok && !doubt.value && !outside.value ? parsed.value.value : undefined))
  const ok = computed(() => value.value !== undefined || (empty.value && !options.required))
  const complaint = computed(() => {
    if (empty.value) return options.required ? sayQuantityProblem({ code: 'empty' }, options.kind) : undefined
    if (!parsed.value.ok) return sayQuantityProblem(parsed.value.problem, options.kind)
    if (outside.value) return options.limits!.words
    const quantity = options.quantity?.(understoodUnit.value)
    return doubt.value && quantity ? sayLikelihood(quantity, parsed.value.value, doubt.value) : undefined
  })
  const message = computed(() => (touched.value && complaint.value ? inDegrees(complaint.value, settings.values.temperature) : undefined))
  const question = computed(() => (touched.value && doubt.value ? doubt.value : undefined))

  const touch = () => {
    touched.value = true
  }
  const confirm = () => {
    if (parsed.value.ok) confirmed.value = parsed.value.value
  }
  const take = (suggestion: number) => {
    text.value = unit.value === 'SG' ? suggestion.toFixed(3) : String(suggestion)
  }
  const clear = () => {
    text.value = ''
    touched.value = false
  }

  return reactive({
    text,
    unit,
    units: options.units ?? [],
    required: options.required ?? false,
    empty,
    parsed,
    value,
    ok,
    message,
    question,
    touch,
    confirm,
    take,
    clear
  })
}
