<script setup lang="ts">
import type { ReadingQuantity } from '~~/core/ledger'
import { chosenFile } from '~/data/chosen-file'
import { type Table, mapRows, readTable } from '~/data/csv'
import { QUANTITY, QUANTITY_UNIT } from '~/wording/terms'

const LARGEST_TABLE_BYTES = 10_000_000

const cellar = useCellarStore()
const settings = useSettingsStore()
const now = useNow()
const logged = useLogged()
const table = shallowRef<Table>()
const problem = ref<string>()
const lotId = ref('')
const at = ref('')
const dayFirst = ref(true)
const fahrenheit = ref(settings.values.temperature === '°F')
const chosen = ref<Record<string, ReadingQuantity | ''>>({})

const GUESSES: [RegExp, ReadingQuantity][] = [[/^sg$|gravity|density/i, 'sg'], [/brix/i, 'brix'], [/^ph$/i, 'ph'], [/^ta$|acid/i, 'ta'], [/temp|°c|°f/i, 'temperature'], [/free/i, 'freeSo2'], [/total/i, 'totalSo2'], [/malic/i, 'malic'], [/alcohol|abv/i, 'abv']]

async function read(event: Event) {
  const file = await chosenFile(event, LARGEST_TABLE_BYTES)
  table.value = undefined
  problem.value = undefined
  if (!file) return
  if (!file.ok) {
    problem.value = 'This table has over 10 MB. Export only the readings.'
    return
  }
  const found = readTable(file.text)
  if (!found.ok) {
    problem.value = `${file.name}: ${found.reason} Nothing was changed.`
    return
  }
  table.value = found.table
  at.value = found.table.columns.find(c => /date|time|when|^at$/i.test(c)) ?? found.table.columns[0]!
  chosen.value = Object.fromEntries(found.table.columns.map(c => [c, c === at.value ? '' : GUESSES.find(([pattern]) => pattern.test(c.trim()))?.[1] ?? '']))
  lotId.value ||= cellar.lots[0]?.id ?? ''
}

const rows = computed(() => {
  if (!table.value || !lotId.value) return []
  const values = Object.entries(chosen.value).flatMap(([column, quantity]) => quantity && column !== at.value ? [{ column, quantity, ...(quantity === 'temperature' && fahrenheit.value && { fahrenheit: true }) }] : [])
  return mapRows(table.value, { at: at.value, dayFirst: dayFirst.value, values }, lotId.value, now.value)
})
const drafts = computed(() => rows.value.flatMap(r => r.drafts))
const troubled = computed(() => rows.value.filter(r => r.problems.length > 0))

async function takeIn() {
  if (!await cellar.log(drafts.value)) return
  logged(`${drafts.value.length} readings came in`)
  table.value = undefined
}
</script>

<template>
  <div class="bring">
    <label for="table" class="label">Bring in readings from a table</label>
    <p class="soft small">Any CSV with a heading row. You say which column is what, and see each row before it comes in.</p>
    <input id="table" type="file" accept=".csv,text/csv,text/plain" @change="read">
    <p v-if="problem" class="message" role="alert">{{ problem }}</p>
    <form v-if="table" novalidate class="sheet map" @submit.prevent="takeIn">
      <div class="pair">
        <div class="text"><label for="map-lot">Into the lot</label><select id="map-lot" v-model="lotId"><option v-for="l in cellar.lots" :key="l.id" :value="l.id">{{ l.name }}</option></select></div>
        <div class="text"><label for="map-at">Date stands in</label><select id="map-at" v-model="at"><option v-for="c in table.columns" :key="c">{{ c }}</option></select></div>
        <div class="text"><label for="map-order">Dates like 3/11 are</label><select id="map-order" v-model="dayFirst"><option :value="true">3 November</option><option :value="false">11 March</option></select></div>
        <div class="text"><label for="map-temp">Temperatures are in</label><select id="map-temp" v-model="fahrenheit"><option :value="false">°C</option><option :value="true">°F</option></select></div>
      </div>
      <div class="pair">
        <div v-for="c in table.columns.filter(x => x !== at)" :key="c" class="text"><label :for="`map-${c}`">{{ c }} is</label><select :id="`map-${c}`" v-model="chosen[c]"><option value="">left out</option><option v-for="(label, key) in QUANTITY" :key="key" :value="key">{{ label }}{{ QUANTITY_UNIT[key] && key !== 'temperature' ? `, ${QUANTITY_UNIT[key]}` : '' }}</option></select></div>
      </div>
      <p role="status"><b class="figure">{{ drafts.length }}</b> readings from {{ rows.length }} rows<template v-if="troubled.length">; {{ troubled.length }} {{ troubled.length === 1 ? 'row has' : 'rows have' }} a problem</template>.</p>
      <ul v-if="troubled.length" class="small"><li v-for="r in troubled.slice(0, 20)" :key="r.line">Row {{ r.line }}: {{ r.problems.join('; ') }}.</li></ul>
      <div class="flex gap-3"><UButton type="submit" size="lg" :disabled="drafts.length === 0">Take the readings in</UButton><UButton type="button" size="lg" variant="outline" @click="table = undefined">Leave it</UButton></div>
    </form>
  </div>
</template>

<style scoped>
.map { padding: 16px; display: grid; gap: 14px; margin-top: 8px; }
.pair { display: grid; grid-template-columns: repeat(auto-fit, minmax(160px, 1fr)); gap: 12px; }
.message, ul { color: var(--stop); }
</style>
