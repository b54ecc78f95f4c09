<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { sayWhen } from '~/wording/days'
import { sayFollowed } from '~/wording/followed'
import { useFollowed } from '~/composables/useFollowed'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'

/** A floating hydrometer in this lot: what it shows, what is wrong with what it sent, and how it is set right. */
const props = defineProps<{ lot: LotView }>()
const f = useFormat()
const now = useNow()
const follow = useFollowed(() => props.lot)
const wrong = computed(() => follow.findings.value.map(sayFollowed).join(', '))
</script>

<template>
  <section class="float" aria-label="Floating hydrometer">
    <template v-if="follow.instrument.value">
      <p class="soft small">{{ follow.instrument.value.name }}, simulated</p>
      <p v-if="follow.latest.value" aria-live="polite">
        <b v-if="follow.latest.value.sg !== undefined" class="figure">{{ follow.latest.value.sg.toFixed(3) }}</b>
        <template v-if="follow.latest.value.celsius !== undefined"> at {{ f.words(f.temperature(follow.latest.value.celsius)) }}</template>
        <span class="soft small block">{{ sayWhen(follow.latest.value.at, now) }}; four readings a day are stored</span>
      </p>
      <p v-if="follow.unreachable.value" class="soft small">It cannot be reached now. Stored readings are safe.</p>
      <p v-if="wrong" class="soft small">Left out or missing: {{ wrong }}.</p>
      <p v-if="follow.compared.value && Math.abs(follow.compared.value.by) > 0.0008" class="small">
        It showed {{ follow.compared.value.float.toFixed(3) }} when you read {{ follow.compared.value.hand.toFixed(3) }} by hand.
        <UButton variant="link" class="px-0" @click="follow.setByHand">Adjust it to my reading</UButton>
      </p>
    </template>
    <UButton v-else variant="link" class="px-0" icon="i-lucide-radio" @click="follow.pair">
      Follow a floating hydrometer (simulated)
    </UButton>
  </section>
</template>

<style scoped>
.float b {
  font-size: 1.5rem;
}
</style>
