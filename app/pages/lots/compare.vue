<script setup lang="ts">
import { DIFFERS, compareLots, earlierLike } from '~~/core/compare'
import { sayCompared, sayComparedValue } from '~/wording/compare'
import { sayDayOf } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useCellarStore } from '~/stores/cellar'

/** Lots or years beside each other, what differs first. */
const cellar = useCellarStore()
const route = useRoute()
const router = useRouter()
const f = useFormat()
const materials = useMaterials()
const format = { ...f, material: materials.title }
const able = computed(() => cellar.lots.filter((l) => l.stream !== 'test'))
const chosen = computed({
  get: () => {
    const known = new Set(able.value.map((l) => l.id))
    return String(route.query.lots ?? '').split(',').filter((id) => known.has(id))
  },
  set: (ids: string[]) => void router.replace({ query: { lots: ids.join(',') || undefined } })
})
const lots = computed(() => chosen.value.flatMap((id) => cellar.lotOf(id) ?? []))
/** A pair to begin with: the last lot that has an earlier like. */
const offered = computed(() => {
  for (const lot of able.value) {
    const before = earlierLike(lot, able.value)
    if (before) return [lot, before] as const
  }
  return undefined
})
const rows = computed(() => (lots.value.length < 2 ? [] : compareLots(lots.value)))
const differs = computed(() => rows.value.filter((r) => r.apart >= DIFFERS))
const same = computed(() => rows.value.filter((r) => r.apart < DIFFERS))
const notes = computed(() => lots.value.map((lot) =>
  cellar.facts.flatMap(({ fact, struck }) =>
    !struck && fact.type === 'observation' && fact.what === 'next-time' && fact.lotId === lot.id ? [fact.text] : [])))
const items = computed(() => able.value.map((l) => ({ value: l.id, label: l.vintage ? `${l.name}, ${l.vintage}` : l.name })))
useHead({ title: 'Compare · Presk' })
</script>

<template>
  <div class="compare">
    <h1>Compare lots</h1>
    <TapMany v-model="chosen" legend="Lots" :items="items" />
    <p v-if="lots.length < 2" class="soft">
      Choose two or more.
      <UButton v-if="offered" variant="link" class="p-0" @click="chosen = offered.map((l) => l.id)">
        {{ offered[0].name }} beside {{ offered[1].name }}
      </UButton>
    </p>
    <template v-else>
      <div class="roll" tabindex="0" role="region" aria-label="Lots beside each other">
        <table>
          <thead>
            <tr>
              <td />
              <th v-for="l in lots" :key="l.id" scope="col">
                <NuxtLink :to="`/lots/${l.id}`" class="textlink">{{ l.name }}</NuxtLink>
                <span class="soft small block">{{ [l.vintage, `from ${sayDayOf(l.startedAt)}`].filter(Boolean).join(', ') }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr><th :colspan="lots.length + 1" scope="colgroup" class="group">What differs</th></tr>
            <tr v-if="differs.length === 0"><td :colspan="lots.length + 1" class="soft">Nothing that anybody would notice.</td></tr>
            <tr v-for="r in differs" :key="JSON.stringify(r.of)">
              <th scope="row">{{ sayCompared(r, format) }}</th>
              <td v-for="(v, i) in r.values" :key="i" class="figure">{{ sayComparedValue(r, v, format) }}</td>
            </tr>
          </tbody>
          <tbody>
            <tr><th :colspan="lots.length + 1" scope="colgroup" class="group">Much the same, or known of one only</th></tr>
            <tr v-for="r in same" :key="JSON.stringify(r.of)" class="same">
              <th scope="row">{{ sayCompared(r, format) }}</th>
              <td v-for="(v, i) in r.values" :key="i">{{ sayComparedValue(r, v, format) }}</td>
            </tr>
            <tr v-if="notes.some((n) => n.length)">
              <th scope="row">Noted for next time</th>
              <td v-for="(n, i) in notes" :key="i">{{ n.join(' ') || '–' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <h2>Ferments by day</h2>
      <FermentsOverlaid :lots="lots" />
    </template>
  </div>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 16px;
}
.compare > * {
  min-width: 0;
}
.roll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  min-width: min(100%, 40rem);
}
th,
td {
  text-align: left;
  padding: 7px 24px 7px 0;
  border-top: 1.5px solid var(--line);
  font-weight: 400;
  vertical-align: top;
}
thead > tr > * {
  border-top: 0;
}
.group {
  font-weight: 700;
  padding-top: 16px;
}
.same td {
  color: var(--ink-soft);
}
</style>
