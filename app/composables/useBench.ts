import { type BenchContext, type BenchValues, type Known, type Refusal, doubtsOf } from '~~/core/benches'
import type { Draft, Fact, LotView } from '~~/core/ledger'
import { shownIn } from '~/benches/shown'
import { type BenchField, type BenchForm, WENT_IN } from '~/benches/spec'
import { newId } from '~/data/ids'
import type { Values } from '~/forms/spec'
import { FILLED_FROM, sayWorth } from '~/wording/benches'
import { unchanged } from './unchanged'
import { KEPT_MS } from './useKeptForm'
import type { QuantityField } from './useQuantityField'
import type { QuantitySpec } from './useSpecFields'
import { focusWrong } from '~/composables/focusWrong'
import { useFormContext } from '~/composables/useFormContext'
import { useFormat } from '~/composables/useFormat'
import { useKept } from '~/composables/useKept'
import { useLogged } from '~/composables/useLogged'
import { useNow } from '~/composables/useNow'
import { useReadiness } from '~/composables/useReadiness'
import { useSpecFields } from '~/composables/useSpecFields'
import { sgIn } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'
import { useForecastsStore } from '~/stores/forecasts'
import { useSettingsStore } from '~/stores/settings'

/** What somebody typed or chose on a bench about a lot. */
interface Typed {
  at: number
  /** `over`: what was measured of the lot when this was typed over it. */
  numbers: Record<string, { text: string, unit: string, over?: number }>
  choices: Values
}
const isRefusal = (made: Draft<Fact>[] | Refusal): made is Refusal => 'refused' in made

/**
 * A bench at work: its fields filled from the lot, cleared for another, what was typed kept over a reload and the way back, the answer,
 * and one writing of it.
 * @param lot none: arithmetic alone
 * @param cameFor what the address names
 */
export function useBench<N extends string, C extends object, A>(
  form: BenchForm<N, C, A>,
  lot: Ref<LotView | undefined>,
  cameFor: () => string | undefined = () => undefined
) {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const forecasts = useForecastsStore()
  const f = useFormat()
  const now = useNow()
  const logged = useLogged()
  if (form.foretells) forecasts.hurry()
  const context = computed<BenchContext>(() => ({
    lot: lot.value,
    cellar: cellar.state,
    now: now.value,
    forecast: lot.value && forecasts.known.get(lot.value.id),
    owns: { salt: settings.values.salt, scaleStepG: settings.values.scaleStepG },
    cameFor: cameFor(),
    newId
  }))
  const units = useFormContext(() => lot.value)
  const usualChoices = unchanged(() => form.bench.choices(context.value))
  const choices = reactive({ ...usualChoices.value }) as C & Values

  function fill(spec: QuantitySpec, field: QuantityField, is: Known | undefined): void {
    if (!is) return field.clear()
    const { text, exactly } = shownIn(spec, is.value, f)
    field.fill(text, exactly)
  }
  const { fieldOf, all } = useSpecFields()
  const specs = unchanged(() => form.fields(choices, units.value) as BenchField<N, C>[])
  const fields = computed(() => specs.value.map((spec) => ({ spec, field: spec.as === 'quantity' ? fieldOf(spec) : undefined })))
  const numbers = () => fields.value.flatMap(({ spec, field }) => (spec.as === 'quantity' && field ? [{ spec, field }] : []))
  const field = (key: N): QuantityField => numbers().find(({ spec }) => spec.key === key)!.field
  /** A gravity is handed on as SG, in whichever unit it was typed. */
  function numberIn(spec: QuantitySpec, field: QuantityField): number | undefined {
    if (!field.ok && !field.required) return Number.NaN
    return spec.measure === 'sugar' ? sgIn(field) : field.value
  }
  /** What was typed or chosen of one choice is not there for another. */
  function set(key: string, value: Values[string]): void {
    if ((choices as Values)[key] !== value) {
      for (const { spec, field } of fields.value) {
        if (spec.per !== key) continue
        if (field) field.clear()
        else Object.assign(choices, { [spec.key]: (usualChoices.value as Values)[spec.key] })
      }
    }
    Object.assign(choices, { [key]: value })
  }
  const values = computed(() =>
    ({ ...choices, ...Object.fromEntries(numbers().map(({ spec, field }) => [spec.key, numberIn(spec, field)])) }) as BenchValues<N, C>
  )
  const known = unchanged(() => form.bench.fill(context.value, values.value))

  const forgets: readonly string[] = form.forgets ?? []
  const measured = (key: string): { over?: number } => {
    const is = known.value[key as N]
    return is?.origin === 'measured' ? { over: is.value } : {}
  }
  /** What differs from what was filled in. */
  const typed = computed(() => ({
    numbers: Object.fromEntries(
      numbers().flatMap(({ spec, field }) =>
        field.untouched ? [] : [[spec.key, { text: field.text, unit: field.unit, ...measured(spec.key) }]])
    ),
    choices: Object.fromEntries(
      Object.entries(choices).filter(([key, is]) => is !== (usualChoices.value as Values)[key] && !forgets.includes(key))
    ) as Values
  }))
  const kept = () => useKept<Typed>(['presk.bench', form.code, lot.value?.id ?? ''].join('|'))
  /** The lot that the fields are filled from; null before they are. */
  let filledFor: string | undefined | null = null
  function keep(): void {
    // What was typed is of the lot before until the fields are filled anew.
    if (filledFor !== lot.value?.id) return
    const { numbers: n, choices: c } = typed.value
    if (Object.keys(n).length + Object.keys(c).length > 0) kept().write({ at: Date.now(), ...typed.value })
    else kept().forget()
  }
  function putBack(): void {
    const was = kept().read()
    if (!was || Date.now() - was.at > KEPT_MS) return
    Object.assign(choices, was.choices)
    for (const { spec, field } of numbers()) {
      const typedThen = was.numbers[spec.key]
      // What has been measured since goes before what was typed.
      if (typedThen && typedThen.over === measured(spec.key).over) Object.assign(field, { text: typedThen.text, unit: typedThen.unit })
    }
  }
  /** What is known, where nobody typed or chose anything; and anew where that is no longer meant. */
  let chosen = { ...usualChoices.value } as Values
  function fillAll(anew: (spec: BenchField<N, C>) => boolean): void {
    const again = new Set<string>(specs.value.filter(anew).map(({ key }) => key))
    for (const [key, is] of Object.entries(usualChoices.value)) {
      if (again.has(key) || (choices as Values)[key] === chosen[key]) set(key, is)
    }
    chosen = { ...usualChoices.value } as Values
    for (const { spec, field } of numbers()) if (again.has(spec.key)) field.clear()
    for (const { spec, field } of numbers()) if (field.untouched) fill(spec, field, known.value[spec.key as N])
  }
  /** As if it were opened: also what is not asked for now. What is of the house stays. */
  function reset(): void {
    Object.assign(choices, usualChoices.value)
    for (const { spec, field } of all()) if (!(spec as BenchField<N, C>).stays) field.clear()
  }
  // What was typed or chosen for one lot is not there for the next.
  watch(
    [() => lot.value?.id, known, usualChoices, specs],
    ([id]) => {
      const another = filledFor !== id
      filledFor = id
      if (another) reset()
      fillAll(() => false)
      if (another) putBack()
    },
    { immediate: true }
  )
  watch(typed, keep)

  /** Beside a number: where it comes from, or what somebody typed over. */
  function hintOf(spec: BenchField<N, C>): string | undefined {
    const is = spec.as === 'quantity' && lot.value ? known.value[spec.key as N] : undefined
    if (!is || is.origin === 'usual' || spec.as !== 'quantity') return spec.hint
    const field = fieldOf(spec)
    return field.untouched ? (spec.hint ?? FILLED_FROM[is.origin]) : `instead of ${shownIn(spec, is.value, f).text}`
  }

  const answer = computed(() => form.bench.answer(values.value, context.value))
  /** Which measurement would narrow the figure, in words, where one would. */
  const worth = computed(() => {
    if (!form.figure || !lot.value) return undefined
    const { name, show } = form.figure
    const doubt = doubtsOf(form.bench, values.value, context.value, known.value, new Set(Object.keys(typed.value.numbers)))[0]
    const spec = doubt && specs.value.find(({ key }) => key === doubt.number)
    const label = spec && (spec.called ?? spec.label)
    return label && sayWorth(label, doubt.estimated, name, show(doubt.low, units.value), show(doubt.high, units.value))
  })
  const gate = form.gate && useReadiness(() => lot.value, () => form.gate!(lot.value, choices, cellar.state))
  const saving = ref(false)
  /** Why nothing was written. */
  const problem = ref<string>()
  const refuse = async (words?: string): Promise<false> => {
    problem.value = words
    await focusWrong()
    return false
  }
  /** Fields that an act leans on: what is put in, and its own. */
  const asked = (act: string) =>
    numbers().filter(({ spec }) => {
      const { part } = spec as BenchField<N, C>
      return part === undefined || part === act || (part === 'apart' && act === WENT_IN)
    })
  /** Writes what was done, once, says so and leads on. */
  async function log(act: unknown = WENT_IN): Promise<boolean> {
    // A submitted form hands on its event.
    const does = typeof act === 'string' ? act : WENT_IN
    problem.value = undefined
    if (saving.value || !lot.value) return false
    asked(does).forEach(({ field }) => field.touch())
    if (asked(does).some(({ field }) => !field.ok)) return refuse()
    if (gate && does === WENT_IN && !gate.mayGoOn.value) return refuse()
    const about = { ...context.value, lot: lot.value, note: form.note?.(values.value, answer.value, context.value) ?? '' }
    const made = form.bench.drafts?.(values.value, answer.value, about, does) ?? []
    if (isRefusal(made)) return refuse(form.refusals?.[made.refused])
    if (made.length === 0) return false
    saving.value = true
    const found = answer.value
    const written = await cellar.log([...(does === WENT_IN && gate ? gate.against() : []), ...made])
    saving.value = false
    if (!written) return refuse()
    const done = form.logged?.(about.lot, made, does, found)
    // Where it leads on, the bench is done with; else only what went in is.
    if (done?.to) reset()
    fillAll(({ part }) => part === does || part === 'apart')
    if (done) logged(done.says)
    if (done?.to) await navigateTo(done.to)
    return true
  }
  /** What is planned, as it would be typed: "exactly as planned". */
  function take(plan: { [K in N]?: number | undefined }): void {
    for (const { spec, field } of numbers()) {
      const amount = plan[spec.key as N]
      if (amount !== undefined) field.text = spec.unitLabel === 'g' ? f.typedPowder(amount) : f.typed(amount, spec.measure, field.unit)
    }
  }
  return { form, fields, field, hintOf, choices, values, answer, worth, gate, saving, problem, log, set, take }
}
