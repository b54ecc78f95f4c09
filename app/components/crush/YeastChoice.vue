<script setup lang="ts">
import type { YeastChoice as YeastFit } from '~~/core/yeast'
import type { YeastBench } from '~/composables/useYeastBench'
import { FIT, sayYeastReason } from '~/wording/yeast'

/** Which kind of yeast suits this must; what the packet calls it is written into the ledger. */
const props = defineProps<{ bench: YeastBench }>()
const { lot, choices, picked, potential, card, ownName } = props.bench
const f = useFormat()
const hintOf = (c: YeastFit) => `${FIT[c.fit]}: ${f.degrees(c.reasons.map(sayYeastReason).join('; '))}`
</script>

<template>
  <div v-if="lot">
    <section class="grid gap-3 content-start">
      <ChoiceTiles
        v-if="choices.length"
        v-model="picked"
        :legend="`Which kind${potential !== undefined ? `, for ${potential.toFixed(1)} % vol to come` : ''}`"
        :least="300"
        :items="
          choices
            .slice(0, 4)
            .map((c) => ({ value: c.card.key, label: c.card.name, hint: hintOf(c) }))
        "
      />
      <p v-else class="soft">Measure the sugar first. The choice depends on the alcohol to come.</p>
      <TextField v-model="ownName" label="Name on the packet" :placeholder="card?.card.name" />
      <p><NuxtLink :to="`/bench/yeast?lot=${lot.id}`" class="textlink">All kinds, and the nutrient plan</NuxtLink></p>
    </section>
  </div>
</template>
