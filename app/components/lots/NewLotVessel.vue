<script setup lang="ts">
import type { NewLot } from '~/composables/useNewLot'
import { usualSizes } from '~~/core/cellar'
import { vesselWords } from '~/wording/terms'
import { sizesIn } from '~/wording/volume-units'
import { useFormat } from '~/composables/useFormat'

/** Where a new lot goes: an empty vessel, ranked by how it fits, a new one, or later. */
const props = defineProps<{ lot: NewLot }>()
const f = useFormat()
const { vesselChoice, vesselName, vesselKind, emptyVessels, sayFit, capacity, fit, willBe, capacityL, room } = props.lot
const kinds = computed(() => vesselWords(f.volumeUnit.value))
const usual = computed(() => sizesIn(capacity.unit, usualSizes(vesselKind.value, f.volumeUnit.value)))
const places = computed(() => [
  { value: 'none', label: 'Decide later' },
  ...emptyVessels.value.map((v) => ({
    value: v.id,
    label: v.name,
    hint: `${kinds.value[v.kind]}, ${f.words(f.volume(v.capacityL))}, ${sayFit(v.capacityL) ?? 'empty'}`
  })),
  { value: 'new', label: 'A new vessel' }
])
</script>

<template>
  <div class="grid gap-3">
    <ChoiceTiles v-model="vesselChoice" legend="Where is it?" :items="places" :least="170" />
    <div v-if="vesselChoice === 'new'" class="fieldgrid">
      <TextField v-model="vesselName" label="Name" />
      <SelectField v-model="vesselKind" label="Kind" :words="kinds" />
      <QuantityField label="Capacity" :field="capacity" hint="brim-full" :usual="usual" />
    </div>
    <FindingNote v-if="fit?.verdict === 'too-small'" tone="stop">
      {{ f.words(f.volume(willBe!)) }} do not fit into {{ f.words(f.volume(capacityL!)) }}. Choose a larger vessel, or decide later.
    </FindingNote>
    <FindingNote v-else-if="fit?.verdict === 'tight'">
      It would be {{ Math.round(fit.fullShare * 100) }} % full:
      {{ room === 'cap' ? 'the cap will overflow' : 'the foam will overflow' }}. {{ f.words(f.volume(fit.neededL)) }} would be enough, or
      split it between two.
    </FindingNote>
  </div>
</template>
