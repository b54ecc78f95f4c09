<script setup lang="ts">
import type { YeastChoice as YeastFit } from '~~/core/yeast'
import type { YeastBench } from '~/composables/useYeastBench'
import { FIT, sayYeastReason } from '~/wording/yeast'
import { useFormat } from '~/composables/useFormat'

/** Which kind of yeast suits this must; what the packet calls it is written into the ledger. */
const props = defineProps<{ yeast: YeastBench }>()
const { lot, bench } = props.yeast
const f = useFormat()
const answer = computed(() => bench.answer.value)
const picked = computed({ get: () => answer.value.kind?.card.key ?? '', set: (key) => bench.set('kind', key) })
const ownName = computed({ get: () => bench.choices.ownName, set: (name) => bench.set('ownName', name) })
const hintOf = (c: YeastFit) => `${FIT[c.fit]}: ${f.degrees(c.reasons.map(sayYeastReason).join('; '))}`
</script>

<template>
  <div v-if="lot">
    <section class="grid gap-3 content-start">
      <ChoiceTiles
        v-if="answer.kinds.length"
        v-model="picked"
        :legend="`Which kind${answer.potential !== undefined ? `, for ${answer.potential.toFixed(1)} % vol to come` : ''}`"
        :least="300"
        :items="
          answer.kinds
            .slice(0, 4)
            .map((c) => ({ value: c.card.key, label: c.card.name, hint: hintOf(c) }))
        "
      />
      <p v-else class="soft">Measure the sugar first. The choice depends on the alcohol to come.</p>
      <TextField v-model="ownName" label="Name on the packet" :placeholder="answer.kind?.card.name" />
      <p><NuxtLink :to="`/bench/yeast?lot=${lot.id}`" class="textlink">All kinds, and the nutrient plan</NuxtLink></p>
    </section>
  </div>
</template>
