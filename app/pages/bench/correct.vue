<script setup lang="ts">
import { MUST_WINDOWS } from '~~/core/advice'
import { ACIDS, END_POINT_PH } from '~~/core/acids'
import { potentialAlcohol } from '~~/core/hydrometry'
import type { Draft, Fact } from '~~/core/ledger'
import type { Material } from '~~/core/must'
import { sayWhere } from '~/wording/acid-map'
import { MUST_MATERIAL, sayAcidsFinding, sayMiss, sayWhy } from '~/wording/acids'
import { STYLE } from '~/wording/terms'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const logged = useLogged()
const f = useFormat()
const bench = useCorrectBench(lot)
const { fields, changes, prediction, has, style } = bench
const saving = ref(false)

const TRY: { material: Material, unit: string }[] = [
  { material: 'tartaric', unit: 'g/L' }, { material: 'potassium-bicarbonate', unit: 'g/L' }, { material: 'water', unit: 'mL/L' }, { material: 'sucrose', unit: 'g/L' }
]
const HAVE: Material[] = ['tartaric', 'malic', 'potassium-bicarbonate', 'water', 'sucrose']
/** Water adds its litres, a gram of sugar 0.62 mL. */
const volumes = computed(() => {
  const before = bench.fields.volume.value
  return before === undefined ? undefined : { before, after: before * (1 + (changes.water!.value ?? 0) / 1000 + (changes.sucrose!.value ?? 0) * 0.00062) }
})
const could = (brix?: number) => brix === undefined ? undefined : withinLimits(() => potentialAlcohol(brix).abv.toFixed(1))
const rows = computed(() => {
  const p = prediction.value
  if (!p) return []
  return [
    { name: 'Volume', before: volumes.value && f.volume(volumes.value.before).text, after: volumes.value && f.volume(volumes.value.after).text, unit: f.volumeUnit.value },
    { name: 'Sugar', before: p.before.brix?.toFixed(1), after: p.after.brix?.toFixed(1), unit: '°Brix' },
    { name: 'Could become', before: could(p.before.brix), after: could(p.after.brix), unit: '% vol ± 0.5' },
    { name: 'pH', before: p.before.ph.toFixed(2), after: p.after.ph.toFixed(2), unit: `± ${p.after.phUncertainty.toFixed(2)}` },
    { name: 'TA', before: p.before.taGPerL.toFixed(1), after: p.after.taGPerL.toFixed(1), unit: `g/L ± ${p.after.taUncertaintyGPerL.toFixed(1)}` },
    { name: 'Tartaric acid', before: p.before.acidsGPerL.tartaric.toFixed(1), after: p.after.acidsGPerL.tartaric.toFixed(1), unit: 'g/L' },
    { name: 'Malic acid', before: p.before.acidsGPerL.malic.toFixed(1), after: p.after.acidsGPerL.malic.toFixed(1), unit: 'g/L' },
    { name: 'Potassium', before: p.before.potassiumGPerL.toFixed(1), after: p.after.potassiumGPerL.toFixed(1), unit: 'g/L' }
  ].filter(r => r.before !== undefined)
})
const map = useAcidMap(() => bench.readings.value, () => lot.value, () => bench.sizes.value)
const here = computed(() => prediction.value && { name: lot.value?.name ?? 'this must', ph: prediction.value.before.ph, ta: prediction.value.before.taGPerL, colour: lot.value ? wineColour(lot.value) : 'var(--must-red)' })
const moved = computed(() => Object.values(bench.sizes.value).some(size => size > 0) || (changes.sucrose!.value ?? 0) > 0)
const then = computed(() => prediction.value && moved.value ? { ph: prediction.value.after.ph, ta: prediction.value.after.taGPerL } : undefined)
const myWindow = computed(() => map.windows.find(w => w.style === style.value)!)
const impossible = computed(() => prediction.value?.findings.find(x => x.code.endsWith('implausible')))
const { weigh } = useWeighing()
/** Spoons, or the stock solution where the scale is too coarse. */
const household = (material: Material, grams: number) => {
  const w = weigh(material === 'sucrose' ? 'sugar' : material, grams)
  return w.stockMl !== undefined ? `${w.stockMl.toFixed(1)} mL of a stock solution of 10 g in 100 mL` : w.spoons ? `about ${w.spoons.words}, level` : undefined
}
const finishing = computed(() => bench.planned.value.length > 0 && bench.planned.value.every(p => p.number === 2))
// Sent here from crush day: the proposal is there when the page opens.
onMounted(() => {
  if (useRoute().query.find && bench.canFind.value) bench.find()
})
const amount = (a: { total: number, unit: 'g' | 'L' }) => a.unit === 'L' ? f.words(f.volume(a.total)) : f.words(f.powder(a.total))

async function log() {
  const going = bench.planned.value.filter(p => p.field.value !== undefined && p.field.value > 0)
  bench.planned.value.forEach(p => p.field.touch())
  if (!lot.value || going.length === 0 || bench.planned.value.some(p => !p.field.ok)) return
  const finished = finishing.value
  saving.value = true
  const drafts: Draft<Fact>[] = going.map(p => ({
    type: 'addition', lotId: lot.value!.id, material: p.material === 'sucrose' ? 'sugar' : p.material, unit: p.unit, planned: Number(p.stage.toPrecision(4)), actual: p.field.value!, purpose: 'to correct the must', stage: { number: p.number, of: 2 }
  }))
  const written = await cellar.log(drafts)
  saving.value = false
  if (!written) return
  logged(finished ? 'Logged. Mix well, and taste it.' : 'Logged. Mix well, then measure again before the rest.')
  const back = useRouter().currentRoute.value.query.back === 'crush'
  await navigateTo(finished && back ? `/crush/${lot.value.id}` : `/bench/measure?lot=${lot.value.id}${back ? '&back=crush' : ''}`)
}
useHead({ title: 'Correct · Presk' })
</script>

<template>
  <BenchFrame title="Correct the must" :lot="lot" @submit="log">
    <template #answer>
      <FindingNote v-if="impossible" tone="stop">{{ sayAcidsFinding(impossible) }}</FindingNote>
      <AcidMap :here="here" :then="then" :dots="map.dots.value" :windows="map.windows" :arrows="map.arrows.value" :style="style" @size="bench.setSize" />
      <p v-if="!prediction" class="soft">Give pH and TA, and the must appears on the map with all that can be done to it.</p>
      <template v-else>
        <div class="row">
          <FigureNumber label="pH would be" :shown="{ text: prediction.after.ph.toFixed(2), unit: '' }" origin="forecast" :uncertainty="prediction.after.phUncertainty.toFixed(2)" />
          <FigureNumber label="TA would be" :shown="f.acid(prediction.after.taGPerL)" origin="forecast" :uncertainty="prediction.after.taUncertaintyGPerL.toFixed(1)" />
          <FigureNumber v-if="prediction.after.brix !== undefined" label="Sugar" :shown="f.brix(prediction.after.brix)" origin="forecast" />
        </div>
        <p>{{ sayWhere(then?.ph ?? prediction.before.ph, then?.ta ?? prediction.before.taGPerL, myWindow, moved) }} <span v-if="!moved" class="soft">Draw along an arrow, or type below.</span></p>
      </template>
    </template>
    <template #inputs>
      <QuantityField label="pH" :field="fields.ph" />
      <QuantityField label="TA" :field="fields.ta" hint="as tartaric acid" />
      <QuantityField label="Sugar" :field="fields.sugar" hint="needed for the finder" />
      <QuantityField label="Malic acid" :field="fields.malic" unit-label="g/L" hint="leave empty if not measured" />
      <QuantityField label="Volume" :field="fields.volume" />
      <div class="text"><label for="correct-style">It shall be</label><select id="correct-style" v-model="style"><option v-for="(label, key) in STYLE" :key="key" :value="key">{{ label }}</option></select></div>
      <fieldset class="try">
        <legend>Try, for each litre</legend>
        <div class="tries">
          <QuantityField v-for="t in TRY" :key="t.material" :label="MUST_MATERIAL[t.material]" :field="changes[t.material]!" :unit-label="t.unit" />
        </div>
        <div class="later">
          <label class="check"><input :checked="bench.later.malolactic > 0" type="checkbox" @change="bench.later.malolactic = ($event.target as HTMLInputElement).checked ? 100 : 0"> after malolactic</label>
          <label class="check"><input :checked="bench.later.cold > 0" type="checkbox" @change="bench.later.cold = ($event.target as HTMLInputElement).checked ? 22 : 0"> after weeks of cold at −2 °C</label>
        </div>
      </fieldset>
      <fieldset>
        <legend>Or let Presk look, with what is in the cupboard</legend>
        <div class="later"><label v-for="m in HAVE" :key="m" class="check"><input v-model="has" type="checkbox" :value="m"> {{ MUST_MATERIAL[m].toLowerCase() }}</label></div>
        <UButton variant="outline" size="lg" class="mt-2" :disabled="!bench.canFind.value" @click="bench.find()">Find the smallest additions</UButton>
      </fieldset>
    </template>
    <template #results>
      <template v-if="bench.found.value">
        <h2>{{ bench.found.value.additions.length ? 'Proposed' : 'Nothing to add' }}</h2>
        <p v-if="!bench.found.value.additions.length && !bench.found.value.missed.length">Sugar, pH and TA are in the windows for a {{ STYLE[style].toLowerCase() }}: {{ MUST_WINDOWS[style].ph.min }} to {{ MUST_WINDOWS[style].ph.max }} pH, {{ MUST_WINDOWS[style].ta.min }} to {{ MUST_WINDOWS[style].ta.max }} g/L.</p>
        <ul v-if="bench.found.value.additions.length" class="proposal">
          <li v-for="a in bench.found.value.additions" :key="a.material"><b>{{ MUST_MATERIAL[a.material] }}</b> <span class="figure">{{ amount(a) }}</span><span class="soft"> in all{{ finishing ? '' : `; first ${amount({ total: a.stages[0]!.amount, unit: a.unit })}, mix, measure, then the rest` }}. {{ sayWhy(a.material, bench.found.value!.predicted, { brix: prediction?.before.brix, ph: prediction?.before.ph ?? 0, ta: prediction?.before.taGPerL ?? 0 }, MUST_WINDOWS[style]) }}</span></li>
        </ul>
        <FindingNote v-for="m in bench.found.value.missed" :key="m.quantity" tone="ask">{{ sayMiss(m) }} What there is does not reach further.</FindingNote>
        <p v-if="bench.found.value.trade" class="soft">Put TA before pH and it would end at pH {{ bench.found.value.trade.predicted.ph.toFixed(2) }}, TA {{ bench.found.value.trade.predicted.taGPerL.toFixed(1) }} g/L.</p>
      </template>
      <template v-if="prediction">
        <table class="figures">
          <thead><tr><td /><td>now</td><td>then</td><td /></tr></thead>
          <tbody><tr v-for="r in rows" :key="r.name"><th scope="row">{{ r.name }}</th><td>{{ r.before }}</td><td class="strong">{{ r.after }}</td><td class="soft small">{{ r.unit }}</td></tr></tbody>
        </table>
        <FindingNote v-for="x in prediction.findings.filter(y => y.code !== 'malic-assumed' && y !== impossible)" :key="x.code">{{ sayAcidsFinding(x) }}</FindingNote>
        <p v-for="x in prediction.findings.filter(y => y.code === 'malic-assumed')" :key="x.code" class="soft small">{{ sayAcidsFinding(x) }}</p>
        <WorkingNote
          :steps="[{ what: 'Base to the end point', formula: `TA ${prediction.before.taGPerL.toFixed(2)} g/L ÷ 75.04`, result: `${(prediction.before.taGPerL / 75.04 * 1000).toFixed(1)} mmol/L` },
                   { what: 'Acids that give it', formula: `charges at pH ${END_POINT_PH} less charges at pH ${prediction.before.ph.toFixed(2)}, pKa of tartaric ${ACIDS.tartaric.pka.join(' and ')}, malic ${ACIDS.malic.pka.join(' and ')}`, result: `${prediction.before.acidsGPerL.tartaric.toFixed(1)} g/L tartaric` },
                   { what: 'Strong ions', formula: 'what balances the charges at the wine’s pH, counted as potassium', result: `${prediction.before.potassiumGPerL.toFixed(2)} g/L` },
                   { what: 'pH then', formula: 'the pH at which all charges balance again after the changes', result: prediction.after.ph.toFixed(3) }]"
          source="dissociation constants of the CRC Handbook, corrected for ionic strength (Davies) and alcohol; see docs/sources.md"
        />
      </template>
      <div v-if="lot && bench.planned.value.length" class="actual sheet">
        <h2>{{ finishing ? 'The rest: what went in' : 'First stage: what went in' }}</h2>
        <p class="soft small">{{ finishing ? 'Measured again, so all of it now.' : 'Three quarters of it now. Too much cannot be taken out.' }} Dissolve it in some of the must; add it slowly.</p>
        <div class="tries">
          <QuantityField v-for="p in bench.planned.value" :key="p.material" :label="MUST_MATERIAL[p.material]" :field="p.field" :unit-label="p.unit" :hint="[`planned ${amount({ total: p.stage, unit: p.unit })}`, p.unit === 'g' ? household(p.material, p.stage) : undefined].filter(Boolean).join(', ')" />
        </div>
        <div class="go"><button type="button" class="textlink" @click="bench.takePlan()">Exactly as planned</button><UButton type="submit" size="xl" :loading="saving">Log it</UButton></div>
      </div>
    </template>
  </BenchFrame>
</template>

<style scoped>
.tries { display: grid; grid-template-columns: repeat(2, minmax(0, 1fr)); gap: 14px 20px; }
.later { display: flex; flex-wrap: wrap; gap: 2px 22px; margin-top: 8px; }
.check { display: inline-flex; align-items: center; gap: 10px; min-height: 44px; cursor: pointer; }
.check input { width: 20px; height: 20px; accent-color: var(--skin); }
.try { border-top: 1.5px solid var(--line); padding-top: 14px; }
.proposal { display: grid; gap: 8px; }
.proposal .figure { font-size: 1.4rem; margin: 0 4px; }
.actual { padding: 16px; display: grid; gap: 12px; }
.go { display: flex; justify-content: space-between; align-items: center; gap: 16px; }
</style>
