<script setup lang="ts">
import { isMust } from '~~/core/ledger'
import { STANDING, STYLE } from '~/wording/terms'

const floor = useFloor()
const f = useFormat()
const wanted = ref('')
/** Many lots are found by a word of their name, their style or their stage. */
const shown = computed(() => {
  const words = wanted.value.trim().toLowerCase()
  return floor.items.value.filter(
    ({ lot }) => !words || `${lot.name} ${STYLE[lot.style]} ${STANDING[lot.standing]} ${lot.vintage ?? ''}`.toLowerCase().includes(words)
  )
})
useHead({ title: 'Lots · Presk' })
</script>

<template>
  <div>
    <PageHead title="Lots">
      <UButton to="/lots/new" size="lg" icon="i-lucide-plus">Start a lot</UButton>
    </PageHead>
    <TextField
      v-if="floor.items.value.length > 8"
      v-model="wanted"
      label="Find a lot"
      hint="by name, style, vintage or stage"
      class="max-w-md mb-4"
    />
    <p v-if="floor.items.value.length === 0" class="soft">No lots yet. Start one when fruit, must or a kit arrives.</p>
    <ul v-else class="lots">
      <li v-for="{ lot, next } in shown" :key="lot.id">
        <NuxtLink :to="`/lots/${lot.id}`">
          <span class="swatch" :style="{ background: wineColour(lot) }" aria-hidden="true" />
          <span class="name">
            <b class="display">{{ lot.name }}</b>
            <span class="soft small"
            >{{ STYLE[lot.style] }}, {{ STANDING[lot.standing].toLowerCase()
            }}<template v-if="lot.vintage">, {{ lot.vintage }}</template></span
            >
          </span>
          <span class="nums">
            <span class="figure">{{ f.words(f.volume(lot.volume.value)) }}</span>
            <span v-if="lot.sg" class="figure">{{ f.words(isMust(lot) ? f.sugar(lot.sg.value) : f.gravity(lot.sg.value)) }}</span>
            <span v-if="lot.ph" class="figure">pH {{ lot.ph.value.toFixed(2) }}</span>
          </span>
          <span>{{ next.words.title }}</span>
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.lots a {
  display: grid;
  grid-template-columns: 10px minmax(9rem, 1fr) minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 6px 20px;
  align-items: center;
  padding: 14px 8px;
  border-top: 1.5px solid var(--line);
}
.lots a:hover {
  background: var(--sheet);
}
.name {
  display: grid;
}
.name b {
  font-size: 1.3rem;
  overflow-wrap: anywhere;
}
.nums {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  font-size: 1.1rem;
}
@media (max-width: 700px) {
  .lots a {
    grid-template-columns: 10px 1fr;
  }
  .swatch {
    grid-row: 1 / 4;
  }
  .lots a > :nth-child(n + 3) {
    grid-column: 2;
  }
}
</style>
