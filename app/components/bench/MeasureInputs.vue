<script setup lang="ts">
import type { MeasureBench } from '~/composables/useMeasureBench'

/** What was read of one sample: what this lot is measured by now, and the rest on a tap. Everything may be left out. */
const props = defineProps<{ bench: MeasureBench }>()
const { at, degassed, must, first, others, typedOther } = props.bench
// In the address: what is half typed there is put back into its field after a reload.
const route = useRoute()
const router = useRouter()
const opened = computed(() => route.query.more === '1')
const toggle = () => void router.replace({ query: { ...route.query, more: opened.value ? undefined : '1' } })
// What is typed is never hidden.
const open = computed(() => opened.value || typedOther.value)
</script>

<template>
  <section>
    <div class="inputs">
      <MeasureQuantity v-for="what in first" :key="what" :what="what" :bench="bench" />
    </div>
    <div v-if="open" class="inputs">
      <MeasureQuantity v-for="what in others" :key="what" :what="what" :bench="bench" />
    </div>
    <div class="rest">
      <UButton
        v-if="others.length && !typedOther"
        variant="link"
        class="px-0"
        :icon="open ? 'i-lucide-minus' : 'i-lucide-plus'"
        :aria-expanded="open"
        @click="toggle"
      >Other readings</UButton>
      <UCheckbox v-if="!must" v-model="degassed" label="Sample degassed" />
      <WhenField v-model="at" />
    </div>
  </section>
</template>

<style scoped>
.inputs {
  columns: 2;
  column-gap: 24px;
}
.inputs > :deep(*) {
  break-inside: avoid;
  padding-bottom: 18px;
}
.rest {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 28px;
}
@media (max-width: 480px) {
  .inputs {
    columns: 1;
  }
}
</style>
