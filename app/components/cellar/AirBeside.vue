<script setup lang="ts">
import type { InstrumentState } from '~~/core/ledger'
import { sayWhen } from '~/wording/days'
import { sayFollowed } from '~/wording/followed'

/** One thermometer: what it shows, how the day went, and what is wrong with what it sent. */
const props = defineProps<{ instrument: InstrumentState }>()
const f = useFormat()
const now = useNow()
const air = useAir(() => props.instrument)
const wrong = computed(() => air.findings.value.map(sayFollowed).join(', '))
</script>

<template>
  <div>
    <p class="soft small">Beside {{ air.vessel.value?.name ?? 'a vessel that is gone' }}, simulated</p>
    <p v-if="air.latest.value" aria-live="polite">
      <b class="figure">{{ f.words(f.temperature(air.latest.value.celsius)) }}</b>
      <span class="soft small block">
        {{ sayWhen(air.latest.value.at, now)
        }}<template v-if="air.range.value">, a day between {{ f.words(f.temperature(air.range.value.low)) }} and
          {{ f.words(f.temperature(air.range.value.high)) }}</template>; four readings a day are kept
      </span>
    </p>
    <p v-if="air.unreachable.value" class="soft small">It cannot be reached now. What was kept stands.</p>
    <p v-if="wrong" class="soft small">Left out or wanting: {{ wrong }}.</p>
  </div>
</template>

<style scoped>
b {
  font-size: 1.5rem;
}
</style>
