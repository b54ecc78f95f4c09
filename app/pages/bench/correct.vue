<script setup lang="ts">
import { addition } from '~~/core/drafts'
import { sayWhere } from '~/wording/acid-map'
import { sayAcidsFinding } from '~/wording/acids'
import { sayAdvice, sayPlanned } from '~/wording/verdict'
import { useAcidMap } from '~/composables/useAcidMap'
import { useCorrectBench } from '~/composables/useCorrectBench'
import { useFormat } from '~/composables/useFormat'
import { useLogged } from '~/composables/useLogged'
import { useLotFromAddress } from '~/composables/useLotFromAddress'
import { wineColour } from '~/composables/wineColour'
import { useCellarStore } from '~/stores/cellar'

const { lot } = useLotFromAddress()
const cellar = useCellarStore()
const logged = useLogged()
const f = useFormat()
const bench = useCorrectBench(lot)
const { prediction, moved, style } = bench
const saving = ref(false)

const map = useAcidMap(
  () => bench.readings.value,
  () => lot.value,
  () => bench.sizes.value,
  () => bench.willBe.value
)
const here = computed(
  () =>
    prediction.value && {
      name: lot.value?.name ?? 'this must',
      ph: prediction.value.before.ph,
      ta: prediction.value.before.taGPerL,
      colour: lot.value ? wineColour(lot.value) : 'var(--must-red)'
    }
)
const then = computed(() =>
  prediction.value && moved.value ? { ph: prediction.value.after.ph, ta: prediction.value.after.taGPerL } : undefined
)
const myWindow = computed(() => map.windows.find((w) => w.style === style.value)!)
const impossible = computed(() => prediction.value?.findings.find((x) => x.code.endsWith('implausible')))
// Sent here from crush day: the proposal is there when the page opens.
if (useRoute().query.find) {
  const { stop } = watch(
    bench.canFind,
    (can) => {
      if (!can) return
      void bench.find()
      void nextTick(() => stop())
    },
    { immediate: true }
  )
}
async function log() {
  const going = bench.planned.value.filter((p) => p.field.value !== undefined && p.field.value > 0)
  bench.planned.value.forEach((p) => p.field.touch())
  if (!lot.value || going.length === 0 || bench.planned.value.some((p) => !p.field.ok)) return
  const finished = bench.finishing.value
  saving.value = true
  const drafts = going.map((p) =>
    addition({
      lotId: lot.value!.id,
      material: p.material,
      planned: p.stage,
      actual: p.field.value!,
      purpose: 'to correct the must',
      stage: { number: p.number, of: 2 }
    })
  )
  const written = await cellar.log(drafts)
  saving.value = false
  if (!written) return
  logged(finished ? 'Logged. Mix well, and taste it.' : 'Logged. Mix well, then measure again before the rest.')
  const back = useRouter().currentRoute.value.query.back === 'crush'
  await navigateTo(finished && back ? `/crush/${lot.value.id}` : `/bench/measure?lot=${lot.value.id}${back ? '&back=crush' : ''}`)
}
useHead({ title: 'Correct · Presk' })
</script>

<template>
  <BenchFrame title="Correct the must" :lot="lot" @submit="log">
    <template #answer>
      <FindingNote v-if="impossible" tone="stop">{{ sayAcidsFinding(impossible) }}</FindingNote>
      <AcidMap
        :here="here"
        :then="then"
        :end="bench.end.value"
        :dots="map.dots.value"
        :windows="map.windows"
        :arrows="map.arrows.value"
        :style="style"
        @size="bench.setSize"
      />
      <p v-if="!prediction" class="soft">Enter pH and TA. The map then shows where the must is and what you can do.</p>
      <template v-else>
        <div class="row">
          <FigureNumber
            label="pH would be"
            :shown="{ text: prediction.after.ph.toFixed(2), unit: '' }"
            origin="forecast"
            :uncertainty="prediction.after.phUncertainty.toFixed(2)"
          />
          <FigureNumber
            label="TA would be"
            :shown="f.acid(prediction.after.taGPerL)"
            origin="forecast"
            :uncertainty="prediction.after.taUncertaintyGPerL.toFixed(1)"
          />
          <FigureNumber v-if="prediction.after.brix !== undefined" label="Sugar" :shown="f.brix(prediction.after.brix)" origin="forecast" />
        </div>
        <p>
          {{ sayWhere(then?.ph ?? prediction.before.ph, then?.ta ?? prediction.before.taGPerL, myWindow, moved) }}
          <template v-if="bench.end.value">
            After {{ sayPlanned(bench.plan) }} expect about pH {{ bench.end.value.ph.toFixed(2) }}, TA
            {{ bench.end.value.ta.toFixed(1) }} g/L (the diamond).
          </template>
        </p>
        <p v-if="!moved && bench.advice.value" class="advice">
          <b>{{ sayAdvice(bench.advice.value, bench.plan) }}</b>
        </p>
        <p v-if="!moved" class="soft">Drag along an arrow to try something, or type an amount.</p>
      </template>
    </template>
    <template #inputs><CorrectTry :bench="bench" /></template>
    <template #results>
      <CorrectFound v-if="bench.found.value" :bench="bench" />
      <CorrectThen v-if="prediction" :bench="bench" />
      <CorrectWentIn v-if="lot && bench.planned.value.length" :bench="bench" :saving="saving" />
    </template>
  </BenchFrame>
</template>
