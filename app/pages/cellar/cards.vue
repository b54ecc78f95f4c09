<script setup lang="ts">
import { codeIn } from '~~/core/labels'
import { isHeld } from '~~/core/ledger'
import { sayLongDay } from '~/wording/days'
import { STYLE } from '~/wording/terms'
import { useFormat } from '~/composables/useFormat'
import { useCellarStore } from '~/stores/cellar'

/** Cards to hang on the vessels: name, what is in it, and a code that opens its lot. */
const cellar = useCellarStore()
const f = useFormat()
const origin = globalThis.location?.origin ?? ''
const cards = computed(() =>
  cellar.lots.filter(isHeld).flatMap((lot) => [...lot.contents].map(([id, litres]) => ({
    id: `${lot.id} ${id}`, lot, litres, vessel: cellar.state.vessels.get(id)?.name ?? 'Vessel', code: pathOf(`${origin}/lots/${lot.id}`)
  }))))
/** The code's dots in a square of 25 mm. */
const SIDE_MM = 25
function pathOf(text: string): string {
  const shape = codeIn([text], 0, 0, SIDE_MM)?.shapes.find((s) => s.is === 'path')
  return shape?.d ?? ''
}
const print = () => window.print()
useHead({ title: 'Vessel cards · Presk' })
</script>

<template>
  <div>
    <PrintHead back="/cellar" label="the cellar" @print="print" />
    <h1 class="noprint">Vessel cards</h1>
    <p class="soft noprint mb-4">Cut them out and hang them on. A phone that reads the code opens the lot in Presk.</p>
    <p v-if="!cards.length">No vessel holds anything.</p>
    <ul class="cards">
      <li v-for="c in cards" :key="c.id">
        <div>
          <h2>{{ c.lot.name }}</h2>
          <p>{{ [STYLE[c.lot.style], c.lot.vintage].filter(Boolean).join(', ') }}</p>
          <p class="small">{{ c.vessel }}, {{ f.words(f.volume(c.litres)) }}</p>
          <p class="small">Started {{ sayLongDay(c.lot.startedAt) }}</p>
        </div>
        <svg v-if="c.code" :viewBox="`0 0 ${SIDE_MM} ${SIDE_MM}`" role="img" :aria-label="`Code that opens ${c.lot.name}`">
          <path :d="c.code" fill="#000" />
        </svg>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.cards { display: grid; grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr)); gap: 14px; }
.cards li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px;
  gap: 12px;
  padding: 16px;
  border: 1.5px dashed var(--line-strong);
  /* Paper: black on white in both themes, so that the code is read. */
  background: #fff;
  color: #000;
  break-inside: avoid;
}
svg { width: 96px; height: 96px; }
</style>
