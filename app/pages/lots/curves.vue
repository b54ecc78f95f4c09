<script setup lang="ts">
import { fermentStart } from '~~/core/stages'
import { useCellarStore } from '~/stores/cellar'

/** Ferments laid over each other by their day, to compare this one with that. */
const cellar = useCellarStore()
const route = useRoute()
const router = useRouter()
const able = computed(() => cellar.lots.filter((lot) => fermentStart(lot) && (lot.series.sg?.length ?? 0) > 1))
const chosen = computed({
  get: () => {
    const asked = String(route.query.lots ?? '').split(',').filter(Boolean)
    const known = able.value.map((lot) => lot.id)
    return asked.length > 0 ? asked.filter((id) => known.includes(id)) : known.slice(0, 6)
  },
  set: (ids: string[]) => void router.replace({ query: { lots: ids.join(',') } })
})
const shown = computed(() => able.value.filter((lot) => chosen.value.includes(lot.id)))
const items = computed(() => able.value.map((lot) => ({ value: lot.id, label: lot.name })))
useHead({ title: 'Curves · Presk' })
</script>

<template>
  <div class="grid gap-4 [&>*]:min-w-0">
    <h1>Compare ferments</h1>
    <p v-if="!able.length" class="soft">No lot has two gravity readings from its ferment yet.</p>
    <template v-else>
      <TapMany v-model="chosen" legend="Lots" :items="items" />
      <FermentsOverlaid :lots="shown" />
    </template>
  </div>
</template>
