import { inDegrees } from '~/wording/degrees'
import { type Likelihood, type Suggestion, likely, meant } from '~~/core/quantities'
import type { ReadingQuantity } from '~~/core/ledger'
import { type QuantityKind, type Unit, readNumber, readQuantity } from '~~/core/units'
import { sayLikelihood, sayMeant, sayQuantityProblem } from '~/wording/problems'
import { useSettingsStore } from '~/stores/settings'

export interface QuantityFieldOptions {
  kind: QuantityKind
  unit: Unit
  units?: Unit[]
  text?: string
  required?: boolean
  /** What the number is, to judge whether it is likely; may change with the unit. */
  quantity?: (unit: Unit) => ReadingQuantity | undefined
  /** Whether it may be the sugar of a concentrate. */
  concentrate?: () => boolean
  /** Hard limits for what is not a reading, in the kind's own unit, with the words for outside. */
  limits?: { min: number, max: number, words: string }
}

/** A gravity has three decimals. */
export const sayNumber = ({ value, unit }: Suggestion): string => (unit === 'SG' ? value.toFixed(3) : String(value))

export type QuantityField = ReturnType<typeof useQuantityField>

/**
 * One entry field for a quantity: what was typed stays as it was typed; beside it what was understood, a complaint, or a
 * question. An unusual value is asked about once and taken when confirmed; it is never changed silently.
 */
export function useQuantityField(options: QuantityFieldOptions) {
  const settings = useSettingsStore()
  const text = ref(options.text ?? '')
  const unit = ref<Unit>(options.unit)
  const touched = ref(false)
  /** As it was typed and in which unit, when the person said that it is right. */
  const confirmed = ref<string>()
  const asTyped = computed(() => `${text.value.trim()} ${unit.value}`)

  const empty = computed(() => text.value.trim() === '')
  const parsed = computed(() => readQuantity(text.value, options.kind, unit.value, settings.gallon))
  const understoodUnit = computed<Unit>(() => (parsed.value.ok ? parsed.value.unit : unit.value))
  const doubt = computed<Exclude<Likelihood, { verdict: 'fine' }> | undefined>(() => {
    const quantity = options.quantity?.(understoodUnit.value)
    if (!parsed.value.ok || !quantity) return undefined
    const found = likely(quantity, parsed.value.value, options.concentrate?.())
    return found.verdict === 'fine' || (found.verdict === 'ask' && confirmed.value === asTyped.value) ? undefined : found
  })
  /** What it must be when the field's unit is not what the number is in. A unit that was typed is believed. */
  const wrongUnit = computed<Suggestion[]>(() => {
    const bare = readNumber(text.value)
    return bare.ok && confirmed.value !== asTyped.value ? meant(bare.value, bare.decimals, unit.value) : []
  })
  const outside = computed(
    () =>
      parsed.value.ok &&
      options.limits !== undefined &&
      (parsed.value.value < options.limits.min || parsed.value.value > options.limits.max)
  )

  /** What it was filled with, in all its digits: it counts as long as nobody typed anything else over what is shown of it. */
  const filled = ref<{ as: string, value: number }>()
  /** The number in the kind's own unit once nothing speaks against it. */
  const value = computed(() =>
    parsed.value.ok && !doubt.value && !outside.value && wrongUnit.value.length === 0
      ? filled.value?.as === asTyped.value ? filled.value.value : parsed.value.value
      : undefined
  )
  /** Nobody typed anything over what it was filled with. */
  const untouched = computed(() => (filled.value ? filled.value.as === asTyped.value : empty.value))
  const ok = computed(() => value.value !== undefined || (empty.value && !options.required))
  const complaint = computed(() => {
    if (empty.value) return options.required ? sayQuantityProblem({ code: 'empty' }, options.kind) : undefined
    if (wrongUnit.value.length > 0 && !outside.value) return sayMeant(text.value.trim(), unit.value)
    if (!parsed.value.ok) return sayQuantityProblem(parsed.value.problem, options.kind)
    if (outside.value) return options.limits!.words
    const quantity = options.quantity?.(understoodUnit.value)
    return doubt.value && quantity ? sayLikelihood(quantity, parsed.value.value, doubt.value) : undefined
  })
  const message = computed(() => (touched.value && complaint.value ? inDegrees(complaint.value, settings.values.temperature) : undefined))
  const question = computed(() => {
    if (!touched.value || (!doubt.value && wrongUnit.value.length === 0)) return undefined
    const better = (doubt.value?.suggestions ?? []).map((s): Suggestion => ({ value: s, unit: understoodUnit.value }))
    const taken = parsed.value.ok && !outside.value && doubt.value?.verdict !== 'refuse'
    return { verdict: taken ? ('ask' as const) : ('refuse' as const), suggestions: wrongUnit.value.length > 0 ? wrongUnit.value : better }
  })

  const touch = () => {
    touched.value = true
  }
  const confirm = () => {
    if (parsed.value.ok) confirmed.value = asTyped.value
  }
  const take = (suggestion: Suggestion) => {
    const offered = suggestion.unit === unit.value || options.units?.includes(suggestion.unit)
    if (offered) unit.value = suggestion.unit
    const number = sayNumber(suggestion)
    text.value = offered ? number : `${number} ${suggestion.unit}`
  }
  /**
   * Filled in for somebody, in the unit that the field began in, whatever unit was chosen there before.
   * @param known what is shown
   * @param exactly the number itself, where more is known than is shown
   */
  const fill = (known: string, exactly?: number) => {
    unit.value = options.unit
    text.value = known
    touched.value = false
    filled.value = exactly === undefined ? undefined : { as: asTyped.value, value: exactly }
  }
  const clear = () => {
    text.value = ''
    touched.value = false
    filled.value = undefined
  }

  return reactive({
    text,
    unit,
    units: options.units ?? [],
    required: options.required ?? false,
    empty,
    untouched,
    parsed,
    value,
    ok,
    message,
    question,
    touch,
    confirm,
    take,
    fill,
    clear
  })
}
