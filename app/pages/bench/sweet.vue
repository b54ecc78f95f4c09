<script setup lang="ts">
import { UNITS_WANTED } from '~~/core/finishing'
import { drynessOf } from '~~/core/ledger'
import { HELD_BY, saySorbate } from '~/wording/finishing'

/** A sweet wine that stays so: a ladder in glasses first, then sorbate with sulphite, or heat. */
const { lot } = useLotFromAddress()
const f = useFormat()
const logged = useLogged()
const materials = useMaterials()
const bench = useSweetening(lot)
const { way, fields, hadBacteria, ferments, glasses, sweetener, sweetened, sorbate, minutes, sugarIn, sorbateIn, heldFor } = bench
const { ready, knows, mayGoOn, log, planHolds, takePlan, empty } = bench
const dry = computed(() => lot.value && drynessOf(lot.value)?.proven)
async function submit() {
  const l = lot.value
  if (!(await log()) || !l) return focusWrong()
  logged(`${l.name}: logged`)
  await navigateTo(`/lots/${l.id}`)
}
useHead({ title: 'Sweeten a wine · Presk' })
</script>

<template>
  <BenchFrame title="Sweeten a wine" :lot="lot" @submit="submit">
    <template #answer>
      <template v-if="way === 'sorbate'">
        <template v-if="sorbate">
          <FigureNumber
            v-if="sorbate.allowed"
            label="Potassium sorbate in all"
            :shown="f.powder(sorbate.grams)"
            origin="worked out"
            size="hero"
          />
          <p v-if="sorbate.allowed" class="soft">
            {{ sorbate.sorbicMgPerL.toFixed(0) }} mg/L as sorbic acid; 200 is the limit (OIV). It adds no sweetness.
          </p>
          <FindingNote v-for="x in sorbate.findings" :key="x.code" :tone="saySorbate(x).tone">{{ saySorbate(x).text }}</FindingNote>
        </template>
        <p v-else class="soft">Enter the wine’s figures to see whether sorbate may go in, and how much.</p>
      </template>
      <template v-else-if="way === 'heat'">
        <FigureNumber
          v-if="minutes !== undefined"
          label="Time in the middle of the bottle"
          :shown="{ text: minutes.toFixed(0), unit: 'min' }"
          origin="worked out"
          size="hero"
        />
        <p class="soft">
          That makes {{ UNITS_WANTED.low }} units; {{ UNITS_WANTED.low }} to {{ UNITS_WANTED.high }} are usual. Drink it within about two
          years. Common practice.
        </p>
        <CautionNote code="heatBottles" />
      </template>
      <FindingNote v-else tone="stop">
        Cold only pauses a ferment. Once warm it goes on, in the bottle. Filter it sterile, add sorbate and sulphite, or
        pasteurise.
      </FindingNote>
    </template>
    <template #inputs>
      <ChoiceTiles v-model="way" class="wide" legend="How to keep it sweet" :items="HELD_BY" :least="150" />
      <QuantityField label="Volume" :field="fields.volume" />
      <QuantityField label="Alcohol" :field="fields.abv" unit-label="% vol" />
      <template v-if="way === 'sorbate'">
        <QuantityField label="pH" :field="fields.ph" />
        <QuantityField label="Free SO₂" :field="fields.free" unit-label="mg/L" />
        <UCheckbox v-model="hadBacteria" class="wide" label="It has had malolactic bacteria" />
        <UCheckbox v-model="ferments" class="wide" label="It is fermenting, or no two gravities agree yet" />
      </template>
      <QuantityField v-if="way === 'heat'" label="Temperature" :field="fields.heat" />
      <QuantityField label="Glass for the trial" :field="fields.glassMl" unit-label="mL" />
      <SelectField
        v-model="sweetener"
        label="Sweetened with"
        :items="materials.choices('sugar')"
        hint="for juice you kept, add a card in Stores"
      />
      <QuantityField label="Sweetness chosen" :field="fields.chosen" unit-label="g/L" hint="by taste, from the trial" />
    </template>
    <template #results>
      <section class="grid gap-2">
        <h2>In the glass first</h2>
        <table class="lines">
          <caption class="soft small">
            Syrup of equal weights of sugar and water, into
            {{
              fields.glassMl.text
            }}
            mL each; taste from dry to sweet.
          </caption>
          <tbody>
            <tr v-for="g in glasses" :key="g.gPerL">
              <th scope="row">{{ g.gPerL }} g/L</th>
              <td>{{ g.gPerL === 0 ? 'as it is' : `${g.syrupMl.toFixed(1)} mL` }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="sweetened?.grams">
          <b class="figure">{{ f.words(f.powder(sweetened.grams)) }}</b> of {{ materials.name(sweetener) }} in all for
          {{ fields.chosen.text }} g/L: {{ f.words(f.volume(sweetened.afterL)) }} then<template
            v-if="lot?.ta && Math.abs(sweetened.taChangeGPerL) >= 0.05"
          >, its TA {{ Math.abs(sweetened.taChangeGPerL).toFixed(1) }} g/L
            {{ sweetened.taChangeGPerL > 0 ? 'higher' : 'lower' }}</template
          >.
        </p>
        <p v-if="lot && !dry" class="soft small">This is the sugar you add, on top of what it already has.</p>
      </section>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="sweetening" />
        <div v-if="mayGoOn && way !== 'cold'" class="wentin sheet">
          <h2>Amount added</h2>
          <QuantityField :label="materials.title(sweetener)" :field="sugarIn" unit-label="g" hint="leave empty for none" />
          <QuantityField
            v-if="way === 'sorbate' && sorbate?.allowed"
            label="Potassium sorbate"
            :field="sorbateIn"
            unit-label="g"
            hint="leave empty for none"
          />
          <QuantityField v-if="way === 'heat'" label="Held for" :field="heldFor" unit-label="min" hint="leave empty if not heated yet" />
          <p v-if="empty" role="alert" class="text-(--alarm)">Enter how much went in.</p>
          <div class="go">
            <UButton v-if="planHolds" variant="link" @click="takePlan">Exactly as planned</UButton><span v-else />
            <UButton type="submit" size="xl">Log it</UButton>
          </div>
        </div>
      </template>
    </template>
  </BenchFrame>
</template>
