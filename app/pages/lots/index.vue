<script setup lang="ts">
import { STAGE, STYLE } from '~/wording/terms'

const floor = useFloor()
const f = useFormat()
useHead({ title: 'Lots · Presk' })
</script>

<template>
  <div>
    <div class="head"><h1>Lots</h1><UButton to="/lots/new" size="lg" icon="i-lucide-plus">Start a lot</UButton></div>
    <p v-if="floor.items.value.length === 0" class="soft">No lot yet. A lot begins when fruit, must or a kit arrives.</p>
    <ul v-else class="lots">
      <li v-for="{ lot, words } in floor.items.value" :key="lot.id">
        <NuxtLink :to="`/lots/${lot.id}`">
          <span class="swatch" :style="{ background: wineColour(lot) }" aria-hidden="true" />
          <span class="name"><b class="display">{{ lot.name }}</b><span class="soft small">{{ STYLE[lot.style] }}, {{ STAGE[lot.stage].toLowerCase() }}<template v-if="lot.vintage">, {{ lot.vintage }}</template></span></span>
          <span class="nums"><span class="figure">{{ f.words(f.volume(lot.volume.value)) }}</span><span v-if="lot.sg" class="figure">{{ f.words(lot.stage === 'must' ? f.sugar(lot.sg.value) : f.gravity(lot.sg.value)) }}</span><span v-if="lot.ph" class="figure">pH {{ lot.ph.value.toFixed(2) }}</span></span>
          <span class="next">{{ words.title }}</span>
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.head { display: flex; justify-content: space-between; align-items: center; margin-bottom: 14px; }
.lots a { display: grid; grid-template-columns: 10px minmax(9rem, 1fr) minmax(0, 1.4fr) minmax(0, 1fr); gap: 6px 20px; align-items: center; padding: 14px 8px; border-top: 1.5px solid var(--line); }
.lots a:hover { background: var(--sheet); }
.swatch { width: 10px; height: 44px; border-radius: 5px; }
.name { display: grid; }
.name b { font-size: 1.3rem; overflow-wrap: anywhere; }
.nums { display: flex; flex-wrap: wrap; gap: 4px 22px; font-size: 1.1rem; }
@media (max-width: 700px) { .lots a { grid-template-columns: 10px 1fr; } .swatch { grid-row: 1 / 4; height: 100%; } .nums, .next { grid-column: 2; } }
</style>
