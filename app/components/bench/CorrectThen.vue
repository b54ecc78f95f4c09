<script setup lang="ts">
import { potentialAlcohol } from '~~/core/hydrometry'
import type { CorrectBench } from '~/composables/useCorrectBench'
import { sayAcidsFinding } from '~/wording/acids'
import { ACIDS_SOURCE, acidsWorking } from '~/wording/workings'
import { useFormat } from '~/composables/useFormat'
import { withinLimits } from '~/composables/withinLimits'

/** The must now and as it would be, with what speaks against it and the working. */
const props = defineProps<{ bench: CorrectBench }>()
const f = useFormat()
const prediction = computed(() => props.bench.prediction.value!)
const could = (brix?: number) => (brix === undefined ? undefined : withinLimits(() => potentialAlcohol(brix).abv.toFixed(1)))
const rows = computed(() => {
  const p = prediction.value
  return [
    {
      name: 'Volume',
      before: props.bench.volumes.value && f.volume(props.bench.volumes.value.before).text,
      after: props.bench.volumes.value && f.volume(props.bench.volumes.value.after).text,
      unit: f.volumeUnit.value
    },
    { name: 'Sugar', before: p.before.brix?.toFixed(1), after: p.after.brix?.toFixed(1), unit: '°Brix' },
    { name: 'Potential alcohol', before: could(p.before.brix), after: could(p.after.brix), unit: '% vol ± 0.5' },
    { name: 'pH', before: p.before.ph.toFixed(2), after: p.after.ph.toFixed(2), unit: `± ${p.after.phUncertainty.toFixed(2)}` },
    {
      name: 'TA',
      before: p.before.taGPerL.toFixed(1),
      after: p.after.taGPerL.toFixed(1),
      unit: `g/L ± ${p.after.taUncertaintyGPerL.toFixed(1)}`
    },
    { name: 'Tartaric acid', before: p.before.acidsGPerL.tartaric.toFixed(1), after: p.after.acidsGPerL.tartaric.toFixed(1), unit: 'g/L' },
    { name: 'Malic acid', before: p.before.acidsGPerL.malic.toFixed(1), after: p.after.acidsGPerL.malic.toFixed(1), unit: 'g/L' },
    ...['lactic', 'succinic'].flatMap((acid) =>
      p.before.acidsGPerL[acid as 'lactic'] < 0.15 && p.after.acidsGPerL[acid as 'lactic'] < 0.15
        ? []
        : [
            {
              name: `${acid === 'lactic' ? 'Lactic' : 'Succinic'} acid`,
              before: p.before.acidsGPerL[acid as 'lactic'].toFixed(1),
              after: p.after.acidsGPerL[acid as 'lactic'].toFixed(1),
              unit: 'g/L'
            }
          ]
    ),
    { name: 'Potassium', before: p.before.potassiumGPerL.toFixed(1), after: p.after.potassiumGPerL.toFixed(1), unit: 'g/L' }
  ].filter((r) => r.before !== undefined)
})
/** That malic acid is assumed is no fault: it is said small. What is impossible is said above the map. */
const assumed = computed(() => prediction.value.findings.filter((x) => x.code === 'malic-assumed'))
const doubts = computed(() => prediction.value.findings.filter((x) => x.code !== 'malic-assumed' && !x.code.endsWith('implausible')))
</script>

<template>
  <section class="grid gap-3">
    <FigureTable
      caption="The must now and then"
      :columns="[
        { key: 'name', label: '' },
        { key: 'before', label: 'now', right: true },
        { key: 'after', label: 'then', right: true, strong: true },
        { key: 'unit', label: '' },
      ]"
      :rows="rows"
    />
    <FindingNote v-for="x in doubts" :key="x.code">{{ sayAcidsFinding(x) }}</FindingNote>
    <p v-for="x in assumed" :key="x.code" class="soft small">{{ sayAcidsFinding(x) }}</p>
    <WorkingNote :steps="acidsWorking(prediction)" :source="ACIDS_SOURCE" />
  </section>
</template>
