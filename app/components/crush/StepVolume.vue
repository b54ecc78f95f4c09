<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { fromLitres } from '~~/core/units'
import { useFormat } from '~/composables/useFormat'
import { useStepLog } from '~/composables/useStepLog'
import { useVolumeField } from '~/composables/usualFields'
import { useCellarStore } from '~/stores/cellar'

const props = defineProps<{ lot: LotView }>()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
const volume = useVolumeField()
const capacity = useCellarStore()
const room = computed(() =>
  [...props.lot.contents.keys()].reduce((sum, id) => sum + (capacity.state.vessels.get(id)?.capacityL ?? Infinity), 0)
)
const overfull = computed(() => volume.value !== undefined && volume.value > room.value * 1.001)
async function log() {
  volume.touch()
  if (volume.value === undefined || overfull.value) return
  await write(
    [{ type: 'reading', lotId: props.lot.id, quantity: 'volume', typed: volume.text.trim(), value: volume.value }],
    `Volume logged for ${props.lot.name}`
  )
}
</script>

<template>
  <form novalidate class="grid gap-4" @submit.prevent="log">
    <p class="soft">
      So far {{ f.words(f.volume(lot.volume.value)) }} of juice {{ lot.volume.origin === 'estimated' ? 'are expected' : 'were measured'
      }}{{ lot.massKg ? ` from ${f.words(f.mass(lot.massKg))} of fruit` : '' }}. Count only the juice, without skins.
    </p>
    <div class="fieldline">
      <QuantityField
        label="Juice in the vessel"
        :field="volume"
        :hint="`expected ${fromLitres(lot.volume.value, f.volumeUnit.value).toPrecision(3)}`"
      /><UButton type="submit" size="xl" :loading="saving">Log volume</UButton>
    </div>
    <FindingNote v-if="overfull" tone="stop"
    >The vessel holds only {{ f.words(f.volume(room)) }}. Move part of it first, or measure again.</FindingNote
    >
  </form>
</template>
