<script setup lang="ts">
import { counted } from '~/wording/count'
import type { ReadingQuantity } from '~~/core/ledger'
import { QUANTITY_NAMES } from '~~/core/quantities'
import { chosenFile } from '~/data/chosen-file'
import type { Mapping } from '~/data/csv'
import type { TableMapped } from '~/data/table-reader'
import { QUANTITY, QUANTITY_UNIT } from '~/wording/terms'
import { useLogged } from '~/composables/useLogged'
import { useMessage } from '~/composables/useMessage'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

const LARGEST_TABLE_BYTES = 10_000_000

const cellar = useCellarStore()
const settings = useSettingsStore()
const logged = useLogged()
const message = useMessage()
/** Of the table that is read, which itself stays with the ledger. */
const columns = shallowRef<string[]>()
const mapped = shallowRef<TableMapped>()
const problem = ref<string>()
const lotId = ref('')
const at = ref('')
/** Column with the wine's name; empty: all of one lot. */
const lotColumn = ref('')
/** Presk wrote it. */
const own = ref(false)
const dayFirst = ref(true)
const fahrenheit = ref(settings.values.temperature === '°F')
const chosen = ref<Record<string, ReadingQuantity | ''>>({})

const GUESSES: [RegExp, ReadingQuantity][] = [
  [/^sg$|gravity|density/i, 'sg'],
  [/brix/i, 'brix'],
  [/^ph$/i, 'ph'],
  [/^ta$|acid/i, 'ta'],
  [/temp|°c|°f/i, 'temperature'],
  [/free/i, 'freeSo2'],
  [/total/i, 'totalSo2'],
  [/malic/i, 'malic'],
  [/alcohol|abv/i, 'abv']
]

async function read(chosenOne: File) {
  const file = await chosenFile(chosenOne, LARGEST_TABLE_BYTES)
  columns.value = mapped.value = problem.value = undefined
  if (!file.ok) {
    problem.value = 'This table has over 10 MB. Export only the readings.'
    return
  }
  const seen = await cellar.readTable(file.text)
  if (!seen.ok) {
    problem.value = `${file.name}: ${seen.reason} Nothing was changed.`
    return
  }
  own.value = seen.mapped !== undefined
  lotColumn.value = seen.columns.find((c) => /^(lot|wine|name)$/i.test(c.trim())) ?? ''
  at.value = seen.columns.find((c) => /date|time|when|^at$/i.test(c)) ?? seen.columns[0]!
  chosen.value = Object.fromEntries(
    seen.columns.map((c) =>
      [c, c === at.value || c === lotColumn.value ? '' : (GUESSES.find(([pattern]) => pattern.test(c.trim()))?.[1] ?? '')])
  )
  lotId.value ||= cellar.lots[0]?.id ?? ''
  mapped.value = seen.mapped
  columns.value = seen.columns
}

const mapping = computed<Mapping>(() => ({
  at: at.value,
  dayFirst: dayFirst.value,
  values: Object.entries(chosen.value).flatMap(([column, quantity]) =>
    quantity && column !== at.value && column !== lotColumn.value
      ? [{ column, quantity, ...(quantity === 'temperature' && fahrenheit.value && { fahrenheit: true }) }]
      : []
  ),
  ...(lotColumn.value && { lot: lotColumn.value })
}))
let turn = 0
watch([columns, mapping, lotId], async () => {
  const mine = ++turn
  if (own.value || !columns.value) return
  const told = await cellar.mapTable(mapping.value, lotId.value)
  if (mine === turn) mapped.value = told
})

/** What a column can be. */
const COLUMN_IS = [
  { value: '' as const, label: 'skip' },
  ...QUANTITY_NAMES.map((value) => ({
    value,
    label: `${QUANTITY[value]}${QUANTITY_UNIT[value] && value !== 'temperature' ? `, ${QUANTITY_UNIT[value]}` : ''}`
  }))
]

async function takeIn() {
  const done = await cellar.takeTable()
  if (!done) return
  const said = `${counted(done.count, 'reading')} imported`
  if (done.written.length > 0) logged(said)
  else message({ title: said, color: 'primary' })
  columns.value = undefined
}
</script>

<template>
  <div class="bring">
    <FileField
      label="Import readings from a table"
      hint="Any CSV with a heading row. You choose what each column is, and see each row before it is imported."
      accept=".csv,text/csv,text/plain"
      @chosen="read"
    />
    <p v-if="problem" class="message" role="alert">{{ problem }}</p>
    <form v-if="columns" novalidate class="sheet map" @submit.prevent="takeIn">
      <p v-if="own">Presk made this table, so it knows the wines, instruments and readings.</p>
      <div v-if="!own" class="pair">
        <SelectField
          v-model="lotColumn"
          label="Column with the wine’s name"
          :items="[{ value: '', label: 'no column: all of one lot' }, ...columns.map((c) => ({ value: c, label: c }))]"
        />
        <SelectField
          v-if="!lotColumn"
          v-model="lotId"
          label="Into the lot"
          :items="cellar.lots.map((l) => ({ value: l.id, label: l.name }))"
        />
        <SelectField v-model="at" label="Column with the date" :items="columns.map((c) => ({ value: c, label: c }))" />
        <SelectField
          v-model="dayFirst"
          label="Dates like 3/11 are"
          :items="[
            { value: true, label: '3 November' },
            { value: false, label: '11 March' },
          ]"
        />
        <SelectField
          v-if="Object.values(chosen).includes('temperature')"
          v-model="fahrenheit"
          label="Temperatures are in"
          :items="[
            { value: false, label: '°C' },
            { value: true, label: '°F' },
          ]"
        />
      </div>
      <div v-if="!own" class="pair">
        <SelectField
          v-for="c in columns.filter((x) => x !== at && x !== lotColumn)"
          :key="c"
          v-model="chosen[c]!"
          :label="`${c} is`"
          :items="COLUMN_IS"
        />
      </div>
      <p role="status">
        <template v-if="mapped">
          <b class="figure">{{ mapped.readings }}</b> {{ mapped.readings === 1 ? 'reading' : 'readings' }} from
          {{ counted(mapped.rows, 'row') }}<template v-if="mapped.known"
          >, {{ mapped.known }} already here</template
          ><template v-if="mapped.troubledCount"
          >; {{ mapped.troubledCount }} {{ mapped.troubledCount === 1 ? 'row has' : 'rows have' }} a problem</template
          >.
        </template>
      </p>
      <ul v-if="mapped?.troubled.length" class="small">
        <li v-for="r in mapped.troubled" :key="r.line">Row {{ r.line }}: {{ r.problems.join('; ') }}.</li>
      </ul>
      <div class="flex gap-3">
        <UButton type="submit" size="lg" :disabled="!mapped?.readings">Import readings</UButton
        ><UButton type="button" size="lg" variant="outline" @click="columns = undefined">Cancel</UButton>
      </div>
    </form>
  </div>
</template>

<style scoped>
.map {
  padding: 16px;
  display: grid;
  gap: 14px;
  margin-top: 8px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 12px;
  /* A heading of two lines leaves the fields in one row. */
  align-items: end;
}
.message,
ul {
  color: var(--stop);
}
</style>
