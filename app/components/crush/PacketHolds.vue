<script setup lang="ts">
import { type LotView, PACKET_MATERIALS, partsOfPacket } from '~~/core/ledger'
import { useFormat } from '~/composables/useFormat'
import { useMaterials } from '~/composables/useMaterials'
import { useQuantityField } from '~/composables/useQuantityField'
import { useStepLog } from '~/composables/useStepLog'

/** What a packet of a kit holds: what is usual until somebody reads it off the packet. It counts as an addition when it goes in. */
const props = defineProps<{ lot: LotView, index: number }>()
const materials = useMaterials()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
const packet = computed(() => props.lot.kit?.packets[props.index])
const litres = computed(() => Math.max(1, props.lot.volume.value))
const parts = computed(() => (packet.value ? partsOfPacket(packet.value, litres.value) : []))
const said = computed(() => packet.value?.holds !== undefined)
const list = computed(() =>
  parts.value.map((p) => `${materials.name(p.material)}, ${said.value ? '' : 'about '}${f.words(f.powder(p.amount))}`).join('; '))

const open = ref(false)
const chosen = ref<string[]>([])
const amounts = Object.fromEntries(
  PACKET_MATERIALS.map((key) => [
    key,
    useQuantityField({ kind: 'plain', unit: '', limits: { min: 0.01, max: 10_000, words: 'Between 0.01 and 10,000.' } })
  ])
)
const items = computed(() => PACKET_MATERIALS.map((value) => ({ value, label: materials.title(value) })))
function ask() {
  chosen.value = parts.value.map((p) => p.material)
  open.value = true
}
async function save() {
  const holds = chosen.value.map((material) => {
    const amount = amounts[material]?.value
    return { material, ...(amount !== undefined && { amount }) }
  })
  const packets = (props.lot.kit?.packets ?? []).map((p, i) => (i === props.index ? { ...p, holds } : p))
  const said = `${packet.value?.name ?? 'Packet'}: contents saved`
  if (await write([{ type: 'lot-amended', lotId: props.lot.id, packets }], said)) open.value = false
}
</script>

<template>
  <div class="holds small">
    <p class="soft">
      <template v-if="parts.length">{{ said ? 'Holds' : 'Nobody has said what it holds. Usually' }}: {{ list }}.</template>
      <template v-else-if="said">Contains nothing that Presk counts.</template>
      <UButton v-if="!open" variant="link" class="px-0" :aria-label="`What ${packet?.name ?? 'the packet'} holds`" @click="ask()">{{
        said ? 'Change' : 'Enter the contents'
      }}</UButton>
    </p>
    <form v-if="open" novalidate class="grid gap-3" @submit.prevent="save">
      <TapMany v-model="chosen" legend="Contents" :items="items" />
      <QuantityField
        v-for="m in chosen"
        :key="m"
        :label="materials.title(m)"
        :field="amounts[m]!"
        unit-label="g"
        hint="leave empty for the usual amount"
      />
      <div class="flex gap-3">
        <UButton type="submit" size="lg" :loading="saving">Save</UButton>
        <UButton variant="link" @click="open = false">Cancel</UButton>
      </div>
    </form>
  </div>
</template>

<style scoped>
.holds {
  display: grid;
  gap: 10px;
}
</style>
