<script setup lang="ts">
import { TRIED, type Tried } from '~/wording/finishing'
import { materialTitle } from '~/wording/materials'

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
const { lot } = useLotFromAddress()
const f = useFormat()
const logged = useLogged()
const { agent, card, count, blind, fields, actual, notes, chosen, glasses, grams, ready, knows, mayGoOn, log } = useTrial(lot)
const agents = (Object.keys(TRIED) as Tried[]).map((value) => ({ value, label: materialTitle(value) }))
const COUNTS = [3, 4, 5, 6].map((value) => ({ value, label: `${value} glasses` }))
const letter = (i: number) => String.fromCharCode(65 + i)
const choices = computed(() =>
  glasses.value.map((g, i) => ({ value: String(g.rate), label: blind.value ? `Glass ${letter(i)}` : `${g.rate} g/L` }))
)
async function submit() {
  const l = lot.value
  if (!(await log()) || !l) return focusWrong()
  logged(`${l.name}: the trial is in the ledger`)
  await navigateTo(`/lots/${l.id}`)
}
useHead({ title: 'Bench trial · Presk' })
</script>

<template>
  <BenchFrame title="Bench trial" :lot="lot" @submit="submit">
    <template #answer>
      <table v-if="glasses.length" class="lines">
        <caption>
          Into
          {{
            fields.glassMl.text
          }}
          mL of wine each, of a stock of
          {{
            fields.stock.text
          }}
          g in a litre
        </caption>
        <tbody>
          <tr v-for="(g, i) in glasses" :key="`${i}${g.rate}`">
            <th scope="row">
              <span class="ball figure" aria-hidden="true">{{ letter(i) }}</span> <span class="sr-only">Glass {{ letter(i) }}</span>
            </th>
            <td>
              <b class="figure">{{ g.stockMl === 0 ? 'as it is' : `${g.stockMl.toFixed(g.stockMl < 1 ? 2 : 1)} mL` }}</b>
            </td>
            <td v-if="!blind" class="soft">{{ g.rate }} g/L</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">Say the glass and the stock.</p>
    </template>
    <template #inputs>
      <SelectField
        v-model="agent"
        class="wide"
        label="What is tried"
        :items="agents"
      />
      <p class="wide soft">{{ TRIED[agent] }}</p>
      <FindingNote v-if="card.allergen" tone="ask" class="wide">
        Allergen: {{ card.allergen }}. It is named on the label and to everybody who drinks it.
      </FindingNote>
      <SelectField v-model="count" label="How many" :items="COUNTS" />
      <QuantityField label="Wine in each glass" :field="fields.glassMl" unit-label="mL" />
      <QuantityField label="Stock solution" :field="fields.stock" unit-label="g/L" hint="so that each can be pipetted" />
      <UCheckbox v-model="blind" class="wide" label="Blind: letters only, mixed" description="Somebody else fills the glasses." />
    </template>
    <template #results>
      <TextField v-model="notes" label="What was seen and tasted" :maxlength="400" />
      <SelectField v-model="chosen" label="Chosen: the least that does it" :items="choices" placeholder="choose a glass" />
      <p v-if="grams !== undefined">
        <b class="figure">{{ f.words(f.powder(grams)) }}</b> for {{ f.words(f.volume(fields.volume.value ?? 0))
        }}<template v-if="blind">: it was {{ chosen }} g/L</template>.
      </p>
      <template v-if="lot">
        <GateBefore v-if="!ready" v-model="knows" :lot="lot" gate="fining" />
        <div class="wentin sheet">
          <h2>{{ mayGoOn ? 'Into the lot' : 'The trial alone' }}</h2>
          <QuantityField
            v-if="mayGoOn"
            :label="materialTitle(agent)"
            :field="actual"
            unit-label="g"
            hint="empty: the trial alone is logged"
          />
          <div class="go"><span /><UButton type="submit" size="xl">Log it</UButton></div>
        </div>
      </template>
      <CautionNote code="allergens" />
    </template>
  </BenchFrame>
</template>
