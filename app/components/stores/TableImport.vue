<script setup lang="ts">
import { counted } from '~/wording/count'
import type { ReadingQuantity } from '~~/core/ledger'
import { QUANTITY_NAMES } from '~~/core/quantities'
import { chosenFile } from '~/data/chosen-file'
import { type ImportRow, type LotNamed, type Table, mapRows, readTable } from '~/data/csv'
import { type Back, isOwnReadings, readingsBack } from '~/data/readings-back'
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
/** Column with the wine's name; empty: all of one lot. */
const lotColumn = ref('')
const own = shallowRef<Back>()
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
  table.value = undefined
  own.value = undefined
  problem.value = undefined
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
  if (isOwnReadings(found.table)) {
    const readings = (await cellar.allEntries()).filter((e) => e.type === 'reading')
    own.value = readingsBack(found.table, { lotOf, instrumentNamed, readings, now: now.value })
    return
  }
  lotColumn.value = found.table.columns.find((c) => /^(lot|wine|name)$/i.test(c.trim())) ?? ''
  at.value = found.table.columns.find((c) => /date|time|when|^at$/i.test(c)) ?? found.table.columns[0]!
  chosen.value = Object.fromEntries(
    found.table.columns.map((c) =>
      [c, c === at.value || c === lotColumn.value ? '' : (GUESSES.find(([pattern]) => pattern.test(c.trim()))?.[1] ?? '')])
  )
  lotId.value ||= cellar.lots[0]?.id ?? ''
}

/** A name in the table means the lot that is called so, and no other. */
const lotOf: LotNamed = (name) => {
  const called = cellar.lots.filter((l) => l.name.trim().toLowerCase() === name.toLowerCase())
  if (called.length === 1) return { lotId: called[0]!.id }
  return { problem: called.length === 0 ? `no lot is called “${name}”` : `${called.length} lots are called “${name}”: rename one` }
}
const instrumentNamed = (name: string) => [...cellar.state.instruments.values()].find((i) => i.name === name)?.id

const rows = computed<ImportRow[]>(() => {
  if (own.value) return own.value.rows
  if (!table.value || !(lotId.value || lotColumn.value)) return []
  const values = Object.entries(chosen.value).flatMap(([column, quantity]) =>
    quantity && column !== at.value && column !== lotColumn.value
      ? [{ column, quantity, ...(quantity === 'temperature' && fahrenheit.value && { fahrenheit: true }) }]
      : []
  )
  const mapping = { at: at.value, dayFirst: dayFirst.value, values, ...(lotColumn.value && { lot: lotColumn.value }) }
  return mapRows(table.value, mapping, lotColumn.value ? lotOf : () => ({ lotId: lotId.value }), now.value)
})
const drafts = computed(() => rows.value.flatMap((r) => r.drafts))
const troubled = computed(() => rows.value.filter((r) => r.problems.length > 0))

/** What a column can be. */
const COLUMN_IS = [
  { value: '' as const, label: 'skip' },
  ...QUANTITY_NAMES.map((value) => ({
    value,
    label: `${QUANTITY[value]}${QUANTITY_UNIT[value] && value !== 'temperature' ? `, ${QUANTITY_UNIT[value]}` : ''}`
  }))
]

async function takeIn() {
  if (!(await cellar.log(drafts.value))) return
  logged(`${counted(drafts.value.length, 'reading')} imported`)
  table.value = undefined
  own.value = undefined
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
    <form v-if="table" novalidate class="sheet map" @submit.prevent="takeIn">
      <p v-if="own">Presk made this table, so it knows the wines, instruments and readings.</p>
      <div v-if="!own" class="pair">
        <SelectField
          v-model="lotColumn"
          label="Column with the wine’s name"
          :items="[{ value: '', label: 'no column: all of one lot' }, ...table.columns.map((c) => ({ value: c, label: c }))]"
        />
        <SelectField
          v-if="!lotColumn"
          v-model="lotId"
          label="Into the lot"
          :items="cellar.lots.map((l) => ({ value: l.id, label: l.name }))"
        />
        <SelectField v-model="at" label="Column with the date" :items="table.columns.map((c) => ({ value: c, label: c }))" />
        <SelectField
          v-model="dayFirst"
          label="Dates like 3/11 are"
          :items="[
            { value: true, label: '3 November' },
            { value: false, label: '11 March' },
          ]"
        />
        <SelectField
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
          v-for="c in table.columns.filter((x) => x !== at && x !== lotColumn)"
          :key="c"
          v-model="chosen[c]!"
          :label="`${c} is`"
          :items="COLUMN_IS"
        />
      </div>
      <p role="status">
        <b class="figure">{{ drafts.length }}</b> {{ drafts.length === 1 ? 'reading' : 'readings' }} from
        {{ counted(rows.length, 'row') }}<template v-if="own?.known"
        >, {{ own.known }} already here</template
        ><template v-if="troubled.length"
        >; {{ troubled.length }} {{ troubled.length === 1 ? 'row has' : 'rows have' }} a problem</template
        >.
      </p>
      <ul v-if="troubled.length" class="small">
        <li v-for="r in troubled.slice(0, 20)" :key="r.line">Row {{ r.line }}: {{ r.problems.join('; ') }}.</li>
      </ul>
      <div class="flex gap-3">
        <UButton type="submit" size="lg" :disabled="drafts.length === 0">Import readings</UButton
        ><UButton type="button" size="lg" variant="outline" @click="table = undefined">Cancel</UButton>
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
}
.message,
ul {
  color: var(--stop);
}
</style>
