<script setup lang="ts">
import { crushSteps } from '~~/core/advice'
import { brixFromSg, potentialAlcohol } from '~~/core/hydrometry'
import { PITCH, chooseYeast, pitchPlan, starterPlan } from '~~/core/yeast'
import { toCalendar } from '~/data/calendar'
import { downloadText } from '~/data/download'
import { sayWhen } from '~/composables/useStory'
import { hoursWords, sayStep } from '~/wording/crush'
import { FIT, sayPitchFinding, sayPitchStep, sayYeastReason } from '~/wording/yeast'

/** From packet to must for one lot: which yeast, how much, and the rehydration as a run that rings at each step. */
const cellar = useCellarStore()
const route = useRoute()
const settings = useSettingsStore()
const now = useNow()
const f = useFormat()
const lot = computed(() => cellar.state.lots.get(String(route.params.id)))
const log = useStepLog(() => lot.value!)
const run = useYeastRun(() => lot.value)
const alarm = useAlarm()
const { weigh } = useWeighing()

const mustC = useQuantityField({ kind: 'temperature', unit: settings.values.temperature, units: ['°C', '°F'], required: true, limits: { min: 2, max: 40, words: 'A must lies between 2 and 40 °C.' } })
const have = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.5, max: 5000, words: 'Between 0.5 and 5000 g of yeast.' } })
const slurry = useQuantityField({ kind: 'temperature', unit: settings.values.temperature, units: ['°C', '°F'], limits: { min: 2, max: 60, words: 'Between 2 and 60 °C.' } })
const gap = computed(() => slurry.value === undefined || mustC.value === undefined ? undefined : Math.abs(slurry.value - mustC.value))
const chosen = ref<string>()
const ownName = ref('')
const withNutrient = ref(lot.value?.stream !== 'kit')
watch(() => lot.value?.id, () => {
  const l = lot.value
  mustC.text = l?.temperature ? f.temperature(l.temperature.value).text : String(settings.values.temperature === '°F' ? 68 : 20)
}, { immediate: true })
/** A run that is taken up again goes on with the temperature it was begun at. */
watch(() => run.begun.value?.plan.mustC, (begunAt) => {
  if (begunAt !== undefined) mustC.text = f.temperature(begunAt).text
}, { immediate: true })
const temperature = computed(() => mustC.value === undefined ? undefined : mustC.value)
const brix = computed(() => lot.value?.sg ? brixFromSg(lot.value.sg.value) : undefined)
const potential = computed(() => brix.value === undefined ? undefined : potentialAlcohol(brix.value).abv)
const choices = computed(() => potential.value === undefined || !lot.value ? [] : withinLimits(() => chooseYeast({
  style: lot.value!.style, potentialAbv: Math.min(20, Math.max(5, potential.value!)), temperatureC: lot.value!.style === 'red' ? { min: 20, max: 27 } : { min: 14, max: 18 }, malolacticWanted: lot.value!.style === 'red' && lot.value!.stream !== 'kit',
  ...(lot.value!.others.yan && { yanMgPerL: lot.value!.others.yan.value })
})) ?? [])
const card = computed(() => choices.value.find(c => c.card.key === chosen.value) ?? choices.value[0])
const plan = computed(() => lot.value && temperature.value !== undefined ? withinLimits(() => pitchPlan(lot.value!.volume.value, temperature.value!)) : undefined)
const pitch = computed(() => lot.value ? crushSteps(lot.value, now.value).find(s => s.code === 'pitch') : undefined)
/** What crush day still asks for before the yeast. */
const before = computed(() => lot.value ? crushSteps(lot.value, now.value).filter(s => s.code !== 'pitch' && !s.optional && s.status !== 'done' && s.status !== 'left-out' && s.status !== 'running') : [])
const store = computed(() => cellar.state.stock.get('yeast')?.packages.reduce((sum, p) => sum + p.left, 0))
/** All lots that still wait for yeast share a starter. */
const waiting = computed(() => cellar.lots.filter(l => l.stage === 'must' && l.stream !== 'kit' && l.stream !== 'test'))
const needed = computed(() => waiting.value.reduce((sum, l) => sum + l.volume.value * PITCH.gPerL, 0))
const there = computed(() => have.value ?? store.value)
const starter = computed(() => there.value !== undefined && there.value >= 0.5 && there.value < needed.value * 0.9 ? withinLimits(() => starterPlan(Math.min(500, there.value!), waiting.value.map(l => Math.max(0.5, l.volume.value)))) : undefined)
const culture = computed(() => ownName.value.trim() || card.value?.card.name || 'Yeast')
const degrees = (c: number) => f.words(f.temperature(c))
const clockTime = (at: number) => new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' }).format(at)
const yeastG = computed(() => plan.value ? Number(plan.value.yeastG.toPrecision(3)) : 0)

async function begin() {
  mustC.touch()
  if (!plan.value || temperature.value === undefined) return
  void alarm.arm()
  window.scrollTo({ top: 0 })
  const nutrientG = Number(plan.value.rehydrationNutrientG.toPrecision(3))
  await log.write([
    { type: 'operation', lotId: lot.value!.id, what: 'rehydrate', plan: { yeastG: yeastG.value, mustC: temperature.value } },
    ...(withNutrient.value ? [{ type: 'addition' as const, lotId: lot.value!.id, material: 'rehydration-nutrient', unit: 'g' as const, planned: nutrientG, actual: nutrientG, purpose: 'in the yeast’s water' }] : [])
  ], 'The run has begun')
}
/** Each step rings once, also when the page was asleep at its time. */
let rung = -1
watch([run.on, run.begun], ([on, begun]) => {
  if (!begun || on <= rung) return
  if (rung >= 0 || run.clock.value - run.steps.value[on]!.at < 3000) alarm.ring(lot.value!.name, sayPitchStep(run.steps.value[on]!, degrees(run.steps.value[on]!.celsius)))
  rung = on
}, { immediate: true })
const last = computed(() => run.on.value === run.steps.value.length - 1)
/** A kit's packet has its own weight, and its own name. */
async function pitched(grams: number) {
  const kit = lot.value!.stream === 'kit'
  if (await log.write([{ type: 'inoculation', lotId: lot.value!.id, organism: 'yeast', culture: kit ? ownName.value.trim().slice(0, 80) || 'Yeast of the kit' : culture.value.slice(0, 80), ...(!kit && { grams }) }], `Yeast is in ${lot.value!.name}`)) await navigateTo(`/crush/${lot.value!.id}`)
}
const actual = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.1, max: 100_000, words: 'Say how many grams of yeast went in.' } })
const another = ref(false)
async function pitchedOther() {
  actual.touch()
  if (actual.value !== undefined) await pitched(actual.value)
}
async function takeCalendar() {
  const tasks = run.steps.value.map((s, i) => ({ id: `${lot.value!.id}-${run.begun.value!.at}-${i}`, at: new Date(s.at).toISOString(), title: `${lot.value!.name}: ${sayPitchStep(s, degrees(s.celsius))}` }))
  downloadText(await toCalendar('Presk: yeast', tasks, new Date()), 'presk-yeast.ics', 'text/calendar')
}
useHead({ title: () => `Yeast for ${lot.value?.name ?? 'a lot'} · Presk` })
</script>

<template>
  <div v-if="!lot" class="grid gap-3"><h1>This lot is not in this cellar</h1><p><NuxtLink to="/crush" class="textlink">Crush day</NuxtLink></p></div>
  <div v-else class="yeast">
    <header><p class="soft"><NuxtLink :to="`/crush/${lot.id}`" class="textlink">{{ lot.name }}, crush day</NuxtLink></p></header>
    <template v-if="run.begun.value && run.plan.value">
      <section class="run" aria-live="polite">
        <p class="soft">{{ culture }}, {{ f.words(f.powder(run.begun.value.plan.yeastG)) }}, begun at {{ clockTime(run.begun.value.at) }}</p>
        <h1>{{ sayPitchStep(run.steps.value[run.on.value]!, degrees(run.steps.value[run.on.value]!.celsius)) }}</h1>
        <p v-if="!last" class="count"><span class="figure" role="timer" :aria-label="`${Math.ceil(run.left.value / 60000)} minutes left`">{{ minutesAndSeconds(run.left.value) }}</span> <span class="soft">until: {{ sayPitchStep(run.next.value!, degrees(run.next.value!.celsius)) }}</span></p>
      </section>
      <ol class="line">
        <li v-for="(s, i) in run.steps.value" :key="i" :class="{ done: i < run.on.value, on: i === run.on.value }"><span class="figure">{{ clockTime(s.at) }}</span><span>{{ sayPitchStep(s, degrees(s.celsius)) }}</span></li>
      </ol>
      <FindingNote v-if="run.on.value < 2" tone="stop">Check the water with a thermometer: over 43 °C it kills the yeast.</FindingNote>
      <div v-if="last" class="gap">
        <QuantityField label="The yeast measures" :field="slurry" />
        <QuantityField label="The must measures" :field="mustC" />
        <FindingNote v-if="gap !== undefined && gap > 6" tone="stop">{{ f.temperatureUnit.value === '°F' ? Math.round(gap * 1.8) : gap.toFixed(0) }} degrees apart: more than {{ f.temperatureUnit.value === '°F' ? 11 : 6 }} shocks the yeast. Stir in another portion of must, as much as there is, and wait ten minutes.</FindingNote>
        <p v-else-if="gap !== undefined" class="soft">Near enough: pitch.</p>
      </div>
      <div class="acts">
        <UButton size="xl" :variant="last ? 'solid' : 'outline'" :loading="log.saving.value" @click="pitched(run.begun.value.plan.yeastG)">{{ f.words(f.powder(run.begun.value.plan.yeastG)) }} are in the must</UButton>
        <button v-if="!another" type="button" class="textlink" @click="another = true">Another amount</button>
        <button type="button" class="textlink" @click="takeCalendar">Calendar file with alarms</button>
      </div>
      <form v-if="another" novalidate class="acts" @submit.prevent="pitchedOther"><QuantityField label="Yeast that went in" :field="actual" unit-label="g" /><UButton type="submit" size="xl" variant="outline">Log that</UButton></form>
      <p class="soft small">It rings here at each step{{ alarm.allowed.value === 'granted' ? ', and as a notification' : alarm.allowed.value === 'denied' ? '; notifications are switched off for this page' : '' }}. A locked phone may silence a web page: the calendar file rings on its own. Closing this page loses nothing; the run is in the ledger.</p>
      <CautionNote code="carbonDioxide" />
    </template>
    <template v-else-if="lot.inoculatedAt"><h1>The yeast is in</h1><p>Since {{ sayWhen(lot.inoculatedAt, now) }}.</p></template>
    <template v-else>
      <h1>Yeast for {{ lot.name }}</h1>
      <FindingNote v-if="pitch?.status === 'waiting'" tone="stop">Sulphite went in less than 12 hours ago: wait {{ hoursWords((Date.parse(pitch.opensAt!) - Date.parse(now)) / 3_600_000) }} more, until {{ sayWhen(pitch.opensAt!, now) }}.</FindingNote>
      <FindingNote v-if="before.length">Not done yet: {{ before.map(s => sayStep(s).title.toLowerCase()).join(', ') }}.</FindingNote>
      <FindingNote v-if="pitch?.over" tone="stop">More than a day since the sulphite. Pitch soon.</FindingNote>
      <div class="two">
        <section class="grid gap-4 content-start">
          <div v-if="plan" class="amounts">
            <FigureNumber label="Yeast" :shown="f.powder(plan.yeastG)" origin="worked out" size="hero" />
            <div class="grid gap-3">
              <FigureNumber label="Rehydration nutrient" :shown="f.powder(plan.rehydrationNutrientG)" origin="worked out"><p v-if="weigh('complex-nutrient', plan.rehydrationNutrientG).spoons" class="soft small">about {{ weigh('complex-nutrient', plan.rehydrationNutrientG).spoons!.words }}</p></FigureNumber>
              <FigureNumber label="Water at 38 °C" :shown="{ text: plan.waterMl.toFixed(0), unit: 'mL' }" origin="worked out" />
            </div>
          </div>
          <QuantityField label="Must temperature" :field="mustC" :hint="lot.temperature ? `read ${sayWhen(lot.temperature.at, now)}` : 'measure it now'" />
          <FindingNote v-for="x in plan?.findings ?? []" :key="x.code">{{ sayPitchFinding(x) }}</FindingNote>
          <label class="tick"><input v-model="withNutrient" type="checkbox"> with rehydration nutrient in the water</label>
          <div class="acts"><UButton size="xl" :loading="log.saving.value" @click="begin">The water is warm: begin</UButton><button v-if="plan" type="button" class="textlink" @click="pitched(yeastG)">{{ lot.stream === 'kit' ? 'The kit’s yeast was sprinkled on' : `Sprinkled dry instead: ${f.words(f.powder(yeastG))}` }}</button></div>
          <p v-if="plan" class="soft">{{ plan.steps.at(-1)!.atMin }} minutes from packet to must, in {{ plan.steps.filter(s => s.what === 'add-must').length }} portions of must. It rings at each step.</p>
          <CautionNote code="hotWater" />
          <WorkingNote v-if="plan" :steps="[{ what: 'Yeast', formula: `${PITCH.gPerL} g/L × ${Number(lot.volume.value.toPrecision(4))} L`, result: f.words(f.powder(plan.yeastG)) }, { what: 'Water', formula: `ten times its weight`, result: `${plan.waterMl.toFixed(0)} mL` }, { what: 'Nutrient', formula: `1.25 × the yeast`, result: f.words(f.powder(plan.rehydrationNutrientG)) }]" source="0.20 to 0.30 g/L, 35 to 40 °C, steps of at most 5 °C: common practice. The packet wins" />
          <details class="short"><summary>Yeast is short, or shared</summary>
            <div class="grid gap-3">
              <QuantityField label="Yeast there is" :field="have" unit-label="g" :hint="store !== undefined ? `${f.words(f.powder(store))} in store` : 'all packets together'" />
              <template v-if="starter">
                <p>{{ waiting.length }} lots wait for yeast and would take {{ f.words(f.powder(needed)) }}. Built up in boiled and cooled juice, fed every 12 hours, it is ready in <b>{{ starter.totalHours }} hours</b>:</p>
                <ol class="line"><li v-for="s in starter.steps" :key="s.atHours"><span class="figure">{{ s.atHours }} h</span><span>{{ s.atHours === 0 ? 'yeast into' : 'feed with' }} {{ f.words(f.volume(s.addJuiceL)) }}: {{ f.words(f.volume(s.volumeL)) }} in all</span></li></ol>
                <p>Then {{ starter.shares.map((s, i) => `${f.words(f.volume(s.starterL))} into ${waiting[i]!.name}`).join(', ') }}.</p>
              </template>
              <p v-else-if="there !== undefined" class="soft">Enough for the {{ waiting.length }} {{ waiting.length === 1 ? 'lot' : 'lots' }} that wait: {{ f.words(f.powder(needed)) }}.</p>
            </div>
          </details>
        </section>
        <section class="grid gap-3 content-start">
          <fieldset v-if="choices.length">
            <legend>Which kind<template v-if="potential !== undefined">, for {{ potential.toFixed(1) }} % vol to come</template></legend>
            <div class="kinds"><label v-for="c in choices.slice(0, 4)" :key="c.card.key" class="choice"><input v-model="chosen" type="radio" name="yeast" :value="c.card.key" :checked="c === card"><span><b>{{ c.card.name }}</b><small>{{ FIT[c.fit] }}: {{ c.reasons.map(sayYeastReason).join('; ') }}</small></span></label></div>
          </fieldset>
          <p v-else class="soft">Measure the sugar first: the choice goes by the alcohol to come.</p>
          <div class="text"><label for="yeast-own">What stands on your packet</label><input id="yeast-own" v-model="ownName" type="text" maxlength="80" autocomplete="off" :placeholder="card?.card.name"></div>
          <p><NuxtLink :to="`/bench/yeast?lot=${lot.id}`" class="textlink">All kinds, and the nutrient plan</NuxtLink></p>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.yeast { display: grid; gap: 18px; max-width: 1060px; }
.two { display: grid; grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr); gap: 24px 52px; }
.gap { display: grid; grid-template-columns: repeat(auto-fit, minmax(200px, 280px)); gap: 14px; align-items: start; }
.gap > :nth-child(3) { grid-column: 1 / -1; }
.kinds { display: grid; gap: 8px; }
.amounts { display: flex; flex-wrap: wrap; gap: 14px 44px; }
.acts { display: flex; flex-wrap: wrap; align-items: center; gap: 12px 22px; }
.acts .textlink { min-height: 44px; }
.run { display: grid; gap: 8px; }
.run h1 { font-size: clamp(1.9rem, 5vw, 3rem); max-width: 26ch; line-height: 1.12; }
.count .figure { font-size: clamp(3.6rem, 14vw, 6.4rem); line-height: 1; color: var(--skin); }
.line li { display: grid; grid-template-columns: 5rem minmax(0, 1fr); gap: 14px; border-top: 1.5px solid var(--line); padding: 9px 0; }
.line .done { color: var(--ink-soft); text-decoration: line-through; }
.line .on { font-weight: 700; background: var(--skin-wash); border-radius: 6px; padding-inline: 10px; margin-inline: -10px; }
.tick { display: inline-flex; align-items: center; gap: 10px; min-height: 44px; }
.tick input { width: 20px; height: 20px; accent-color: var(--skin); }
.short summary { cursor: pointer; color: var(--skin); font-weight: 600; min-height: 44px; display: flex; align-items: center; }
@media (max-width: 860px) { .two { grid-template-columns: minmax(0, 1fr); } }
</style>
