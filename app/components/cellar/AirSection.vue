<script setup lang="ts">
import { useHangThermometer } from '~/composables/useAir'
import { useCellarStore } from '~/stores/cellar'
/** How warm the cellar is, beside the vessels that somebody wants to know it of. */
const cellar = useCellarStore()
const hang = useHangThermometer()
const hung = computed(() => [...cellar.state.instruments.values()].filter((i) => i.kind === 'thermometer' && i.follows?.vesselId))
const free = computed(() =>
  [...cellar.state.vessels.values()]
    .filter((v) => !hung.value.some((i) => i.follows?.vesselId === v.id))
    .map((v) => ({ value: v.id, label: v.name }))
)
const beside = ref('')
watch(
  free,
  (are) => {
    if (!are.some((v) => v.value === beside.value)) beside.value = are[0]?.value ?? ''
  },
  { immediate: true }
)
</script>

<template>
  <section v-if="cellar.state.vessels.size" class="grid gap-3" aria-label="Room temperature">
    <h2>Room temperature</h2>
    <AirBeside v-for="i in hung" :key="i.id" :instrument="i" />
    <p v-if="!hung.length" class="soft">
      A thermometer beside a vessel shows where its wine is heading, and whether a heater or cooler has failed.
    </p>
    <div v-if="free.length" class="hang">
      <SelectField v-model="beside" label="Next to" :items="free" />
      <UButton variant="outline" size="lg" icon="i-lucide-thermometer" @click="hang(beside)">Add a thermometer (simulated)</UButton>
    </div>
  </section>
</template>

<style scoped>
.hang {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
}
</style>
