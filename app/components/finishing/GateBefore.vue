<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import type { Gate } from '~~/core/stages'
import { GATE, sayCondition } from '~/wording/readiness'
import { useFormat } from '~/composables/useFormat'
import { useReadiness } from '~/composables/useReadiness'

/** Before a step that cannot be undone: what is missing, and going on only knowingly, which is logged. */
const props = defineProps<{ lot: LotView, gate: Gate }>()
const f = useFormat()
const knows = defineModel<boolean>({ required: true })
const { open, ready, isHard } = useReadiness(() => props.lot, () => props.gate)
const hard = computed(() => open.value.filter((c) => isHard(c.code)))
const shown = computed(() => (hard.value.length ? hard.value : open.value.slice(0, 3)))
</script>

<template>
  <FindingNote v-if="!ready" :tone="hard.length ? 'stop' : 'ask'">
    <b>{{ lot.name }} is not ready: {{ GATE[gate].label.toLowerCase() }}.</b>
    <ul class="list-disc ps-5 my-1">
      <li v-for="c in shown" :key="c.code">{{ f.degrees(sayCondition(c)) }}</li>
    </ul>
    <NuxtLink :to="`/lots/${lot.id}/ready?for=${gate}`" class="textlink">
      {{ open.length > shown.length ? `All ${open.length} that are open` : 'All of its conditions' }}
    </NuxtLink>
    <UCheckbox
      v-model="knows"
      class="mt-2"
      label="I know, and want to go ahead"
      description="This is noted in the history, with what was open."
      :ui="{ description: 'text-(--ink)' }"
    />
  </FindingNote>
</template>
