<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { meetings } from '~~/core/stages'
import { MEETING } from '~/wording/moving'
import { useNow } from '~/composables/useNow'

/** What goes wrong where so much of these wines comes together: what is lost for good first. */
const props = defineProps<{ parts: readonly { lot: LotView | undefined, litres: number | undefined }[] }>()
const now = useNow()
const parts = computed(() =>
  props.parts.flatMap(({ lot, litres }) => (lot === undefined || litres === undefined ? [] : [{ lot, litres }]))
)
const nameOf = (id: string) => parts.value.find((p) => p.lot.id === id)!.lot.name
const found = computed(() => meetings(parts.value, now.value))
</script>

<template>
  <div v-if="found.length" class="grid gap-2" role="status">
    <FindingNote v-for="m in found" :key="`${m.code}${m.fromId}${m.intoId}`" :tone="m.never ? 'stop' : 'ask'">
      {{ MEETING[m.code](nameOf(m.fromId), nameOf(m.intoId)) }}
    </FindingNote>
  </div>
</template>
