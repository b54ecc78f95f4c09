<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import { type ColdCompared, coldCompared } from '~~/core/stages'
import { sayDayOf } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { withinLimits } from '~/composables/withinLimits'
import { useCellarStore } from '~/stores/cellar'

/** What the cold did to a wine, beside its forecast. */
const props = defineProps<{ lot: LotView }>()
const cellar = useCellarStore()
const f = useFormat()
const compared = computed(() => withinLimits(() => coldCompared(props.lot, cellar.state.cards)))
const SAYS = {
  ph: { 'as-foretold': 'as forecast', 'higher': 'higher than forecast', 'lower': 'lower than forecast' },
  ta: { 'as-foretold': 'as forecast', 'higher': 'less dropped than forecast', 'lower': 'more dropped than forecast' }
} as const
type Row = NonNullable<ColdCompared['ph']>
const row = (label: string, c: Row | undefined, digits: number, says: Record<Row['is'], string>) =>
  c
    ? [
        {
          label,
          before: c.before.toFixed(digits),
          foretold: `${c.band.low.toFixed(digits)} to ${c.band.high.toFixed(digits)}`,
          measured: c.measured.toFixed(digits),
          is: says[c.is]
        }
      ]
    : []
const rows = computed(() => [...row('pH', compared.value?.ph, 2, SAYS.ph), ...row('TA, g/L', compared.value?.taGPerL, 1, SAYS.ta)])
const weeks = computed(() => Math.max(1, Math.round(compared.value?.weeks ?? 0)))
</script>

<template>
  <section v-if="compared" class="grid gap-2" aria-label="Forecast and measured">
    <h2>What the cold did</h2>
    <FigureTable
      :caption="`Chilled ${sayDayOf(compared.chilledAt)}, read ${sayDayOf(compared.readAt)}`"
      :columns="[
        { key: 'label', label: '' },
        { key: 'before', label: 'Before', right: true },
        { key: 'foretold', label: 'Forecast', right: true },
        { key: 'measured', label: 'Measured', right: true, strong: true },
        { key: 'is', label: '' },
      ]"
      :rows="rows"
    />
    <p class="soft small">
      Forecast for {{ weeks === 1 ? 'a week' : `${weeks} weeks` }} at {{ f.words(f.temperature(Math.round(compared.celsius))) }}, from the
      readings before it.
      <template v-if="compared.disturbed">
        Acid, water, another wine or bacteria changed it in between, so this says nothing about the cold.
      </template>
    </p>
  </section>
</template>
