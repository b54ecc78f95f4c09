<script setup lang="ts">
import { type LotView, paidPerLitre } from '~~/core/ledger'
import { COST } from '~/wording/terms'
import { useMaterials } from '~/composables/useMaterials'

/** What a lot cost so far, what it was spent on, and what that makes a bottle. */
const props = defineProps<{ lot: LotView }>()
const materials = useMaterials()
const BOTTLE_L = 0.75
const perLitre = computed(() => paidPerLitre(props.lot))
const money = (n: number) => n.toFixed(2)
const parts = computed(() =>
  [...props.lot.paid.of]
    .map(([of, spent]) => ({ of: of in COST ? COST[of as keyof typeof COST] : materials.title(of), spent }))
    .sort((a, b) => b.spent - a.spent)
)
const unpriced = computed(() => [...props.lot.paid.unpriced].map((key) => materials.name(key)))
</script>

<template>
  <section v-if="lot.paid.money > 0" aria-label="Cost">
    <h2>Cost</h2>
    <dl class="pairs mt-2">
      <div v-for="p in parts" :key="p.of">
        <dt>{{ p.of }}</dt>
        <dd class="figure">{{ money(p.spent) }}</dd>
      </div>
      <div v-if="perLitre !== undefined">
        <dt>A bottle of 750 mL</dt>
        <dd>
          <b class="figure">{{ money(perLitre * BOTTLE_L) }}</b>
          <span class="soft small block">{{ money(lot.paid.money) }} for all wine held or bottled</span>
        </dd>
      </div>
    </dl>
    <p v-if="unpriced.length" class="soft small mt-2">
      Without a price, so not included: {{ unpriced.join(', ') }}. <NuxtLink to="/stores/supplies" class="textlink">Supplies</NuxtLink>
    </p>
  </section>
</template>
