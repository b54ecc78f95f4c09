import { counted } from '~/wording/count'
import { firstSulphiteWorking } from '~/wording/workings'
import { SULPHITE_AIM, sayAim } from '~/wording/sulphite'
import {
  type FruitHealth,
  type SulphiteSalt,
  type SulphiteMethod,
  MOLECULAR_TARGET,
  SO2_SHARE,
  TOTAL_LIMIT,
  TYPICAL_BOUND_SHARE,
  freeSo2For,
  methodAdvice,
  stockSolutionMl,
  sulphiteDose,
  sulphurousPka,
  tabletsFor
} from '~~/core/sulphite'
import { type LotView, isMust, molecularKept, usedPh } from '~~/core/ledger'
import { SULPHITE_AIMS, type SulphiteAim } from '~~/core/findings'
import { MATERIALS } from '~~/core/materials'
import { MOST_AT_ONCE, doseFor, firstDoseOf, isKept } from '~~/core/stages'
import { inSpoons } from '~~/core/units'

/** Strength of the stock solution that is proposed: 10 g made up to 100 mL. */
const STOCK_G_PER_L = MATERIALS['potassium-metabisulphite'].stockGPerL!
const OF_MUST: ReadonlySet<string> = new Set(['below-scale', 'near-total-limit', 'over-total-limit', 'ph-too-high'])
const METHODS: readonly SulphiteMethod[] = ['by-ph', 'tablets', 'double', 'minimal', 'none']

/**
 * The sulphite bench: fields filled from the lot, the dose that follows, and its working. Of a wine it is the dose that the round, a
 * racking and every task would give for the same aim.
 * @param asked the aim that the address names
 */
export function useSulphiteBench(lot: Ref<LotView | undefined>, asked: () => unknown = () => undefined) {
  const settings = useSettingsStore()
  const f = useFormat()
  const fields = {
    ph: useQuantityField({ kind: 'plain', unit: '', required: true, quantity: () => 'ph' }),
    volume: useVolumeField(),
    free: useQuantityField({
      kind: 'plain',
      unit: '',
      text: '0',
      limits: { min: 0, max: 300, words: 'Enter between 0 and 300 mg/L.' }
    }),
    bound: useQuantityField({
      kind: 'plain',
      unit: '',
      text: String(Math.round(TYPICAL_BOUND_SHARE * 100)),
      limits: { min: 0, max: 80, words: 'Enter between 0 and 80 %.' }
    }),
    tablet: useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.2, max: 2, words: 'Enter between 0.2 and 2 g.' } }),
    actual: useQuantityField({
      kind: 'plain',
      unit: '',
      required: true,
      limits: { min: 0.01, max: 10_000, words: 'Enter an amount above zero.' }
    })
  }
  /** Its value now, not when it was read. */
  const freeNow = computed(() => lot.value?.freeSo2)
  /** Bacteria at work, or wanted, want no sulphite. */
  const malolactic = computed(() => (lot.value && !isMust(lot.value) ? lot.value.malolactic : undefined))
  const salt = ref<SulphiteSalt>(settings.values.salt)
  const targetMolecular = ref<number>(MOLECULAR_TARGET.white)
  watch(salt, (s) => settings.change({ salt: s }))

  watch(
    () => lot.value?.id,
    () => {
      const l = lot.value
      // What was weighed for one wine is not logged to another.
      fields.actual.clear()
      if (!l) return
      targetMolecular.value = isMust(l) ? MOLECULAR_TARGET[l.style] : molecularKept(l)
      fields.ph.fill(l.ph ? l.ph.value.toFixed(2) : '')
      fields.volume.fill(f.typedVolume(l.volume.value))
      fields.free.fill(freeNow.value ? freeNow.value.value.toFixed(0) : '0')
      fields.bound.fill(String(Math.round(l.boundShare * 100)))
    },
    { immediate: true }
  )

  const freeHint = computed(() =>
    freeNow.value
      ? `${freeNow.value.origin}${freeNow.value.origin === 'estimated' ? ', so measure if you can' : ''}`
      : 'leave empty if none went in yet'
  )

  /** The other pKa, of this wine's alcohol and temperature, when the person asks for it; and what it changes. */
  const byWine = ref(false)
  const ofWine = computed(() => ({ abv: Math.min(18, lot.value?.abv?.value ?? 12), celsius: lot.value?.temperature?.value ?? 18 }))
  const otherPka = computed(() => {
    const ph = fields.ph.value
    if (ph === undefined) return undefined
    return withinLimits(() => {
      const pka = sulphurousPka(ofWine.value.abv, ofWine.value.celsius)
      return { ...ofWine.value, pka, freeBy: freeSo2For(targetMolecular.value, ph, pka), freeUsual: freeSo2For(targetMolecular.value, ph) }
    })
  })

  /** A must gets its first sulphite by the health of its fruit, as on crush day. */
  const must = computed(() => (lot.value && isMust(lot.value) ? lot.value : undefined))
  const health = ref<FruitHealth>('sound')
  const first = computed(() => {
    const { ph, volume } = fields
    if (!must.value || volume.value === undefined || !ph.ok) return undefined
    const typed = { volumeL: volume.value, ...(ph.value !== undefined && { ph: ph.value }) }
    return withinLimits(() => firstDoseOf(must.value!, health.value, salt.value, typed))
  })
  /** What is added to a must, with what is to be said of that amount: no target for a wine counts here. */
  const doseOfMust = computed(() => {
    if (!must.value || !first.value) return undefined
    const found = withinLimits(() =>
      sulphiteDose({
        ph: fields.ph.value ?? usedPh(must.value!).value,
        volumeL: fields.volume.value!,
        targetFreeMgPerL: first.value!.toAddMgPerL,
        salt: salt.value,
        scaleStepG: settings.values.scaleStepG,
        totalMgPerL: must.value!.totalSo2?.value ?? 0,
        limitTotalMgPerL: TOTAL_LIMIT[must.value!.style]
      })
    )
    return found && { ...found, findings: found.findings.filter((x) => OF_MUST.has(x.code)) }
  })

  /** A wine is dosed for an aim; what is no lot, for a level alone. */
  const wine = computed(() => (lot.value && !isMust(lot.value) && !byWine.value ? lot.value : undefined))
  const aim = computed<SulphiteAim>(() => {
    const named = asked()
    return SULPHITE_AIMS.find((a) => a === named) ?? (wine.value && isKept(wine.value) ? 'next-round' : 'level')
  })
  const given = computed(() => {
    const { ph, volume, free, bound } = fields
    const [phNow, volumeL] = [ph.value, volume.value]
    if (phNow === undefined || volumeL === undefined || !free.ok || !bound.ok) return undefined
    const boundShare = (bound.value ?? 0) / 100
    return { ph: phNow, volumeL, freeMgPerL: free.value ?? 0, boundShare, molecular: targetMolecular.value }
  })
  const doseOf = (is: SulphiteAim) =>
    wine.value && given.value && withinLimits(() => doseFor(wine.value!, is, salt.value, given.value))
  /** The same wine for each aim, side by side. */
  const aims = computed(() => SULPHITE_AIMS.map((is) => ({ aim: is, dose: doseOf(is) })))
  const ofLot = computed(() => doseOf(aim.value))

  const dose = computed(() => {
    const typed = given.value
    if (must.value) return doseOfMust.value
    if (!typed) return undefined
    const { molecular, ...levels } = typed
    const found = withinLimits(() =>
      sulphiteDose({
        ...levels,
        ...(ofLot.value ? { targetFreeMgPerL: ofLot.value.aimMgPerL } : { targetMolecularMgPerL: molecular }),
        salt: salt.value,
        scaleStepG: settings.values.scaleStepG,
        ...(byWine.value && ofWine.value),
        ...(lot.value && { totalMgPerL: lot.value.totalSo2?.value ?? 0, limitTotalMgPerL: TOTAL_LIMIT[lot.value.style] })
      })
    )
    if (!found || !ofLot.value) return found
    // Where its limit leaves room for less, that is said in its place.
    const findings = found.findings.filter((x) => x.code !== 'over-total-limit' || !ofLot.value!.cappedByLimit)
    return { ...found, addMgPerL: ofLot.value.addMgPerL, grams: ofLot.value.grams, findings }
  })
  /** Only the first part of what it comes to. */
  const inParts = computed(() => ofLot.value?.inParts === true)
  const usesStock = computed(() => dose.value?.findings.some((x) => x.code === 'below-scale') ?? false)
  const stockMl = computed(() => dose.value && stockSolutionMl(dose.value.grams, STOCK_G_PER_L))
  const spoons = computed(() =>
    dose.value && dose.value.grams <= 200
      ? inSpoons(dose.value.grams, settings.values.spoons[salt.value] ?? MATERIALS[salt.value].spoonG!)
      : undefined
  )
  const planned = computed(() => dose.value && (usesStock.value ? stockMl.value : dose.value.grams))

  const working = computed(() => {
    const d = dose.value
    if (!d) return []
    if (must.value && first.value) {
      const asTyped = { ...must.value, volume: { ...must.value.volume, value: fields.volume.value! } }
      return firstSulphiteWorking(asTyped, first.value, health.value, salt.value, f.words(f.powder(d.grams)))
    }
    const ph = fields.ph.value!.toFixed(2)
    const litres = fields.volume.value!
    const free = (fields.free.value ?? 0).toFixed(0)
    const share = (fields.bound.value ?? 0) / 100
    const levelMgPerL = ofLot.value?.levelMgPerL ?? d.targetFreeMgPerL
    const formula = `${targetMolecular.value} × (1 + 10^(${ph} − ${d.pka.toFixed(2)}))`
    return [
      { what: 'Level', formula, result: `${levelMgPerL.toFixed(1)} mg/L` },
      ...(ofLot.value && aim.value !== 'level'
        ? [{ what: SULPHITE_AIM[aim.value].label, formula: sayAim(aim.value, levelMgPerL, d.targetFreeMgPerL),
            result: `${d.targetFreeMgPerL.toFixed(1)} mg/L` }]
        : []),
      {
        what: 'To add',
        formula: `(${d.targetFreeMgPerL.toFixed(1)} − ${free}) ÷ (1 − ${share.toFixed(2)})`,
        result: `${(ofLot.value?.inParts ? (d.targetFreeMgPerL - (fields.free.value ?? 0)) / (1 - share) : d.addMgPerL).toFixed(1)} mg/L`
      },
      ...(ofLot.value?.inParts
        ? [{ what: 'First part', formula: `at most ${MOST_AT_ONCE} mg/L at once`, result: `${d.addMgPerL.toFixed(1)} mg/L` }] : []),
      {
        what: 'Salt',
        formula: `${d.addMgPerL.toFixed(1)} mg/L × ${Number(litres.toPrecision(4))} L ÷ 1000 ÷ ${SO2_SHARE[salt.value].toFixed(3)}`,
        result: `${d.grams.toFixed(2)} g`
      }
    ]
  })

  const tablets = computed(() =>
    dose.value && fields.tablet.value !== undefined && fields.volume.value !== undefined
      ? tabletsFor(Math.min(300, dose.value.addMgPerL), fields.volume.value, { weightG: fields.tablet.value, salt: salt.value })
      : undefined
  )
  const standsNow = computed(() =>
    lot.value && {
      freeMgPerL: fields.free.value ?? 0,
      totalMgPerL: lot.value.totalSo2?.value ?? 0,
      boundShare: Math.min(0.8, (fields.bound.value ?? 0) / 100),
      limitMgPerL: TOTAL_LIMIT[lot.value.style]
    }
  )
  const methods = computed(() =>
    fields.ph.value === undefined
      ? []
      : METHODS.map((s) => methodAdvice(s, fields.ph.value!, targetMolecular.value, undefined, standsNow.value))
  )
  const boundHint = computed(() =>
    lot.value?.doses.length
      ? `learned from ${counted(lot.value.doses.length, 'dose')} of this lot; a third is usual`
      : 'a third is usual; none for a cautious first dose'
  )

  const touchAll = () => [fields.ph, fields.volume, fields.free, fields.bound].forEach((field) => field.touch())
  const takePlan = () => {
    if (planned.value !== undefined) fields.actual.text = usesStock.value ? planned.value.toFixed(1) : f.typedPowder(planned.value)
  }
  return {
    must,
    health,
    malolactic,
    byWine,
    otherPka,
    STOCK_G_PER_L,
    fields,
    salt,
    targetMolecular,
    freeHint,
    aim,
    aims,
    ofLot,
    dose,
    usesStock,
    inParts,
    stockMl,
    spoons,
    tablets,
    methods,
    boundHint,
    planned,
    working,
    touchAll,
    takePlan
  }
}
