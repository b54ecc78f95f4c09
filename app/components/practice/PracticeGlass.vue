<script setup lang="ts">
import type { StabilityTest } from '~~/core/finishing'
import { GLASS_SHOWS } from '~/wording/practice'
import { usePracticeStore } from '~/stores/practice'

/** What is to be seen in the glass of a test that has run its time: nobody can look at it in a season that is practised. */
const props = defineProps<{ lotId: string, test: StabilityTest }>()
const practice = usePracticeStore()
const sample = shallowRef<Awaited<ReturnType<typeof practice.sample>>>()
onMounted(async () => {
  sample.value = await practice.sample(props.lotId)
})
</script>

<template>
  <p v-if="sample">{{ GLASS_SHOWS[test][sample.senses.staysClear[test] ? 'clear' : 'fallen'] }}</p>
</template>
