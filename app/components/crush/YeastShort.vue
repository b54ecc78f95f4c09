<script setup lang="ts">
import { counted } from '~/wording/count'
import type { YeastBench } from '~/composables/useYeastBench'

/** When yeast is short it is built up, and shared over all lots that wait for it. */
const props = defineProps<{ bench: YeastBench }>()
const { have, store, starter, waiting, needed, there } = props.bench
const f = useFormat()
</script>

<template>
  <FoldOut label="Not enough yeast?">
    <div class="grid gap-3">
      <QuantityField
        label="Yeast you have"
        :field="have"
        unit-label="g"
        :hint="store !== undefined ? `${f.words(f.powder(store))} in store` : 'all packets together'"
      />
      <template v-if="starter">
        <p>
          {{ waiting.length }} lots are waiting for yeast and need {{ f.words(f.powder(needed)) }}. As a starter in boiled and cooled juice,
          fed every 12 hours, yours is enough after <b>{{ starter.totalHours }} hours</b>:
        </p>
        <ol class="timed">
          <li v-for="s in starter.steps" :key="s.atHours">
            <span class="figure">{{ s.atHours }} h</span
            ><span
            >{{ s.atHours === 0 ? 'yeast into' : 'feed with' }} {{ f.words(f.volume(s.addJuiceL)) }}:
              {{ f.words(f.volume(s.volumeL)) }} in all</span
            >
          </li>
        </ol>
        <p>Then {{ starter.shares.map((s, i) => `${f.words(f.volume(s.starterL))} into ${waiting[i]!.name}`).join(', ') }}.</p>
      </template>
      <p v-else-if="there !== undefined" class="soft">
        Enough for the {{ counted(waiting.length, 'lot') }} that {{ waiting.length === 1 ? 'waits' : 'wait' }}:
        {{ f.words(f.powder(needed)) }}.
      </p>
    </div>
  </FoldOut>
</template>
