<script setup lang="ts">
import { type LotView, reckonedKit } from '~~/core/ledger'
import { kitWater } from '~~/core/must'
import { useFormat } from '~/composables/useFormat'
import { useStepLog } from '~/composables/useStepLog'
import { useVolumeField } from '~/composables/usualFields'
import { withinLimits } from '~/composables/withinLimits'

/** Water for a kit by its gravity, in stages from the sweet side. The mark on the pail is told as what it is: a hint. */
const props = defineProps<{ lot: LotView }>()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
/** The second stage follows a first that is open; water that was poured before any plan is none. */
const stage = computed(() => (props.lot.staged.has('water') ? 2 : 1))
/** Water is in, and the gravity is only an estimate until it is read again. */
const unread = computed(() => props.lot.sg?.origin === 'estimated')
const kit = computed(() => reckonedKit(props.lot.volume.value, props.lot.sg!.value))
const water = computed(() =>
  props.lot.sg && !unread.value
    ? withinLimits(() =>
        kitWater(kit.value.volumeL, kit.value.sg, props.lot.kit!.targetSg, stage.value, props.lot.kit!.lineL)
      )
    : undefined
)
const poured = useVolumeField({ limits: { min: 0.01, max: 10_000, words: 'Enter how much water went in.' } })
const plan = computed(() => (water.value?.verdict === 'add' ? water.value : undefined))

const pour = (litres: number) =>
  write(
    [
      {
        type: 'addition',
        lotId: props.lot.id,
        material: 'water',
        unit: 'L',
        planned: Number(plan.value!.stageL.toPrecision(4)),
        actual: litres,
        purpose: 'to the gravity',
        stage: { number: Math.min(2, stage.value), of: 2 }
      }
    ],
    `Water logged for ${props.lot.name}. Stir, then measure.`
  )
async function pourOther() {
  poured.touch()
  if (poured.value !== undefined && (await pour(poured.value))) poured.clear()
}
const asShown = computed(() => plan.value && f.volume(plan.value.stageL))
</script>

<template>
  <div class="grid gap-4">
    <div class="row">
      <FigureNumber label="Gravity wanted" :shown="f.gravity(lot.kit!.targetSg)" />
      <FigureNumber label="Gravity now" :shown="lot.sg && f.gravity(lot.sg.value)" :origin="lot.sg?.origin" />
      <FigureNumber label="In the vessel" :shown="f.volume(lot.volume.value)" :origin="lot.volume.origin" />
    </div>
    <template v-if="plan">
      <FindingNote tone="stop"
      >You cannot take water out again.
        {{ plan.last ? 'Pour the last of it slowly.' : 'Three quarters now, stir to the bottom, measure; then the rest.' }}</FindingNote
      >
      <FigureNumber
        :label="plan.last ? 'Water, the rest' : `Water, of ${f.words(f.volume(plan.litres))} in all`"
        :shown="asShown"
        origin="worked out"
        size="hero"
      />
      <p class="soft">
        After stirring, expect {{ plan.expectSg.toFixed(3) }}.<template v-if="plan.last">
          New volume: {{ f.words(f.volume(plan.newVolumeL)) }}.</template
        >
      </p>
      <div class="acts">
        <UButton size="xl" :loading="saving" @click="pour(Number(plan.stageL.toPrecision(3)))">{{ f.words(asShown!) }} went in</UButton>
      </div>
      <form novalidate class="fieldline" @submit.prevent="pourOther">
        <QuantityField label="Or another amount" :field="poured" /><UButton type="submit" size="xl" variant="outline">Log it</UButton>
      </form>
      <WorkingNote
        :steps="[
          {
            what: 'Water in all',
            formula: `mass × (°Brix now − °Brix wanted) ÷ °Brix wanted, ${lot.sg!.value.toFixed(3)} to ${lot.kit!.targetSg.toFixed(3)}`,
            result: f.words(f.volume(plan.litres)),
          },
          { what: 'This stage', formula: plan.last ? 'all that is left' : 'three quarters', result: f.words(f.volume(plan.stageL)) },
        ]"
        source="mass balance: Brix is grams in 100 g; densities of ICUMSA SPS-4. Staging: common practice"
      />
    </template>
    <template v-else-if="water?.verdict === 'too-thin'">
      <FindingNote v-if="!lot.added.has('water')" tone="stop"
      ><b>The gravity is too low before any water:</b> {{ water.sg.toFixed(3) }} instead of at least {{ water.targetSg.toFixed(3) }}.
        Stir to the bottom, read it again and check the leaflet. Add no water now.</FindingNote
      >
      <FindingNote v-else tone="stop"
      ><b>There is too much water in it:</b> {{ water.sg.toFixed(3) }} instead of {{ water.targetSg.toFixed(3) }}: about
        {{ f.words(f.volume(water.overWaterL)) }} too much. The wine will be thinner and weaker.</FindingNote
      >
      <p v-if="lot.added.has('water')">
        Stir to the bottom, where syrup collects, and read it again. If the reading is right, {{ f.words(f.powder(water.sugarBackG)) }} of
        sugar brings the gravity back, but not the flavour. Grape concentrate brings both.
      </p>
      <div class="acts">
        <UButton :to="`/bench/sweeten?lot=${lot.id}`" size="lg" variant="outline">Work out sugar or concentrate</UButton>
      </div>
    </template>
    <p v-else-if="water?.verdict === 'on-target'">
      The gravity is right: {{ water.sg.toFixed(3) }} for {{ water.targetSg.toFixed(3) }}. No more water.
    </p>
    <p v-if="water?.lineHint" class="soft">
      The mark at {{ f.words(f.volume(water.lineHint.lineL)) }} is only a hint: filled to the mark, the gravity would be about
      {{ water.lineHint.sgAtLine.toFixed(3) }}, {{ f.words(f.volume(Math.abs(water.lineHint.differenceL))) }}
      {{ water.lineHint.differenceL > 0 ? 'past' : 'short of' }} the gravity.
    </p>
    <ReadGravity
      v-if="unread || water?.verdict === 'too-thin'"
      :lot="lot"
      label="Gravity, stirred to the bottom"
      hint="syrup collects at the bottom"
    />
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
</style>
