<script setup lang="ts">
import { PITCH } from '~~/core/yeast'
import type { YeastBench } from '~/composables/useYeastBench'
import { sayPitchFinding } from '~/wording/yeast'
import { useFormat } from '~/composables/useFormat'
import { useWeighing } from '~/composables/useWeighing'

/** How much yeast, nutrient and water, and the tap that begins the run. */
const props = defineProps<{ yeast: YeastBench }>()
const { lot, bench, begin } = props.yeast
const { weigh } = useWeighing()
const f = useFormat()
const plan = computed(() => bench.answer.value.pitch)
const dry = computed(() => `Sprinkled dry instead: ${f.words(f.powder(bench.answer.value.yeastG ?? 0))}`)
const withNutrient = computed(() => bench.choices.withNutrient)
</script>

<template>
  <div v-if="lot">
    <section class="grid gap-4 content-start">
      <div v-if="plan" class="amounts">
        <FigureNumber label="Yeast" :shown="f.powder(plan.yeastG)" origin="worked out" size="hero" />
        <div class="grid gap-3">
          <FigureNumber v-if="withNutrient" label="Rehydration nutrient" :shown="f.powder(plan.rehydrationNutrientG)" origin="worked out"
          ><p v-if="weigh('complex-nutrient', plan.rehydrationNutrientG).spoons" class="soft small">
            about {{ weigh('complex-nutrient', plan.rehydrationNutrientG).spoons!.words }}
          </p></FigureNumber
          >
          <FigureNumber :label="f.degrees('Water at 38 °C')" :shown="{ text: plan.waterMl.toFixed(0), unit: 'mL' }" origin="worked out" />
        </div>
      </div>
      <BenchFields :bench="bench" :only="['must']" />
      <FindingNote v-for="x in plan?.findings ?? []" :key="x.code">{{ f.degrees(sayPitchFinding(x)) }}</FindingNote>
      <BenchFields :bench="bench" :only="['withNutrient']" />
      <div class="ways">
        <UButton size="xl" :loading="bench.saving.value" @click="begin">The water is warm: start</UButton
        ><UButton v-if="plan" variant="link" @click="bench.log('pitch')">{{
          lot.stream === 'kit' ? 'The kit’s yeast was sprinkled on' : dry
        }}</UButton>
      </div>
      <p v-if="plan" class="soft">
        {{ plan.steps.at(-1)!.atMin }} minutes from packet to must, in {{ plan.steps.filter((s) => s.what === 'add-must').length }} portions
        of must. An alarm rings at each step.
      </p>
      <CautionNote code="hotWater" />
      <WorkingNote
        v-if="plan"
        :steps="[
          {
            what: 'Yeast',
            formula: `${PITCH.gPerL} g/L × ${Number(lot.volume.value.toPrecision(4))} L`,
            result: f.words(f.powder(plan.yeastG)),
          },
          { what: 'Water', formula: `ten times its weight`, result: `${plan.waterMl.toFixed(0)} mL` },
          ...(withNutrient
            ? [{ what: 'Nutrient', formula: `1.25 × the yeast`, result: f.words(f.powder(plan.rehydrationNutrientG)) }]
            : []),
        ]"
        :source="f.degrees('0.20 to 0.30 g/L, 35 to 40 °C, steps of at most 5 °C: common practice. Follow the packet')"
      />
      <YeastShort :bench="bench" />
    </section>
  </div>
</template>

<style scoped>
.amounts {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 44px;
}
</style>
