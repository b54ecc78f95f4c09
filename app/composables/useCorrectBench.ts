import {
  type AcidChange,
  type AcidMove,
  type AcidPrediction,
  type AcidReadings,
  type Course,
  applyChanges,
  changeOf,
  fitAcids,
  predictAcids,
  runCourse,
  solveEquilibrium,
  usualCourse
} from '~~/core/acids'
import { courseOfLot } from '~~/core/stages'
import { brixFromSg, potentialAlcohol } from '~~/core/hydrometry'
import { type LotState, type Style, abvOf } from '~~/core/ledger'
import {
  type Material,
  type TargetAddition,
  type TargetRequest,
  type TargetResult,
  FIRST_STAGE,
  findTargets,
  mixedMust,
  staged
} from '~~/core/must'
import { materialKey } from '~~/core/materials'
import { reckoner } from '~/workers/start'
import type { QuantityField } from './useQuantityField'
import { useFormat } from '~/composables/useFormat'
import { useQuantityField } from '~/composables/useQuantityField'
import { fillFigure, useSugarField, useVolumeField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'
import { useSettingsStore } from '~/stores/settings'

interface Try extends AcidPrediction {
  before: AcidPrediction['before'] & { brix: number | undefined }
  after: AcidPrediction['after'] & { brix: number | undefined }
}
interface Planned {
  material: Material
  unit: 'g' | 'L'
  total: number
  stage: number
  number: 1 | 2
  field: QuantityField
}

/** An addition with the digits its field shows, so that the proposal and what is weighed are one figure. */
function asTyped(addition: TargetAddition, volumeL: number): TargetAddition {
  const perLitre = Number(addition.material === 'water' ? addition.perLitre.toFixed(3) : addition.perLitre.toPrecision(3))
  const total = perLitre * volumeL
  return { ...addition, perLitre, total, stages: staged(total) }
}

/** With the digits that a kitchen scale and a jug can follow, so that plan and "exactly as planned" are one figure. */
const weighed = (amount: number, unit: 'g' | 'L'): string => (unit === 'L' ? amount.toFixed(2) : amount.toFixed(amount >= 100 ? 0 : 1))

/** Of a must whose sugar is not known, for its volume alone. */
const USUAL_BRIX = 22

export type CorrectBench = ReturnType<typeof useCorrectBench>

/** Try before you pour: additions on a must, the state before and after, and the finder's proposal. */
export function useCorrectBench(lot: Ref<LotState | undefined>) {
  const settings = useSettingsStore()
  const f = useFormat()
  const plain = (max: number, words: string) => useQuantityField({ kind: 'plain', unit: '', limits: { min: 0, max, words } })
  const fields = {
    ph: useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' }),
    ta: useQuantityField({ kind: 'concentration', unit: 'g/L', units: ['g/L', '%'], required: true, quantity: () => 'ta' }),
    sugar: useSugarField(settings.values.sugar),
    malic: plain(15, 'Enter between 0 and 15 g/L.'),
    abv: plain(18, 'Presk calculates acids up to 18 % vol.'),
    volume: useVolumeField()
  }
  const changes: Partial<Record<Material, QuantityField>> = {
    tartaric: plain(4, 'More than 4 g/L is never right in one must.'),
    'potassium-bicarbonate': plain(2, 'More than 2 g/L is never right in one must.'),
    water: plain(300, 'At most 300 mL per litre.'),
    sucrose: plain(100, 'At most 100 g per litre.')
  }
  const style = ref<Style>('red')
  /** Per cent of the malic acid that bacteria take, and degrees below 20 of a long cold: what will happen, not what is added. */
  const later = reactive<Record<'malolactic' | 'cold', number>>({ malolactic: 0, cold: 0 })
  /** What the lot will still go through: the finder judges it by where it ends. */
  const plan = reactive({ malolactic: true, cold: true })
  watch(style, (is) => {
    if (!lot.value || lot.value.style !== is) Object.assign(plan, usualCourse(is))
  })
  const has = ref<Material[]>(['tartaric', 'potassium-bicarbonate', 'water', 'sucrose'])
  const found = shallowRef<TargetResult>()
  /** What really went in, by material. */
  const actuals = new Map<Material, QuantityField>(
    (Object.keys(changes) as Material[]).map((m) => [m, plain(1e6, 'Enter how much went in.')])
  )

  watch(
    () => lot.value?.id,
    () => {
      const l = lot.value
      found.value = undefined
      // What was tried on one must, or weighed for it, is not tried on another.
      for (const field of [...Object.values(changes), ...actuals.values()]) field.clear()
      Object.assign(later, { malolactic: 0, cold: 0 })
      if (!l) return
      style.value = l.style
      fillFigure(fields.ph, l.ph?.value, 2)
      fillFigure(fields.ta, l.ta?.value, 1)
      fields.sugar.fill(l.sg ? f.sugar(l.sg.value).text : '')
      fillFigure(fields.malic, l.others.malic?.value, 2)
      const abv = l.balance && abvOf(l.balance)
      fillFigure(fields.abv, abv && abv > 0.5 ? abv : undefined, 1)
      const { malolactic, cold } = courseOfLot(l)
      Object.assign(plan, { malolactic, cold })
      fields.volume.fill(f.typedVolume(l.volume.value), l.volume.value)
    },
    { immediate: true }
  )

  const brix = computed(() =>
    fields.sugar.value === undefined || !fields.sugar.parsed.ok
      ? undefined
      : fields.sugar.parsed.unit === 'SG'
        ? brixFromSg(fields.sugar.value)
        : fields.sugar.value
  )
  const abv = computed(() => fields.abv.value ?? 0)
  /** A wine's gravity says nothing of how ripe its fruit was. */
  const isMust = computed(() => abv.value < 1)
  const readings = computed<AcidReadings | undefined>(() => {
    if (fields.ph.value === undefined || fields.ta.value === undefined || fields.ta.value < 2 || !fields.malic.ok || !fields.abv.ok)
      return undefined
    return {
      ph: fields.ph.value,
      taGPerL: fields.ta.value,
      abv: abv.value,
      style: style.value,
      ...(fields.malic.value !== undefined && { malicGPerL: fields.malic.value }),
      ...(isMust.value && brix.value !== undefined && brix.value >= 5 && { brix: Math.min(45, brix.value) })
    }
  })
  const course = computed<Course>(() => {
    const possible = brix.value !== undefined && brix.value > 2 ? potentialAlcohol(Math.min(45, brix.value)).abv : 0
    return { ...plan, finalAbv: Math.min(17, abv.value + possible), style: style.value }
  })
  /** On a must the cold acts on the wine that it will be. */
  const willBe = computed(() => ({ finalAbv: course.value.finalAbv || 12, style: style.value }))

  const tried = computed<AcidChange[]>(() => {
    const amount = (m: Material) => changes[m]!.value ?? 0
    const list: AcidChange[] = []
    if (amount('tartaric')) list.push({ kind: 'tartaric', gPerL: amount('tartaric') })
    if (amount('potassium-bicarbonate')) list.push({ kind: 'potassium-bicarbonate', gPerL: amount('potassium-bicarbonate') })
    if (amount('water')) list.push({ kind: 'water', litresPerLitre: amount('water') / 1000 })
    if (amount('sucrose')) list.push({ kind: 'sugar', gPerL: amount('sucrose') })
    const start = readings.value && withinLimits(() => fitAcids(readings.value!).composition)
    for (const move of ['malolactic', 'cold'] as const) {
      if (later[move] > 0 && start) list.push(changeOf(move, later[move], start, willBe.value))
    }
    return list
  })

  /** Sizes of the moves on the map, and the way to set them. */
  const sizes = computed<Partial<Record<AcidMove, number>>>(() => ({
    tartaric: changes.tartaric!.value ?? 0,
    'potassium-bicarbonate': changes['potassium-bicarbonate']!.value ?? 0,
    water: changes.water!.value ?? 0,
    malolactic: later.malolactic,
    cold: later.cold
  }))
  function setSize(move: AcidMove, size: number) {
    if (move === 'malolactic' || move === 'cold') later[move] = size
    else changes[move]!.text = size > 0 ? String(size) : ''
  }

  const prediction = computed<Try | undefined>(() => {
    const given = readings.value
    const p = given && withinLimits(() => predictAcids(given, tried.value))
    const brixAfter = brix.value === undefined ? undefined : mixed.value?.brix
    return p && { ...p, before: { ...p.before, brix: brix.value }, after: { ...p.after, brix: brixAfter } }
  })

  /** Sugar and litres of the must with what is tried in it; its volume goes by a usual sugar where none was measured. */
  const mixed = computed(() =>
    withinLimits(() => mixedMust(brix.value ?? USUAL_BRIX, changes.sucrose!.value ?? 0, (changes.water!.value ?? 0) / 1000))
  )
  const volumes = computed(() => {
    const before = fields.volume.value
    return before === undefined || !mixed.value ? undefined : { before, after: before * mixed.value.litresPerLitre }
  })

  /** Where it ends after what is planned, from where the arrows have taken it. */
  const end = computed(() => {
    const given = readings.value
    if (!given || (!plan.malolactic && !plan.cold)) return undefined
    return withinLimits(() => {
      const { composition } = applyChanges(fitAcids(given).composition, tried.value)
      const done = { ...course.value, malolactic: plan.malolactic && later.malolactic === 0, cold: plan.cold && later.cold === 0 }
      const { ph, taGPerL } = solveEquilibrium(runCourse(composition, done))
      return { ph, ta: taGPerL }
    })
  })

  /** Something is tried: the must would not stay where it is. */
  const moved = computed(() => Object.values(sizes.value).some((size) => size > 0) || (changes.sucrose!.value ?? 0) > 0)

  const request = computed<TargetRequest | undefined>(
    () =>
      readings.value && {
        must: { ...readings.value, ...(isMust.value && brix.value !== undefined && brix.value >= 5 && { brix: Math.min(40, brix.value) }) },
        style: style.value,
        ...plan,
        available: Object.fromEntries(has.value.map((m) => [m, true as const])),
        volumeL: fields.volume.value ?? 1
      }
  )
  const canFind = computed(
    () => request.value !== undefined && fields.volume.value !== undefined && (!isMust.value || request.value.must.brix !== undefined)
  )
  /** What the finder would say, without its bands: the words beside the map and the proposal come from one answer. */
  const advice = computed(() => (canFind.value ? withinLimits(() => findTargets({ ...request.value!, withBands: false })) : undefined))

  const finding = ref(false)
  /** Looks for the smallest set, in a worker, and puts it into the fields to be tried and changed. The last question asked counts. */
  async function find(): Promise<void> {
    const asked = request.value
    if (!canFind.value || !asked) return
    if (finding.value) reckoner.stop()
    finding.value = true
    const exact = await reckoner
      .call((r) => r.findTargets(JSON.parse(JSON.stringify(asked)) as TargetRequest))
      .catch(() => undefined)
    finding.value = false
    if (!exact || fields.volume.value === undefined) return
    found.value = { ...exact, additions: exact.additions.map((a) => asTyped(a, fields.volume.value!)) }
    for (const [material, field] of Object.entries(changes)) {
      const proposed = found.value.additions.find((a) => a.material === material)?.perLitre
      field.text = proposed === undefined ? '' : material === 'water' ? (proposed * 1000).toFixed(0) : String(proposed)
    }
  }

  /** What the fields ask for in this volume, its first three quarters, and a field for what really went in. */
  const planned = computed<Planned[]>(() =>
    (Object.keys(changes) as Material[]).flatMap((material): Planned[] => {
      const perLitre = changes[material]!.value
      if (!perLitre || fields.volume.value === undefined) return []
      const total = (perLitre * fields.volume.value) / (material === 'water' ? 1000 : 1)
      // A first stage that is in and measured is finished now: all of the small rest.
      const number = lot.value?.staged.has(materialKey(material)) ? (2 as const) : (1 as const)
      const unit = material === 'water' ? ('L' as const) : ('g' as const)
      return [
        {
          material,
          unit,
          total,
          number,
          stage: Number(weighed(number === 2 ? total : total * FIRST_STAGE, unit)),
          field: actuals.get(material)!
        }
      ]
    })
  )
  const amount = (a: { total: number, unit: 'g' | 'L' }) => (a.unit === 'L' ? f.words(f.volume(a.total)) : f.words(f.powder(a.total)))
  /** A first stage is in and measured: now the rest. */
  const finishing = computed(() => planned.value.length > 0 && planned.value.every((p) => p.number === 2))
  const takePlan = () =>
    planned.value.forEach((p) => {
      p.field.text = weighed(p.stage, p.unit)
    })

  return {
    fields,
    changes,
    style,
    plan,
    later,
    sizes,
    setSize,
    has,
    found,
    readings,
    willBe,
    end,
    advice,
    prediction,
    volumes,
    moved,
    canFind,
    find,
    finding,
    planned,
    finishing,
    amount,
    takePlan
  }
}
