<script setup lang="ts">
import { counted } from '~/wording/count'
import type { YeastBench } from '~/composables/useYeastBench'
import { useFormat } from '~/composables/useFormat'

/** When yeast is short it is built up, and shared over all lots that wait for it. */
const props = defineProps<{ bench: YeastBench['bench'] }>()
const { answer } = props.bench
const f = useFormat()
const needed = computed(() => f.words(f.powder(answer.value.neededG)))
const who = computed(() => {
  const lots = answer.value.waiting.length
  return lots > 1 ? `${counted(lots, 'lot')} are waiting for yeast and need` : 'This must needs'
})
const shares = computed(() =>
  answer.value.starter?.shares.map((s, i) => `${f.words(f.volume(s.starterL))} into ${answer.value.waiting[i]!.name}`).join(', ')
)
</script>

<template>
  <FoldOut label="Not enough yeast?">
    <div class="grid gap-3">
      <BenchFields :bench="bench" part="short" />
      <p v-if="answer.store !== undefined" class="soft small">{{ f.words(f.powder(answer.store)) }} in store</p>
      <template v-if="answer.starter">
        <p>
          {{ who }} {{ needed }}. As a starter in boiled and cooled juice, fed every 12 hours, yours is enough after
          <b>{{ answer.starter.totalHours }} hours</b>:
        </p>
        <ol class="timed">
          <li v-for="s in answer.starter.steps" :key="s.atHours">
            <span class="figure">{{ s.atHours }} h</span
            ><span
            >{{ s.atHours === 0 ? 'yeast into' : 'feed with' }} {{ f.words(f.volume(s.addJuiceL)) }}:
              {{ f.words(f.volume(s.volumeL)) }} in all</span
            >
          </li>
        </ol>
        <p v-if="answer.waiting.length > 1">Then {{ shares }}.</p>
      </template>
      <p v-else-if="answer.there !== undefined" class="soft">
        {{ answer.waiting.length > 1 ? `Enough for the ${answer.waiting.length} lots that wait` : 'Enough' }}: {{ needed }}.
      </p>
    </div>
  </FoldOut>
</template>
