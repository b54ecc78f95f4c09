<script setup lang="ts">
import { hoursBetween } from '~~/core/units'
import { type CrushStep, cameSulphited } from '~~/core/stages'
import type { LotView } from '~~/core/ledger'
import { CORRECT, STEP, hoursWords, sayStep } from '~/wording/crush'
import { sayWhen } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'

/** One step of crush day, opened: what it is for, and the way to do it here. */
const props = defineProps<{ lot: LotView, step: CrushStep }>()
const now = useNow()
const { leaveOut } = useStepLog(() => props.lot)
const words = computed(() => sayStep(props.step))
const done = computed(() => props.step.status === 'done' || props.step.status === 'left-out')
const clockStep = computed(() =>
  ['thaw', 'settle', 'cold-soak', 'heat-fruit'].includes(props.step.code)
    ? (props.step as CrushStep & { code: 'thaw' | 'settle' | 'cold-soak' | 'heat-fruit' })
    : undefined
)
const back = computed(() => `lot=${props.lot.id}&back=crush`)
const f = useFormat()
/** A kit needs its gravity and no more. */
const readsHere = computed(() => props.lot.stream === 'kit' && !done.value)
</script>

<template>
  <section class="step" :aria-label="words.title">
    <h2>{{ step.code === 'packets' && lot.inoculatedAt ? 'Packets of the kit' : words.title }}</h2>
    <p v-if="step.status === 'left-out'" class="soft">
      Skipped{{ step.at ? `, ${sayWhen(step.at, now)}` : lot.inoculatedAt ? ': this step comes before the yeast' : '' }}.
    </p>
    <p v-else-if="step.status === 'done' && !clockStep" class="soft">Done{{ step.at ? `, ${sayWhen(step.at, now)}` : '' }}.</p>
    <p v-if="!done || clockStep" class="soft"><TermText :text="f.degrees(words.why)" :most="3" /></p>

    <FindingNote v-if="step.tooHotAbove !== undefined">
      Heated and not measured since. Do this at {{ f.words(f.temperature(step.tooHotAbove)) }} or below.
      <NuxtLink :to="`/bench/measure?${back}`" class="textlink">Measure the temperature</NuxtLink>
    </FindingNote>
    <template v-if="step.status !== 'left-out' || step.code === 'packets'">
      <StepClock v-if="clockStep" :lot="lot" :step="clockStep" />
      <StepSulphite v-else-if="step.code === 'first-sulphite' && !done" :lot="lot" />
      <template v-else-if="step.code === 'enzyme' && !done"><StepEnzyme :lot="lot" /><CautionNote code="enzymes" /></template>
      <WaysOut v-else-if="step.code === 'came-sulphited'" :finding="cameSulphited(lot)" hints />
      <div v-else-if="step.code === 'rack-solids' && !done">
        <UButton :to="`/lots/${lot.id}/move?as=rack`" size="xl">Rack it off the solids</UButton>
      </div>
      <StepVolume v-else-if="step.code === 'true-volume'" :lot="lot" />
      <StepKitWater v-else-if="step.code === 'water-kit'" :lot="lot" />
      <StepPackets v-else-if="step.code === 'packets'" :lot="lot" />
      <template v-else-if="step.code === 'measure'">
        <div v-if="lot.sg || lot.ph || lot.ta" class="row">
          <FigureNumber
            v-if="lot.sg"
            label="Gravity"
            :shown="{ text: lot.sg.value.toFixed(3), unit: 'SG' }"
            :origin="lot.sg.origin"
            size="small"
          /><FigureNumber
            v-if="lot.ph"
            label="pH"
            :shown="{ text: lot.ph.value.toFixed(2), unit: 'pH' }"
            :origin="lot.ph.origin"
            size="small"
          /><FigureNumber
            v-if="lot.ta"
            label="TA"
            :shown="{ text: lot.ta.value.toFixed(1), unit: 'g/L' }"
            :origin="lot.ta.origin"
            size="small"
          />
        </div>
        <p v-if="lot.stream === 'kit' && !done && !lot.added.has('water')" class="soft">
          If the syrup is too thick for the hydrometer, first add as much water as there is syrup, provided that is well short of the mark.
          Log the water, stir, then measure.
        </p>
        <ReadGravity v-if="readsHere" :lot="lot" label="Gravity" hint="stirred to the bottom" />
        <div>
          <UButton :to="`/bench/measure?${back}`" size="xl" :variant="done || readsHere ? 'outline' : 'solid'">{{
            done ? 'Measure again' : readsHere ? 'Measure more' : 'Measure'
          }}</UButton>
        </div>
      </template>
      <template v-else-if="step.code === 'correct' && !done">
        <div>
          <UButton
            v-if="step.phase"
            :to="step.phase === 'measure-again' ? `/bench/measure?${back}` : `/bench/correct?${back}&find=1`"
            size="xl"
          >{{ CORRECT[step.phase].action }}</UButton
          >
          <p v-else class="soft">Measure the must first.</p>
        </div>
        <CautionNote code="limits" />
      </template>
      <template v-else-if="step.code === 'pitch' && !done">
        <FindingNote v-if="step.status === 'waiting' && step.opensAt"
        >There is still too much sulphite. Wait {{ hoursWords(hoursBetween(now, step.opensAt)) }} more, until
          {{ sayWhen(step.opensAt, now) }}. Yeast pitched sooner than 12 hours after sulphite may not start; after 24 hours spoilage gets
          ahead.</FindingNote
        >
        <FindingNote v-if="step.over" tone="stop"
        >The sulphite went in more than a day ago, and wild yeast is gaining. Pitch now.</FindingNote
        >
        <div>
          <UButton :to="`/crush/${lot.id}/yeast`" size="xl" :variant="step.status === 'waiting' ? 'outline' : 'solid'"
          >Prepare the yeast</UButton
          >
        </div>
      </template>
    </template>
    <p v-if="!done && step.status !== 'running' && STEP[step.code].leaveOut">
      <UButton variant="link" @click="leaveOut(step.code)">{{ STEP[step.code].leaveOut }}</UButton>
    </p>
  </section>
</template>

<style scoped>
.step {
  display: grid;
  gap: 14px;
}
.out {
  min-height: 44px;
  color: var(--ink-soft);
}
</style>
