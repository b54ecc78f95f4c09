<script setup lang="ts">
import type { LotPlan } from '~~/core/ledger'
import { OAK_READY, OAK_READY_HOW } from '~/wording/plan'

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
const { lot } = useLotFromAddress()
const f = useFormat()
const logged = useLogged()
const materials = useMaterials()
const trial = useTrial(lot)
const {
  agent,
  agents,
  card,
  about,
  acid,
  inJars,
  count,
  blind,
  fields,
  actual,
  notes,
  chosen,
  glasses,
  grams,
  ready,
  knows,
  mayGoOn,
  log
} = trial
const items = computed(() => agents.value.map((value) => ({ value, label: materials.title(value) })))
const COUNTS = [3, 4, 5, 6].map((value) => ({ value, label: `${value} glasses` }))
const letter = (i: number) => String.fromCharCode(65 + i)
const rate = (n: number) => `${n} ${card.value.unit}/L`
const choices = computed(() =>
  glasses.value.map((g, i) => ({ value: String(g.rate), label: blind.value ? `Glass ${letter(i)}` : rate(g.rate) }))
)
/** What goes into each: millilitres of the stock, or grams of wood. */
const into = (g: { rate: number, stockMl: number, grams: number }) =>
  g.rate === 0 ? 'as it is' : inJars.value ? `${g.grams.toFixed(2)} g` : `${g.stockMl.toFixed(g.stockMl < 1 ? 2 : 1)} mL`
const oakReady = ref<LotPlan['oakReady']>('straight')
watch(
  () => lot.value?.plan.oakReady,
  (is) => (oakReady.value = is ?? 'straight'),
  { immediate: true }
)
const READY = Object.entries(OAK_READY).map(([value, label]) => ({
  value: value as LotPlan['oakReady'],
  label: label.replace(/^./, (c) => c.toUpperCase())
}))
const cellar = useCellarStore()
async function setReady(is: LotPlan['oakReady']) {
  oakReady.value = is
  if (lot.value && lot.value.plan.oakReady !== is) await cellar.log([{ type: 'lot-planned', lotId: lot.value.id, oakReady: is }])
}
async function submit() {
  const l = lot.value
  if (!(await log()) || !l) return focusWrong()
  logged(`${l.name}: trial logged`)
  await navigateTo(`/lots/${l.id}`)
}
useHead({ title: 'Bench trial · Presk' })
</script>

<template>
  <BenchFrame title="Bench trial" :lot="lot" @submit="submit">
    <template #answer>
      <table v-if="glasses.length" class="lines">
        <caption v-if="inJars">
          Weighed into
          {{
            fields.glassMl.text
          }}
          mL of wine each, in closed jars
        </caption>
        <caption v-else>
          Into
          {{
            fields.glassMl.text
          }}
          mL of wine each, of a stock of
          {{
            fields.stock.text
          }}
          {{
            card.unit
          }}
          in a litre
        </caption>
        <tbody>
          <tr v-for="(g, i) in glasses" :key="`${i}${g.rate}`">
            <th scope="row">
              <span class="ball figure" aria-hidden="true">{{ letter(i) }}</span> <span class="sr-only">Glass {{ letter(i) }}</span>
            </th>
            <td class="whitespace-nowrap">
              <b class="figure">{{ into(g) }}</b>
            </td>
            <td v-if="!blind" class="soft whitespace-nowrap">{{ rate(g.rate) }}</td>
            <td v-if="!blind && g.figures" class="soft">
              pH {{ g.figures.ph.toFixed(2) }}, TA {{ g.figures.taGPerL.toFixed(1) }} g/L<span
                v-if="g.figures.molecular !== undefined"
                class="block small"
              >{{ g.figures.molecular.toFixed(1) }} mg/L molecular SO₂</span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">Enter the glass and the stock solution.</p>
    </template>
    <template #inputs>
      <SelectField v-model="agent" class="wide" label="Material" :items="items" />
      <p class="wide soft">{{ about }}</p>
      <template v-if="inJars">
        <SelectField class="wide" label="Prepared as" :items="READY" :model-value="oakReady" @update:model-value="setReady" />
        <p class="wide soft">{{ f.degrees(OAK_READY_HOW[oakReady]) }}</p>
      </template>
      <FindingNote v-if="card.allergen" tone="ask" class="wide">
        Allergen: {{ card.allergen }}. Name it on the label, and tell everyone who drinks the wine.
      </FindingNote>
      <p v-if="acid && lot && !glasses[0]?.figures" class="wide soft small">Enter its pH and TA to see what each glass comes to.</p>
      <SelectField v-model="count" label="Number of glasses" :items="COUNTS" />
      <QuantityField label="Wine in each glass" :field="fields.glassMl" unit-label="mL" />
      <QuantityField
        v-if="!inJars"
        label="Stock solution"
        :field="fields.stock"
        :unit-label="`${card.unit}/L`"
        hint="so that you can measure each dose"
      />
      <UCheckbox v-model="blind" class="wide" label="Blind: letters only, mixed" description="Somebody else fills the glasses." />
    </template>
    <template #results>
      <TextField v-model="notes" label="What you saw and tasted" :maxlength="400" />
      <SelectField v-model="chosen" label="Choice: the smallest dose that works" :items="choices" placeholder="choose a glass" />
      <p v-if="grams !== undefined">
        <b class="figure">{{ card.unit === 'mL' ? `${grams.toFixed(0)} mL` : f.words(f.powder(grams)) }}</b> for
        {{ f.words(f.volume(fields.volume.value ?? 0)) }}<template v-if="blind">: you added {{ rate(Number(chosen)) }}</template
        >.
      </p>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="fining" />
        <div class="wentin sheet">
          <h2>{{ mayGoOn ? 'Into the lot' : 'The trial alone' }}</h2>
          <QuantityField
            v-if="mayGoOn"
            :label="materials.title(agent)"
            :field="actual"
            :unit-label="card.unit"
            hint="leave empty to log only the trial"
          />
          <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
        </div>
      </template>
      <p v-if="acid" class="soft small">
        pH and TA come from the acid model and this wine’s readings. Measure again after the addition. Usual doses: common practice.
      </p>
      <CautionNote :code="acid ? 'limits' : 'allergens'" />
    </template>
  </BenchFrame>
</template>
