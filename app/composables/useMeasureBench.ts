import { TA_AS, fitAcids, standardiseTitrant, titrate } from '~~/core/acids'
import { reading, titration as titrationDraft } from '~~/core/drafts'
import { correctHydrometer, potentialAlcohol, sugarScales } from '~~/core/hydrometry'
import { type Draft, type Fact, type LotView, type Style, isFermenting, isMust } from '~~/core/ledger'
import { MEASURED, type Measured, isSyrup, judgeMust, measuredBy } from '~~/core/stages'
import { type QuantityField, useQuantityField } from '~/composables/useQuantityField'
import { sayInstrumentDoubt } from '~/wording/instruments'
import { useNow } from '~/composables/useNow'
import { sugarQuantity, useSugarField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** What is read of a must: sulphite, malic acid and what is left of sugar are questions of a wine. */
const OF_MUST: ReadonlySet<Measured> = new Set(['sg', 'ph', 'ta', 'temperature'])
/** A correction by temperature larger than this is better waited for, SG. */
const WORTH_WAITING = 0.0025

/** The measuring bench: what was read of one sample, what it means, and the entries that it makes. */
/** @param wanted what the page was opened for */
export function useMeasureBench(lot: Ref<LotView | undefined>, wanted: () => string | undefined = () => undefined) {
  const cellar = useCellarStore()
  const settings = useSettingsStore()
  const now = useNow()
  const plain = (text: string, min: number, max: number, words: string) =>
    useQuantityField({ kind: 'plain', unit: '', text, limits: { min, max, words } })

  const last = settings.values.titration
  const fields = {
    sugar: useSugarField(settings.values.sugar, { concentrate: () => isSyrup(lot.value) }),
    sampleC: useQuantityField({
      kind: 'temperature',
      unit: settings.values.temperature,
      units: ['°C', '°F'],
      quantity: () => 'temperature'
    }),
    ph: useQuantityField({ kind: 'plain', unit: '', quantity: () => 'ph' }),
    ta: useQuantityField({ kind: 'concentration', unit: 'g/L', units: ['g/L', '%'], quantity: () => 'ta' }),
    freeSo2: useQuantityField({ kind: 'plain', unit: '', quantity: () => 'freeSo2' }),
    malic: useQuantityField({ kind: 'plain', unit: '', quantity: () => 'malic' }),
    sugarLeft: useQuantityField({ kind: 'plain', unit: '', quantity: () => 'sugar' }),
    mustC: useQuantityField({ kind: 'temperature', unit: settings.values.temperature, units: ['°C', '°F'], quantity: () => 'temperature' }),
    sampleMl: plain(String(last.sampleMl), 0.5, 250, 'Enter between 0.5 and 250 mL.'),
    titrantMl: plain('', 0, 200, 'Enter between 0 and 200 mL.'),
    normality: plain(String(last.normality), 0.005, 2, 'Enter between 0.005 and 2 N.'),
    stepMl: plain(String(last.stepMl), 0.001, 5, 'Enter between 0.001 and 5 mL.'),
    phthalate: plain('', 0.01, 10, 'Enter between 0.01 and 10 g.'),
    phthalateMl: plain('', 0.1, 200, 'Between 0.1 and 200 mL.')
  }
  const FIELD_OF: Record<Measured, () => QuantityField> = {
    sg: () => fields.sugar,
    ph: () => fields.ph,
    ta: () => (byTitration.value ? fields.titrantMl : fields.ta),
    temperature: () => fields.mustC,
    freeSo2: () => fields.freeSo2,
    malic: () => fields.malic,
    sugar: () => fields.sugarLeft
  }
  const calibrationC = ref<20 | 15.56>(20)
  const byTitration = ref(false)
  const style = ref<Style>(lot.value?.style ?? 'red')
  const at = ref<string>()
  const degassed = ref(false)
  const sugarWith = ref('')
  const phWith = ref('')
  const instrumentsOf = (...kinds: string[]) => [...cellar.state.instruments.values()].filter((i) => kinds.includes(i.kind))
  const sugarInstruments = computed(() => instrumentsOf('hydrometer', 'refractometer'))
  const phInstruments = computed(() => instrumentsOf('ph-meter'))
  watch(
    [sugarInstruments, phInstruments],
    () => {
      sugarWith.value ||= sugarInstruments.value[0]?.id ?? ''
      phWith.value ||= phInstruments.value[0]?.id ?? ''
    },
    { immediate: true }
  )
  watch(
    () => lot.value?.id,
    () => {
      if (lot.value) style.value = lot.value.style
    }
  )
  /** A refractometer is misled by alcohol, not by the sample's temperature; a person's own hydrometer says where it reads true. */
  const sugarInstrument = computed(() => cellar.state.instruments.get(sugarWith.value))
  const byRefractometer = computed(() => sugarInstrument.value?.kind === 'refractometer')
  watch(
    sugarInstrument,
    (is) => {
      if (is?.calibrationC !== undefined) calibrationC.value = is.calibrationC < 18 ? 15.56 : 20
    },
    { immediate: true }
  )

  const must = computed(() => !lot.value || isMust(lot.value))
  const fermenting = computed(() => lot.value !== undefined && isFermenting(lot.value))
  const typedScale = computed(() => (fields.sugar.parsed.ok ? sugarQuantity(fields.sugar.parsed.unit) : undefined))
  const scales = computed(() => {
    const [value, scale] = [fields.sugar.value, typedScale.value]
    if (value === undefined || !scale) return undefined
    const sample = fields.sampleC.value
    return withinLimits(() =>
      sample === undefined || byRefractometer.value
        ? sugarScales(value, scale)
        : correctHydrometer(value, scale, Math.min(60, Math.max(0, sample)), calibrationC.value)
    )
  })
  /** What the temperature takes from or adds to a hydrometer, once that is more than it can be trusted for. */
  const corrected = computed(() => {
    const [value, scale] = [fields.sugar.value, typedScale.value]
    if (byRefractometer.value || fields.sampleC.value === undefined || value === undefined || !scale || !scales.value) return undefined
    const by = scales.value.sg - (withinLimits(() => sugarScales(value, scale).sg) ?? scales.value.sg)
    return Math.abs(by) > WORTH_WAITING ? by : undefined
  })
  const titration = computed(() => {
    const { sampleMl, titrantMl, normality, stepMl } = fields
    if (!byTitration.value || sampleMl.value === undefined || titrantMl.value === undefined || normality.value === undefined)
      return undefined
    return withinLimits(() => titrate(sampleMl.value!, titrantMl.value!, normality.value!, stepMl.value ?? 0.1))
  })
  const taGPerL = computed(() => (byTitration.value ? titration.value?.taGPerL : fields.ta.value))
  const trueNormality = computed(() =>
    fields.phthalate.value !== undefined && fields.phthalateMl.value !== undefined
      ? withinLimits(() => standardiseTitrant(fields.phthalate.value!, fields.phthalateMl.value!))
      : undefined
  )
  const judgements = computed(() => {
    if (!must.value) return []
    const found = scales.value ? [judgeMust('brix', scales.value.brix, style.value)] : []
    if (lot.value?.stream === 'kit') return found
    if (fields.ph.value !== undefined) found.push(judgeMust('ph', fields.ph.value, style.value))
    if (taGPerL.value !== undefined) found.push(judgeMust('ta', taGPerL.value, style.value))
    return found
  })
  /** How far the instruments in hand can be trusted: never checked, long ago, or known to be off. */
  const doubts = computed(() =>
    [fields.sugar.value === undefined ? '' : sugarWith.value, fields.ph.value === undefined ? '' : phWith.value].flatMap((id) => {
      const instrument = cellar.state.instruments.get(id)
      return instrument ? (sayInstrumentDoubt(instrument, now.value) ?? []) : []
    })
  )
  /** A pH and a TA that no must or wine has together: one of the two is misread. */
  const impossible = computed(() => {
    const [ph, ta] = [fields.ph.value, taGPerL.value]
    if (ph === undefined || ta === undefined || ta < 2) return undefined
    return withinLimits(() => fitAcids({ ph, taGPerL: ta }).findings.find((x) => x.code.endsWith('implausible')))
  })
  const potential = computed(() =>
    must.value && scales.value && scales.value.brix > 0 ? withinLimits(() => potentialAlcohol(scales.value!.brix).abv) : undefined
  )

  const asked = computed(() => [
    fields.sugar,
    fields.sampleC,
    fields.ph,
    ...(must.value ? [] : [fields.freeSo2, fields.malic, fields.sugarLeft]),
    fields.mustC,
    ...(byTitration.value ? [fields.sampleMl, fields.titrantMl, fields.normality, fields.stepMl] : [fields.ta])
  ])
  /** What this lot is measured by now comes first, with what the page was opened for; the others on a tap, and where one is typed. */
  const first = computed(() => {
    const usual = measuredBy(lot.value)
    const asked = MEASURED.find((what) => what === wanted() && (!must.value || OF_MUST.has(what)))
    return asked ? [asked, ...usual.filter((what) => what !== asked)] : usual
  })
  const others = computed(() => MEASURED.filter((what) => !first.value.includes(what) && (!must.value || OF_MUST.has(what))))
  const typedOther = computed(() => others.value.some((what) => !FIELD_OF[what]().empty))
  const nothing = computed(() =>
    [fields.sugar, fields.ph, fields.freeSo2, fields.malic, fields.sugarLeft, fields.mustC,
      byTitration.value ? fields.titrantMl : fields.ta].every((field) => field.empty)
  )
  const ok = computed(() => asked.value.every((field) => field.ok))
  const touchAll = () => asked.value.forEach((field) => field.touch())

  /** What was read, as entries of a lot; the titration's set-up is kept for the next time. */
  function drafts(lotId: string): Draft<Fact>[] {
    const { sugar, sampleC, ph, ta, freeSo2, malic, sugarLeft, mustC, sampleMl, titrantMl, normality, stepMl } = fields
    const common = { lotId, at: at.value, degassed: degassed.value || undefined }
    const found: Draft<Fact>[] = []
    if (sugar.value !== undefined && typedScale.value) {
      found.push(
        reading({
          ...common,
          quantity: typedScale.value,
          typed: sugar.text,
          value: sugar.value,
          instrumentId: sugarWith.value,
          ...(sampleC.value !== undefined && !byRefractometer.value && { sampleC: sampleC.value, calibrationC: calibrationC.value })
        })
      )
    }
    if (mustC.value !== undefined)
      found.push(reading({ lotId, at: at.value, quantity: 'temperature', typed: mustC.text, value: mustC.value }))
    if (ph.value !== undefined)
      found.push(reading({ ...common, quantity: 'ph', typed: ph.text, value: ph.value, instrumentId: phWith.value }))
    if (byTitration.value && titration.value) {
      const parts = { sampleMl: sampleMl.value!, titrantMl: titrantMl.value!, normality: normality.value!, stepMl: stepMl.value ?? 0.1 }
      settings.change({ titration: { sampleMl: parts.sampleMl, normality: parts.normality, stepMl: parts.stepMl } })
      found.push(titrationDraft(lotId, parts, { at: at.value, degassed: common.degassed }))
    }
    else if (ta.value !== undefined && !byTitration.value)
      found.push(reading({ ...common, quantity: 'ta', typed: ta.text, value: ta.value }))
    if (freeSo2.value !== undefined)
      found.push(reading({ lotId, at: at.value, quantity: 'freeSo2', typed: freeSo2.text, value: freeSo2.value }))
    if (malic.value !== undefined) found.push(reading({ lotId, at: at.value, quantity: 'malic', typed: malic.text, value: malic.value }))
    if (sugarLeft.value !== undefined)
      found.push(reading({ lotId, at: at.value, quantity: 'sugar', typed: sugarLeft.text, value: sugarLeft.value }))
    return found
  }
  return {
    fields,
    calibrationC,
    byTitration,
    style,
    at,
    degassed,
    sugarWith,
    phWith,
    sugarInstruments,
    phInstruments,
    byRefractometer,
    must,
    fermenting,
    scales,
    corrected,
    titration,
    taGPerL,
    trueNormality,
    judgements,
    doubts,
    impossible,
    first,
    others,
    typedOther,
    potential,
    nothing,
    ok,
    touchAll,
    drafts,
    TA_AS
  }
}
export type MeasureBench = ReturnType<typeof useMeasureBench>
