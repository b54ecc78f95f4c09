<script setup lang="ts">
import { counted } from '~/wording/count'
import { focusWrong } from '~/composables/focusWrong'
import { useLogged } from '~/composables/useLogged'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { useMeasureBench } from '~/composables/useMeasureBench'
import { useCellarStore } from '~/stores/cellar'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const logged = useLogged()
const route = useRoute()
const bench = useMeasureBench(lot, () => (typeof route.query.what === 'string' ? route.query.what : undefined))
const saving = ref(false)
const tried = ref(false)

async function log() {
  tried.value = true
  bench.touchAll()
  if (!lot.value || bench.nothing.value || !bench.ok.value) return focusWrong()
  saving.value = true
  const written = await cellar.log(bench.drafts(lot.value.id))
  saving.value = false
  if (!written) return
  const { id, name } = lot.value
  logged(`${counted(written.length, 'reading')} logged for ${name}`)
  await navigateTo(route.query.back === 'crush' ? `/crush/${id}` : `/lots/${id}`)
}
useHead({ title: 'Measure · Presk' })
</script>

<template>
  <form novalidate class="bench" @submit.prevent="log">
    <div class="title">
      <h1>Measure</h1>
      <BenchLotPicker :lot="lot" />
    </div>
    <MeasureInputs :bench="bench" />
    <MeasureResults :bench="bench" :lot="lot" />
    <div class="go foot-bar">
      <UButton v-if="lot" type="submit" size="xl" :loading="saving" class="max-w-full">
        <span class="truncate">Log for {{ lot.name }}</span>
      </UButton>
      <p v-else class="soft">Choose a lot above to log these readings.</p>
      <p v-if="tried && bench.nothing.value && lot" class="message" role="alert">There is nothing to log yet.</p>
    </div>
  </form>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px 56px;
  align-items: start;
}
.title {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
}
.go {
  grid-column: 1;
}
@media (max-width: 900px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
  .go {
    position: sticky;
    bottom: 0;
    padding: 12px 0;
    /* Solid, as what scrolls under it is read through it otherwise. */
    background: var(--ground);
    border-top: 1.5px solid var(--line);
  }
}
@media (max-width: 760px) {
  .go {
    bottom: 64px;
  }
}
</style>
