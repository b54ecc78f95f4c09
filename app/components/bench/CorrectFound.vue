<script setup lang="ts">
import type { CorrectBench } from '~/composables/useCorrectBench'
import { MUST_MATERIAL, sayMiss } from '~/wording/acids'
import { sayFinderReason, sayWhy } from '~/wording/verdict'

/** What the finder proposes, why, and where the wine will end with it. */
const props = defineProps<{ bench: CorrectBench }>()
const { finishing, amount } = props.bench
const found = computed(() => props.bench.found.value!)
const range = (b: { low: number, high: number }, decimals: number) => `${b.low.toFixed(decimals)} to ${b.high.toFixed(decimals)}`
</script>

<template>
  <section class="grid gap-3">
    <h2>{{ found.additions.length ? 'Proposed' : 'Nothing to add' }}</h2>
    <ul v-if="found.additions.length" class="proposal">
      <li v-for="a in found.additions" :key="a.material">
        <b>{{ MUST_MATERIAL[a.material] }}</b> <span class="figure">{{ amount(a) }}</span>
        <span class="soft">
          in all{{ finishing ? '' : `; first ${amount({ total: a.stages[0]!.amount, unit: a.unit })}, mix, measure, then the rest` }}.
          {{ sayWhy(a.material, found.reasons, bench.plan) }}</span
        >
      </li>
    </ul>
    <p
      v-for="r in found.reasons.filter((x) => x.code !== 'brings-in')"
      :key="`${r.code}${'quantity' in r ? r.quantity : ''}`"
    >
      {{ sayFinderReason(r, bench.plan) }}
    </p>
    <p class="soft">
      After the ferment the finished wine should read pH {{ range(found.asWine.ph, 1) }} and TA
      {{ range(found.asWine.taGPerL, 1) }} g/L, in four cases of five.
    </p>
    <FindingNote v-for="m in found.missed" :key="m.quantity" tone="ask">{{ sayMiss(m) }}</FindingNote>
    <p v-if="found.trade" class="soft">
      If pH came first, whatever the TA:
      {{ found.trade.additions.map((a) => `${MUST_MATERIAL[a.material].toLowerCase()} ${amount(a)}`).join(', ') }} would
      bring it to pH {{ found.trade.predicted.ph.toFixed(2) }} and TA
      {{ found.trade.predicted.taGPerL.toFixed(1) }} g/L. It would taste hard.
    </p>
  </section>
</template>

<style scoped>
.proposal {
  display: grid;
  gap: 8px;
}
.proposal .figure {
  font-size: 1.4rem;
  margin: 0 4px;
}
</style>
