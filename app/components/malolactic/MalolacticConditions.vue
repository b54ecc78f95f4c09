<script setup lang="ts">
import type { Limiting } from '~~/core/malolactic'
import type { LotView } from '~~/core/ledger'
import type { LotConditions } from '~~/core/stages'
import { CONDITION, sayFactor } from '~/wording/malolactic'
import { sayCondition } from '~/wording/findings/malolactic'
import { useFormat } from '~/composables/useFormat'

/** What bacteria find in a wine: each condition with its value, and what to do about what holds them up. */
const props = defineProps<{ lot: LotView, found: LotConditions }>()
const f = useFormat()
const valueOf = (key: Limiting): string => {
  const { lot, found } = props
  switch (key) {
    case 'ph':
      return lot.ph!.value.toFixed(2)
    case 'abv':
      return lot.abv ? `${lot.abv.value.toFixed(1)} % vol` : 'assumed 12.5'
    case 'freeSo2':
      return lot.freeSo2 ? `${lot.freeSo2.value.toFixed(0)} mg/L` : 'assumed none'
    case 'totalSo2':
      return lot.totalSo2 ? `${lot.totalSo2.value.toFixed(0)} mg/L` : 'assumed none'
    case 'celsius':
      return `${found.taken.includes('celsius') ? 'assumed ' : ''}${f.words(f.temperature(found.celsius))}`
  }
}
const rows = computed(() =>
  (Object.keys(CONDITION) as Limiting[]).map((key) => ({ key, ...CONDITION[key], share: props.found.factors[key] }))
)
</script>

<template>
  <div class="grid gap-3">
    <dl class="conditions">
      <div v-for="r in rows" :key="r.key">
        <dt>{{ r.label }} <span class="soft small">needs {{ f.degrees(r.wants) }}</span></dt>
        <dd>
          <b class="figure">{{ valueOf(r.key) }}</b>
          <span class="meter" aria-hidden="true">
            <span
              :class="{ low: r.share < 0.6, taken: found.taken.includes(r.key) }"
              :style="{ width: `${Math.max(3, r.share * 100)}%` }"
            />
          </span>
          <span class="small">{{ found.taken.includes(r.key) ? 'not measured' : sayFactor(r.share) }}</span>
        </dd>
      </div>
    </dl>
    <FindingNote v-for="x in found.findings" :key="x.code">
      <b>{{ sayCondition(x, f).title }}.</b> {{ sayCondition(x, f).text }}
    </FindingNote>
    <p class="soft small">Common practice, no source. Follow the packet of your culture if it differs.</p>
  </div>
</template>

<style scoped>
.conditions > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 4px 16px;
  padding: 9px 0;
  border-top: 1.5px solid var(--line);
}
dt span {
  display: block;
}
dd {
  display: grid;
  grid-template-columns: 8rem minmax(40px, 1fr) 6.5rem;
  gap: 10px;
  align-items: center;
}
.meter {
  height: 10px;
  border-radius: 5px;
  background: var(--wall);
  overflow: hidden;
}
.meter span {
  display: block;
  height: 100%;
  background: var(--good);
}
.meter .taken {
  background: var(--line-strong);
}
.meter .low {
  background: var(--caution);
}
@media (max-width: 640px) {
  .conditions > div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
