import { isFermenting, isMust } from '~~/core/ledger'
import { addition, fact, inoculation } from '~~/core/drafts'
import { crushSteps } from '~~/core/stages'
import { targetBand } from '~~/core/fermentation'
import { brixFromSg, potentialAlcohol } from '~~/core/hydrometry'
import { PITCH, YEASTS, chooseYeast, pitchPlan, starterPlan, yeastOf } from '~~/core/yeast'
import { toCalendar } from '~/data/calendar'
import { downloadText } from '~/data/download'
import { sayPitchStep } from '~/wording/yeast'

/** From packet to must for one lot: which yeast, how much, and the rehydration as a run that rings at each step. */
export function useYeastBench() {
  const cellar = useCellarStore()
  const route = useRoute()
  const settings = useSettingsStore()
  const now = useNow()
  const f = useFormat()
  const lot = computed(() => cellar.lotOf(String(route.params.id)))
  /** A second time, into a must whose first yeast shows nothing. */
  const again = computed(() => lot.value !== undefined && isFermenting(lot.value) && route.query.again === '1')
  const log = useStepLog(() => lot.value!)
  const run = useYeastRun(() => lot.value)
  const alarm = useAlarm()
  const { weigh } = useWeighing()
  const materials = useMaterials()

  const mustC = useQuantityField({
    kind: 'temperature',
    unit: settings.values.temperature,
    units: ['°C', '°F'],
    required: true,
    limits: { min: 2, max: 40, words: 'Enter between 2 and 40 °C.' }
  })
  const have = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.5, max: 5000, words: 'Between 0.5 and 5000 g of yeast.' } })
  const slurry = useQuantityField({
    kind: 'temperature',
    unit: settings.values.temperature,
    units: ['°C', '°F'],
    limits: { min: 2, max: 60, words: 'Between 2 and 60 °C.' }
  })
  const gap = computed(() => (slurry.value === undefined || mustC.value === undefined ? undefined : Math.abs(slurry.value - mustC.value)))
  const chosen = ref<string>()
  const ownName = ref('')
  const withNutrient = ref(lot.value?.stream !== 'kit')
  watch(
    () => lot.value?.id,
    () => {
      const l = lot.value
      mustC.fill(l?.temperature ? f.temperature(l.temperature.value).text : String(settings.values.temperature === '°F' ? 68 : 20))
    },
    { immediate: true }
  )
  /** A run that is taken up again goes on with the temperature it was begun at. */
  watch(
    () => run.begun.value?.plan.mustC,
    (begunAt) => {
      if (begunAt !== undefined) mustC.fill(f.temperature(begunAt).text)
    },
    { immediate: true }
  )
  const temperature = computed(() => (mustC.value === undefined ? undefined : mustC.value))
  const brix = computed(() => (lot.value?.sg ? Math.max(0, brixFromSg(lot.value.sg.value)) : undefined))
  const potential = computed(() => (brix.value === undefined ? undefined : potentialAlcohol(brix.value).abv))
  /** The built-in kinds, and people's own cards before them. */
  const cards = computed(() => [
    ...materials
      .of('yeast')
      .filter((m) => materials.own.value.has(m.key))
      .map(yeastOf),
    ...YEASTS
  ])
  const choices = computed(() =>
    potential.value === undefined || !lot.value
      ? []
      : (withinLimits(() =>
          chooseYeast(
            {
              style: lot.value!.style,
              potentialAbv: Math.min(20, Math.max(5, potential.value!)),
              temperatureC: targetBand(lot.value!.style),
              malolacticWanted: !['none', 'blocked'].includes(lot.value!.plan.malolactic),
              ...(lot.value!.others.yan && { yanMgPerL: lot.value!.others.yan.value })
            },
            cards.value
          )
        ) ?? [])
  )
  const picked = computed({
    get: () => card.value?.card.key ?? '',
    set: (key: string) => {
      chosen.value = key
    }
  })
  const card = computed(() => choices.value.find((c) => c.card.key === chosen.value) ?? choices.value[0])
  const plan = computed(() =>
    lot.value && temperature.value !== undefined ? withinLimits(() => pitchPlan(lot.value!.volume.value, temperature.value!)) : undefined
  )
  const pitch = computed(() =>
    lot.value && !again.value ? crushSteps(lot.value, now.value).find((s) => s.code === 'pitch') : undefined)
  /** What crush day still asks for before the yeast. */
  const before = computed(() =>
    lot.value && !again.value
      ? crushSteps(lot.value, now.value).filter(
          (s) => s.code !== 'pitch' && !s.optional && s.status !== 'done' && s.status !== 'left-out' && s.status !== 'running'
        )
      : []
  )
  const store = computed(() => cellar.state.stock.get('yeast')?.packages.reduce((sum, p) => sum + p.left, 0))
  /** All lots that still wait for yeast share a starter. */
  const waiting = computed(() => cellar.lots.filter((l) => isMust(l) && l.stream !== 'kit' && l.stream !== 'test'))
  const needed = computed(() => waiting.value.reduce((sum, l) => sum + l.volume.value * PITCH.gPerL, 0))
  const there = computed(() => have.value ?? store.value)
  const starter = computed(() =>
    there.value !== undefined && there.value >= 0.5 && there.value < needed.value * 0.9
      ? withinLimits(() =>
          starterPlan(
            Math.min(500, there.value!),
            waiting.value.map((l) => Math.max(0.5, l.volume.value))
          )
        )
      : undefined
  )
  const culture = computed(() => ownName.value.trim() || card.value?.card.name || 'Yeast')
  const degrees = (c: number) => f.words(f.temperature(c))
  const yeastG = computed(() => (plan.value ? Number(plan.value.yeastG.toPrecision(3)) : 0))

  async function begin() {
    mustC.touch()
    if (!plan.value || temperature.value === undefined) return
    void alarm.arm()
    window.scrollTo({ top: 0 })
    const nutrientG = Number(plan.value.rehydrationNutrientG.toPrecision(3))
    await log.write(
      [
        fact('operation', {
          lotId: lot.value!.id,
          what: 'rehydrate',
          note: undefined,
          plan: { yeastG: yeastG.value, mustC: temperature.value }
        }),
        ...(withNutrient.value
          ? [
              addition({
                lotId: lot.value!.id,
                material: 'rehydration-nutrient',
                planned: nutrientG,
                actual: nutrientG,
                purpose: 'in the yeast’s water'
              })
            ]
          : [])
      ],
      'Yeast run started'
    )
  }
  /** Each step rings once, also when the page was asleep at its time. */
  let rung = -1
  watch(
    [run.on, run.begun],
    ([on, begun]) => {
      if (!begun || on <= rung) return
      if (rung >= 0 || run.clock.value - run.steps.value[on]!.at < 3000)
        alarm.ring(lot.value!.name, sayPitchStep(run.steps.value[on]!, degrees(run.steps.value[on]!.celsius)))
      rung = on
    },
    { immediate: true }
  )
  const last = computed(() => run.on.value === run.steps.value.length - 1)
  /** A kit's packet has its own weight, and its own name. */
  async function pitched(grams: number) {
    const kit = lot.value!.stream === 'kit'
    const mine = card.value && materials.own.value.has(card.value.card.key) && !ownName.value.trim() ? card.value.card.key : undefined
    const draft = inoculation({
      lotId: lot.value!.id,
      organism: 'yeast',
      culture: kit ? ownName.value.trim() || 'Yeast of the kit' : culture.value,
      cardKey: kit ? undefined : mine,
      grams: kit ? undefined : grams
    })
    const to = `/${again.value ? 'lots' : 'crush'}/${lot.value!.id}`
    if (await log.write([draft], `Yeast added to ${lot.value!.name}`)) await navigateTo(to)
  }
  const actual = useQuantityField({
    kind: 'plain',
    unit: '',
    limits: { min: 0.1, max: 100_000, words: 'Enter how many grams of yeast went in.' }
  })
  const another = ref(false)
  async function pitchedOther() {
    actual.touch()
    if (actual.value !== undefined) await pitched(actual.value)
  }
  async function takeCalendar() {
    const tasks = run.steps.value.map((s, i) => ({
      id: `${lot.value!.id}-${run.begun.value!.at}-${i}`,
      at: new Date(s.at).toISOString(),
      title: `${lot.value!.name}: ${sayPitchStep(s, degrees(s.celsius))}`
    }))
    downloadText(await toCalendar('Presk: yeast', tasks, new Date()), 'presk-yeast.ics', 'text/calendar')
  }
  return {
    lot,
    again,
    log,
    run,
    alarm,
    weigh,
    mustC,
    have,
    slurry,
    gap,
    picked,
    ownName,
    withNutrient,
    potential,
    choices,
    card,
    plan,
    pitch,
    before,
    store,
    waiting,
    needed,
    there,
    starter,
    culture,
    degrees,
    yeastG,
    begin,
    last,
    pitched,
    actual,
    another,
    pitchedOther,
    takeCalendar
  }
}
export type YeastBench = ReturnType<typeof useYeastBench>
