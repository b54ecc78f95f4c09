import { fact } from '~~/core/drafts'
import { type LotPlan, type Stream, type Style, isMust, planOf, unusualIn, usualPlan } from '~~/core/ledger'
import { newId } from '~/data/ids'
import { FINISH, LEES_METHOD, MALOLACTIC, NUTRIENT_METHOD, OAK_READY, PRESS_METHOD, SULPHITE_METHOD, YEAST_METHOD } from '~/wording/plan'
import { STREAM, STREAM_HINT, STYLE } from '~/wording/terms'
import { type EntryForm, type FieldSpec, type Values, choices, lotOf, text, wanting } from '../spec'

const SWITCHES = {
  cold: 'Cold winter, or weeks in the cold',
  oak: 'Oak',
  sparkling: 'Sparkling',
  heated: 'Fruit heated for colour'
} as const
const METHODS = {
  malolactic: { label: 'Malolactic', words: MALOLACTIC },
  finish: { label: 'Sweetness', words: FINISH },
  sulphite: { label: 'Sulphite', words: SULPHITE_METHOD },
  yeast: { label: 'Yeast', words: YEAST_METHOD },
  nutrient: { label: 'Nutrient', words: NUTRIENT_METHOD },
  press: { label: 'Pressed', words: PRESS_METHOD },
  lees: { label: 'When dry', words: LEES_METHOD },
  oakReady: { label: 'Loose oak goes in', words: OAK_READY }
} as const
const BLOCKED_HINT = 'With sulphite, cold and clean racking. Some risk remains in the bottle.'
const KEYS = [...Object.keys(METHODS), ...Object.keys(SWITCHES)] as (keyof LotPlan)[]

/** The choices of a plan, for what it is a plan of; each where it decides something. */
function planFields(values: Values, style: Style | undefined, stream: Stream | undefined, inMust = true): FieldSpec[] {
  const open: Partial<Record<keyof LotPlan, boolean>> = {
    // A kit's acid is adjusted, and it often has sulphite in it: bacteria have no work there.
    malolactic: stream !== 'kit',
    press: style === 'red',
    oakReady: values.oak === true,
    heated: style === 'red' && inMust
  }
  return [
    ...(Object.keys(METHODS) as (keyof typeof METHODS)[]).filter((key) => open[key] !== false).map((key): FieldSpec => {
      const { label, words } = METHODS[key]
      const hint = key === 'malolactic' && values.malolactic === 'blocked' ? BLOCKED_HINT : undefined
      return { as: 'choice', key, label, items: choices(words as Record<string, string>), hint }
    }),
    ...(Object.keys(SWITCHES) as (keyof typeof SWITCHES)[]).filter((key) => open[key] !== false)
      .map((key): FieldSpec => ({ as: 'switch', key, label: SWITCHES[key], wide: true }))
  ]
}

export const lotPlannedForm: EntryForm<'lot-planned'> = {
  type: 'lot-planned',
  title: 'Plan',
  fields: (values, { lot }) => planFields(values, lot?.style, lot?.stream, !lot || isMust(lot)),
  blank: ({ lot }) => (lot ? { ...planOf(lot) } : {}),
  from: ({ sugarSteps: _steps, step: _step, ...e }, { lot }) => ({ ...(lot ? planOf(lot) : {}), ...e }),
  draft(values, context, before) {
    const known: Partial<LotPlan> = before ?? (context.lot ? planOf(context.lot) : {})
    // Only what differs from before is said.
    const said = Object.fromEntries(
      KEYS.filter((key) => values[key] !== undefined && (before ? key in before || values[key] !== known[key] : values[key] !== known[key]))
        .map((key) => [key, values[key]])
    )
    if (Object.keys(said).length === 0) return wanting('finish', 'Nothing was changed.')
    const open = Object.fromEntries(KEYS.map((key) => [key, undefined]))
    const kept = { sugarSteps: before?.sugarSteps, step: before?.step }
    return fact('lot-planned', { lotId: before?.lotId ?? lotOf(context), ...open, ...kept, ...(said as Partial<LotPlan>) })
  }
}

/** Blends and test ferments are planned as they come. */
const COMES_AS = Object.fromEntries(Object.keys(STREAM_HINT).filter((key) => key !== 'test')
  .map((key) => [key, STREAM[key as keyof typeof STREAM_HINT]]))
const kindOf = (values: Values) => ({ style: values.style as Style, stream: values.stream as Stream })

export const planKeptForm: EntryForm<'plan-kept'> = {
  type: 'plan-kept',
  title: 'Kept plan',
  fields: (values) => {
    const { style, stream } = kindOf(values)
    return [
      { as: 'words', key: 'name', label: 'Name of the plan' },
      { as: 'choice', key: 'stream', label: 'Comes as', items: choices(COMES_AS) },
      { as: 'choice', key: 'style', label: 'Style', items: choices(STYLE) },
      ...planFields(values, style, stream)
    ]
  },
  blank: () => ({ name: '', stream: 'fresh', style: 'red', ...usualPlan('red', 'fresh') }),
  from: ({ name, style, stream, plan }) => ({ name, style, stream, ...usualPlan(style, stream), ...plan }),
  // Nobody means the usual of a red when the wine becomes a white: what was left as usual stays as usual.
  follows(values, key, value) {
    if (key !== 'style' && key !== 'stream') return {}
    const [was, is] = [kindOf(values), kindOf({ ...values, [key]: value })]
    const [before, after] = [usualPlan(was.style, was.stream), usualPlan(is.style, is.stream)]
    return Object.fromEntries(KEYS.filter((k) => values[k] === before[k]).map((k) => [k, after[k]]))
  },
  draft(values, _context, before) {
    const name = text(values, 'name')
    if (!name) return wanting('name', 'A plan needs a name.')
    const { style, stream } = kindOf(values)
    // What has no field here is kept as it was; what this kind of wine has no choice of is as usual.
    const shown = new Set(planFields(values, style, stream).map(({ key }) => key))
    const chosen = KEYS.map((key) => [key, shown.has(key) ? values[key] : undefined] as const)
    const said = { ...before?.plan, ...Object.fromEntries(chosen) }
    return fact('plan-kept', {
      planId: before?.planId ?? newId(),
      name: name.slice(0, 80),
      style,
      stream,
      plan: unusualIn(said, style, stream),
      fromLotId: before?.fromLotId
    })
  }
}
