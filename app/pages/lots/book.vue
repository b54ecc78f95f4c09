<script setup lang="ts">
import { dayHere } from '~/wording/days'
import { useCellarName } from '~/composables/useCellarName'
import { useGradually } from '~/composables/useGradually'
import { useCellarStore } from '~/stores/cellar'

/** The season's book: the records of all lots that were begun in a year, to print or keep as a PDF. */
const cellar = useCellarStore()
const route = useRoute()
const router = useRouter()
const yearOf = (at: string) => dayHere(at).slice(0, 4)
const years = computed(() => [...new Set(cellar.lots.map((l) => yearOf(l.startedAt)))].sort().toReversed())
const year = computed({
  get: () => (years.value.includes(String(route.query.year)) ? String(route.query.year) : (years.value[0] ?? '')),
  set: (y: string) => void router.replace({ query: { year: y } })
})
const lots = computed(() =>
  cellar.lots
    .filter((l) => yearOf(l.startedAt) === year.value && l.stream !== 'test')
    .toSorted((a, b) => (a.startedAt < b.startedAt ? -1 : 1)))
/** A book is long: a record after the other is drawn, and printed when all are. */
const drawn = useGradually(() => lots.value.length, 1)
const name = useCellarName()
const print = () => window.print()
useHead({ title: () => `Book of ${year.value} · Presk` })
</script>

<template>
  <div>
    <PrintHead back="/lots" label="lots" @print="print">
      <SelectField v-if="years.length > 1" v-model="year" label="Year" :items="years.map((value) => ({ value, label: value }))" />
      <span v-if="drawn < lots.length" role="status" class="soft">{{ drawn }} of {{ lots.length }} lots ready</span>
    </PrintHead>
    <header class="cover">
      <h1>{{ name }}, {{ year }}</h1>
      <p v-if="lots.length === 0">Nothing was started in this year.</p>
      <ol v-else class="list-decimal ps-6"><li v-for="l in lots" :key="l.id">{{ l.name }}</li></ol>
    </header>
    <LotRecord v-for="l in lots.slice(0, drawn)" :key="l.id" :lot="l" :level="2" class="mt-10" />
  </div>
</template>

<style scoped>
@media print { .cover { break-after: page; } }
</style>
