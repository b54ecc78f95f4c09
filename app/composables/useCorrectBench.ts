import { type AcidChange, type AcidMove, type AcidPrediction, changeOf, fitAcids, predictAcids } from '~~/core/acids'
import { MUST_WINDOWS } from '~~/core/advice'
import { brixFromSg, sgFromBrix } from '~~/core/hydrometry'
import type { LotState, Style } from '~~/core/ledger'
import { type Material, type TargetAddition, type TargetResult, FIRST_STAGE, findTargets, staged } from '~~/core/must'
import { fromLitres } from '~~/core/units'
import type { QuantityField } from './useQuantityField'

interface Try extends AcidPrediction {
  before: AcidPrediction['before'] & { brix: number | undefined }
  after: AcidPrediction['after'] & { brix: number | undefined }
}
interface Planned { material: Material, unit: 'g' | 'L', total: number, stage: number, number: 1 | 2, field: QuantityField }

/** An addition with the digits its field shows, so that the proposal and what is weighed are one figure. */
function asTyped(addition: TargetAddition, volumeL: number): TargetAddition {
  const perLitre = Number(addition.material === 'water' ? addition.perLitre.toFixed(3) : addition.perLitre.toPrecision(3))
  const total = perLitre * volumeL
  return { ...addition, perLitre, total, stages: staged(total) }
}

/** Try before you pour: additions on a must, the state before and after, and the finder's proposal. */
export function useCorrectBench(lot: Ref<LotState | undefined>) {
  const settings = useSettingsStore()
  const f = useFormat()
  const plain = (max: number, words: string) => useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max, words } })
  const fields = {
    ph: useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' }),
    ta: useQuantityField({ kind: 'concentration', unit: 'g/L', units: ['g/L', '%'], required: true, quantity: () => 'ta' }),
    sugar: useQuantityField({ kind: 'sugar', unit: settings.values.sugar, units: ['°Brix', 'SG'], quantity: unit => unit === 'SG' ? 'sg' : 'brix' }),
    malic: plain(15, 'Malic acid lies between 0 and 15 g/L.'),
    volume: useQuantityField({ kind: 'volume', unit: f.volumeUnit.value, units: ['L', 'US gal', 'imp gal'], required: true, quantity: () => 'volume' })
  }
  const changes: Partial<Record<Material, QuantityField>> = {
    'tartaric': plain(4, 'More than 4 g/L is never right in one must.'),
    'potassium-bicarbonate': plain(2, 'More than 2 g/L is never right in one must.'),
    'water': plain(300, 'At most 300 mL for each litre.'),
    'sucrose': plain(100, 'At most 100 g for each litre.')
  }
  const style = ref<Style>('red')
  /** Per cent of the malic acid that bacteria take, and degrees below 20 of a long cold: what will happen, not what is added. */
  const later = reactive<Record<'malolactic' | 'cold', number>>({ malolactic: 0, cold: 0 })
  const has = ref<Material[]>(['tartaric', 'potassium-bicarbonate', 'water', 'sucrose'])
  const found = shallowRef<TargetResult>()

  watch(() => lot.value?.id, () => {
    const l = lot.value
    found.value = undefined
    if (!l) return
    style.value = l.style
    fields.ph.text = l.ph?.value.toFixed(2) ?? ''
    fields.ta.text = l.ta?.value.toFixed(1) ?? ''
    fields.sugar.text = l.sg ? f.sugar(l.sg.value).text : ''
    fields.malic.text = l.others.malic ? String(l.others.malic.value) : ''
    fields.volume.text = String(Number(fromLitres(l.volume.value, f.volumeUnit.value).toPrecision(4)))
  }, { immediate: true })

  const brix = computed(() => fields.sugar.value === undefined || !fields.sugar.parsed.ok ? undefined : fields.sugar.parsed.unit === 'SG' ? brixFromSg(fields.sugar.value) : fields.sugar.value)
  const readings = computed(() => fields.ph.value === undefined || fields.ta.value === undefined || fields.ta.value < 2 || !fields.malic.ok
    ? undefined
    : { ph: fields.ph.value, taGPerL: fields.ta.value, ...(fields.malic.value !== undefined && { malicGPerL: fields.malic.value }) })

  const tried = computed<AcidChange[]>(() => {
    const amount = (m: Material) => changes[m]!.value ?? 0
    const list: AcidChange[] = []
    if (amount('tartaric')) list.push({ kind: 'tartaric', gPerL: amount('tartaric') })
    if (amount('potassium-bicarbonate')) list.push({ kind: 'potassium-bicarbonate', gPerL: amount('potassium-bicarbonate') })
    if (amount('water')) list.push({ kind: 'water', litresPerLitre: amount('water') / 1000 })
    if (amount('sucrose')) list.push({ kind: 'sugar', gPerL: amount('sucrose') })
    const start = readings.value && withinLimits(() => fitAcids(readings.value!).composition)
    for (const move of ['malolactic', 'cold'] as const) {
      if (later[move] > 0 && start) list.push(changeOf(move, later[move], start))
    }
    return list
  })

  /** Sizes of the moves on the map, and the way to set them. */
  const sizes = computed<Partial<Record<AcidMove, number>>>(() => ({
    'tartaric': changes.tartaric!.value ?? 0, 'potassium-bicarbonate': changes['potassium-bicarbonate']!.value ?? 0, 'water': changes.water!.value ?? 0, 'malolactic': later.malolactic, 'cold': later.cold
  }))
  function setSize(move: AcidMove, size: number) {
    if (move === 'malolactic' || move === 'cold') later[move] = size
    else changes[move]!.text = size > 0 ? String(size) : ''
  }

  const prediction = computed<Try | undefined>(() => {
    const given = readings.value
    const p = given && withinLimits(() => predictAcids(given, tried.value))
    return p && { ...p, before: { ...p.before, brix: brix.value }, after: { ...p.after, brix: brixAfter() } }
  })

  function brixAfter(): number | undefined {
    if (brix.value === undefined) return undefined
    const grams = (sgFromBrix(brix.value) * 998.2) + (changes.sucrose!.value ?? 0) + (changes.water!.value ?? 0) * 0.9982
    return (sgFromBrix(brix.value) * 998.2 * brix.value / 100 + (changes.sucrose!.value ?? 0)) / grams * 100
  }

  const canFind = computed(() => readings.value !== undefined && brix.value !== undefined && brix.value >= 5 && fields.volume.value !== undefined)

  /** Looks for the smallest set, and puts it into the fields to be tried and changed. */
  function find() {
    if (!canFind.value) return
    const { malicGPerL, ...pair } = { malicGPerL: undefined, ...readings.value! }
    const exact = findTargets({
      must: { brix: brix.value!, ...pair, ...(malicGPerL !== undefined && { malicGPerL }) }, windows: MUST_WINDOWS[style.value],
      available: Object.fromEntries(has.value.map(m => [m, true as const])), volumeL: fields.volume.value!
    })
    found.value = { ...exact, additions: exact.additions.map(a => asTyped(a, fields.volume.value!)) }
    for (const [material, field] of Object.entries(changes)) {
      const proposed = found.value.additions.find(a => a.material === material)?.perLitre
      field.text = proposed === undefined ? '' : material === 'water' ? (proposed * 1000).toFixed(0) : String(proposed)
    }
  }

  /** What the fields ask for in this volume, its first three quarters, and a field for what really went in. */
  const actuals = new Map<Material, QuantityField>((Object.keys(changes) as Material[]).map(m => [m, plain(1e6, 'Say how much went in.')]))
  const planned = computed<Planned[]>(() => (Object.keys(changes) as Material[]).flatMap((material): Planned[] => {
    const perLitre = changes[material]!.value
    if (!perLitre || fields.volume.value === undefined) return []
    const total = perLitre * fields.volume.value / (material === 'water' ? 1000 : 1)
    // A first stage that is in and measured is finished now: all of the small rest.
    const number = lot.value?.staged.has(material === 'sucrose' ? 'sugar' : material) ? 2 as const : 1 as const
    return [{ material, unit: material === 'water' ? 'L' : 'g', total, number, stage: number === 2 ? total : total * FIRST_STAGE, field: actuals.get(material)! }]
  }))
  const takePlan = () => planned.value.forEach((p) => {
    p.field.text = p.unit === 'L' ? p.stage.toFixed(2) : p.stage.toFixed(p.stage >= 100 ? 0 : 1)
  })

  return { fields, changes, style, later, sizes, setSize, has, found, readings, prediction, canFind, find, planned, takePlan }
}
