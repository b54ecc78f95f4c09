<script setup lang="ts">
import type { InstrumentState } from '~~/core/ledger'
import { sayWhen } from '~/wording/days'
import { sayFollowed } from '~/wording/followed'
import { useAir } from '~/composables/useAir'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'

/** One thermometer: what it shows, how the day went, and what is wrong with what it sent. */
const props = defineProps<{ instrument: InstrumentState }>()
const f = useFormat()
const now = useNow()
const air = useAir(() => props.instrument)
const wrong = computed(() => air.findings.value.map(sayFollowed).join(', '))
</script>

<template>
  <div>
    <p class="soft small">Beside {{ air.vessel.value?.name ?? 'a removed vessel' }}, simulated</p>
    <p v-if="air.latest.value" aria-live="polite">
      <b class="figure">{{ f.words(f.temperature(air.latest.value.celsius)) }}</b>
      <span class="soft small block">
        {{ sayWhen(air.latest.value.at, now)
        }}<template v-if="air.range.value">, today between {{ f.words(f.temperature(air.range.value.low)) }} and
          {{ f.words(f.temperature(air.range.value.high)) }}</template>; four readings a day are stored
      </span>
    </p>
    <p v-if="air.unreachable.value" class="soft small">It cannot be reached now. Stored readings are safe.</p>
    <p v-if="wrong" class="soft small">Left out or missing: {{ wrong }}.</p>
  </div>
</template>

<style scoped>
b {
  font-size: 1.5rem;
}
</style>
