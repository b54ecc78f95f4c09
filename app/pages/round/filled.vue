<script setup lang="ts">
import { clockMs, clockNow } from '~/data/clock'
import type { Draft, Fact } from '~~/core/ledger'
import { lookEntries, useRound } from '~/composables/useRound'
import { dayHere } from '~/wording/days'
import { focusWrong } from '~/composables/focusWrong'
import { useGravityInstruments } from '~/composables/useGravityInstruments'
import { useLogged } from '~/composables/useLogged'
import { useQuantityField } from '~/composables/useQuantityField'
import { sugarQuantity, useSugarField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'
import { useSettingsStore } from '~/stores/settings'

/** A sheet that was filled with a pencil, typed in: a row a vessel, with the times on it. */
const tour = useRound()
const cellar = useCellarStore()
const settings = useSettingsStore()
const logged = useLogged()
const day = ref(dayHere(clockMs()))
const readWith = ref([...cellar.state.instruments.values()].find((i) => i.kind === 'hydrometer')?.id ?? 'hydrometer')
const { items: instruments, kindOf } = useGravityInstruments()
const rows = tour.lots.value.map((lot) => ({
  lot,
  time: ref(''),
  gravity: useSugarField('SG'),
  celsius: useQuantityField({ kind: 'temperature', unit: settings.values.temperature, quantity: () => 'temperature' }),
  cap: ref(false),
  note: ref('')
}))
const wrong = ref<Record<string, string>>({})
const filled = (r: (typeof rows)[number]) => !r.gravity.empty || !r.celsius.empty || r.cap.value || r.note.value.trim() !== ''

/** The hour on the sheet, that day; without one it was just now. */
function instantOf(time: string): string | undefined {
  if (!time) return undefined
  const at = new Date(`${day.value}T${time}:00`)
  return Number.isNaN(at.getTime()) ? undefined : at.toISOString()
}

async function log() {
  wrong.value = {}
  const entries: Draft<Fact>[] = []
  for (const r of rows.filter(filled)) {
    r.gravity.touch()
    r.celsius.touch()
    const at = instantOf(r.time.value)
    if (!r.gravity.ok || !r.celsius.ok) return focusWrong()
    if (at && at > clockNow()) {
      wrong.value = { [r.lot.id]: 'This time is in the future.' }
      return focusWrong()
    }
    const unit = r.gravity.parsed.ok ? r.gravity.parsed.unit : 'SG'
    entries.push(
      ...lookEntries(
        r.lot.id,
        {
          at,
          with: readWith.value,
          // The sheet asks for the must's own temperature.
          sampleC: r.celsius.value,
          ...(r.gravity.value !== undefined && {
            gravity: { quantity: sugarQuantity(unit), typed: r.gravity.text, value: r.gravity.value }
          }),
          ...(r.celsius.value !== undefined && { celsius: { typed: r.celsius.text, value: r.celsius.value } }),
          work: r.cap.value ? ['punch-down'] : [],
          note: r.note.value
        },
        kindOf
      )
    )
  }
  if (entries.length === 0 || !(await cellar.log(entries))) return
  logged('Sheet logged')
  await navigateTo('/')
}
useHead({ title: 'Enter a sheet · Presk' })
</script>

<template>
  <form class="grid gap-4" novalidate @submit.prevent="log">
    <h1>Enter a filled sheet</h1>
    <p v-if="!rows.length" class="soft">Nothing is fermenting.</p>
    <template v-else>
      <div class="fieldline">
        <DayField v-model="day" label="Day" />
        <SelectField v-model="readWith" label="Instrument" :items="instruments" />
        <span />
      </div>
      <fieldset v-for="r in rows" :key="r.lot.id" class="line">
        <legend>{{ r.lot.name }}</legend>
        <TextField v-model="r.time.value" label="Time" type="time" :error="wrong[r.lot.id]" />
        <QuantityField label="Gravity" :field="r.gravity" />
        <QuantityField label="Temperature" :field="r.celsius" :unit-label="settings.values.temperature" />
        <TextField v-model="r.note.value" label="Smell, note" />
        <UCheckbox v-model="r.cap.value" label="Cap worked" class="self-center" />
      </fieldset>
      <UButton type="submit" size="xl" class="justify-self-start">Log sheet</UButton>
    </template>
  </form>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 8rem 1fr 1fr 1.4fr auto;
  gap: 12px;
  border-top: 1.5px solid var(--line);
  padding-top: 10px;
}
@media (max-width: 760px) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
