<script setup lang="ts">
import { addition, fact } from '~~/core/drafts'
import { finingTrial, stockFor } from '~~/core/finishing'
import { MATERIALS } from '~~/core/materials'
import { fromLitres } from '~~/core/units'
import { materialTitle } from '~/wording/materials'

/** A bench trial: rates into glasses by a stock solution, tasted blind, and the choice scaled to the lot. */
const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const f = useFormat()
const logged = useLogged()
const AGENTS = [
  'bentonite',
  'gelatin',
  'chitosan',
  'isinglass',
  'casein',
  'egg-white',
  'charcoal',
  'tannin',
  'oak',
  'gum-arabic'
] as const
const ALLERGEN = { egg: 'egg', milk: 'milk', fish: 'fish', shellfish: 'shellfish', sulphites: 'sulphites' } as const
/** What each takes along besides haze, and how it is made ready: common practice, no source. */
const ABOUT: Record<(typeof AGENTS)[number], string> = {
  'bentonite':
    'Swell it in hot water, a day before. Takes protein, some colour and aroma; a thick layer of lees. Rack after a week or two.',
  'gelatin': 'Dissolve it warm. Takes tannin and colour: for hard reds; in whites only with silica sol or tannin before it.',
  'chitosan': 'The second of two: silica sol first, this an hour to a day later. Takes haze, little else.',
  'isinglass': 'Soak it cold for a day. Polishes whites, takes a little bitterness; light lees.',
  'casein': 'Stir it in fast: it clots at once. Takes brown colour and off-smells of whites.',
  'egg-white': 'A pinch of salt, no froth. Rounds the tannin of reds; an egg white for 20 to 40 L.',
  'charcoal': 'The last resort: takes colour, faults and aroma alike. Rack after a day or two.',
  'tannin': 'Dissolve it in warm wine. Firms the body and helps gelatin; tasted again after weeks.',
  'oak': 'Chips or cubes, boiled, toasted or straight by school; taste weekly, more often near the end.',
  'gum-arabic': 'Just before the bottle, after all filtering. Softens, and holds colour and crystals up.'
}
const agent = ref<(typeof AGENTS)[number]>('bentonite')
const card = computed(() => MATERIALS[agent.value])
const plain = (min: number, max: number, words: string, text = '') =>
  useQuantityField({ kind: 'plain', unit: '', required: true, text, limits: { min, max, words } })
const glassMl = plain(20, 1000, 'Between 20 and 1000 mL.', '100')
const count = ref(4)
const COUNTS = [3, 4, 5, 6].map((value) => ({ value, label: `${value} glasses` }))
const stock = plain(0.1, 500, 'Between 0.1 and 500 g/L.')
/** From none to the most that is usual, evenly. */
const rates = computed(() => {
  const { min = 0.1, max = 1 } = card.value.dose ?? {}
  const steps = count.value - 1
  return [
    0,
    ...Array.from({ length: steps }, (_, i) => Number((steps === 1 ? max : min + ((max - min) * i) / (steps - 1)).toPrecision(2)))
  ]
})
watch(
  [agent, () => glassMl.value, count],
  () => {
    if (glassMl.value) stock.text = String(stockFor(rates.value, glassMl.value))
  },
  { immediate: true }
)
const glasses = computed(() =>
  stock.value === undefined || glassMl.value === undefined
    ? []
    : (withinLimits(() => finingTrial(rates.value, stock.value!, glassMl.value!).glasses) ?? [])
)
/** Blind: letters in an order that the rates do not tell; the same for the same trial, so that a reload does not mix the glasses. */
const blind = ref(false)
const order = computed(() => {
  const seed = [...`${agent.value}${count.value}${lot.value?.id ?? ''}`].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 9973, 7)
  return glasses.value.map((g, i) => ({ ...g, key: (seed * (i + 3) * 7919) % 101 })).sort((a, b) => a.key - b.key)
})
const shown = computed(() => (blind.value ? order.value : glasses.value.map((g) => ({ ...g, key: 0 }))))
const letter = (i: number) => String.fromCharCode(65 + i)
const notes = ref('')
const chosen = ref('')
const choices = computed(() =>
  shown.value.map((g, i) => ({ value: String(g.rate), label: blind.value ? `Glass ${letter(i)}` : `${g.rate} g/L` }))
)
const volume = useVolumeField()
watch(
  () => lot.value?.id,
  () => {
    if (lot.value) volume.text = String(Number(fromLitres(lot.value.volume.value, f.volumeUnit.value).toPrecision(4)))
  },
  { immediate: true }
)
const grams = computed(() => (chosen.value === '' || volume.value === undefined ? undefined : Number(chosen.value) * volume.value))
const actual = useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.01, max: 1e5, words: 'Say how much went in.' } })
const { ready, knows, mayGoOn, against } = useReadiness(() => lot.value, () => 'fining')
/** What was typed for one wine is not logged to another. */
watch(() => lot.value?.id, () => {
  actual.clear()
  ;[chosen.value, notes.value] = ['', '']
})
async function log() {
  const l = lot.value
  actual.touch()
  if (!l) return
  if (!actual.ok) return focusWrong()
  // What was typed before it was known to be open goes in only knowingly.
  const goesIn = mayGoOn.value ? actual.value : undefined
  const told = `Trial with ${materialTitle(agent.value).toLowerCase()}: ${glasses.value.map((g) => `${g.rate}`).join(', ')} g/L${chosen.value === '' ? '' : `; ${chosen.value} g/L chosen`}. ${notes.value}`
  const drafts = [
    ...(goesIn ? against() : []),
    fact('observation', {
      lotId: l.id,
      what: 'taste',
      text: told.trim().slice(0, 2000),
      smells: undefined,
      clarity: undefined,
      gas: undefined,
      stable: undefined,
      spots: undefined,
      photo: undefined
    }),
    ...(goesIn
      ? [
          addition(
            { lotId: l.id, material: agent.value, planned: grams.value, actual: goesIn, purpose: 'by bench trial' },
            cellar.state.cards
          )
        ]
      : [])
  ]
  if (!(await cellar.log(drafts))) return
  logged(`${l.name}: the trial is in the ledger`)
  await navigateTo(`/lots/${l.id}`)
}
useHead({ title: 'Bench trial · Presk' })
</script>

<template>
  <BenchFrame title="Bench trial" :lot="lot" @submit="log">
    <template #answer>
      <table v-if="shown.length" class="columns w-full">
        <caption class="text-left">
          Into
          {{
            glassMl.text
          }}
          mL of wine each, of a stock of
          {{
            stock.text
          }}
          g in a litre
        </caption>
        <tbody>
          <tr v-for="(g, i) in shown" :key="`${i}${g.rate}`">
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
        :items="AGENTS.map((value) => ({ value, label: materialTitle(value) }))"
      />
      <p class="wide soft">{{ ABOUT[agent] }}</p>
      <FindingNote v-if="card.allergen" tone="ask" class="wide">
        Allergen: {{ ALLERGEN[card.allergen] }}. It is named on the label and to everybody who drinks it.
      </FindingNote>
      <SelectField v-model="count" label="How many" :items="COUNTS" />
      <QuantityField label="Wine in each glass" :field="glassMl" unit-label="mL" />
      <QuantityField label="Stock solution" :field="stock" unit-label="g/L" hint="so that each can be pipetted" />
      <UCheckbox v-model="blind" class="wide" label="Blind: letters only, mixed" description="Somebody else fills the glasses." />
    </template>
    <template #results>
      <TextField v-model="notes" label="What was seen and tasted" :maxlength="400" />
      <SelectField v-model="chosen" label="Chosen: the least that does it" :items="choices" placeholder="choose a glass" />
      <p v-if="grams !== undefined">
        <b class="figure">{{ f.words(f.powder(grams)) }}</b> for {{ f.words(f.volume(volume.value ?? 0))
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

<style scoped>
th {
  text-align: left;
}
tr > * {
  border-top: 1.5px solid var(--line);
  padding: 6px 8px 6px 0;
}
td .figure {
  font-size: 1.4rem;
}
</style>
