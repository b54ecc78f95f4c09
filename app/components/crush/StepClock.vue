<script setup lang="ts">
import { hoursBetween } from '~~/core/units'
import type { CrushStep } from '~~/core/stages'
import { isMust, type LotView } from '~~/core/ledger'
import { CLOCKS } from '~~/core/must'
import { hoursWords } from '~/wording/crush'
import { sayWhen } from '~/wording/days'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'
import { useStepLog } from '~/composables/useStepLog'

/** Thawing, settling and cold soak: begun by a tap, then a clock with its own end and its own temperature. */
const props = defineProps<{ lot: LotView, step: CrushStep & { code: 'thaw' | 'settle' | 'cold-soak' | 'heat-fruit' } }>()
const now = useNow()
const f = useFormat()
const { saving, write } = useStepLog(() => props.lot)
const at = ref<string>()
const BEGIN = {
  thaw: 'It is thawing now',
  settle: 'It is settling now',
  'cold-soak': 'The soak has begun',
  'heat-fruit': 'It is hot enough now'
} as const
const clock = computed(() => CLOCKS[props.step.code])
const begun = computed(() => props.step.at !== undefined && props.step.opensAt !== undefined)
const begin = () =>
  write([{ type: 'operation', lotId: props.lot.id, what: props.step.code, ...(at.value && { at: at.value }) }], BEGIN[props.step.code])
const span = computed(() => {
  const { minH, maxH } = clock.value
  return maxH > 1 ? `${minH} to ${maxH} hours` : `${Math.round(minH * 60)} to ${Math.round(maxH * 60)} minutes`
})
const tooLong = computed(() =>
  props.step.code === 'heat-fruit'
    ? 'Longer heat cooks the flavour. Cool it now, and measure the temperature.'
    : `Longer than ${hoursWords(clock.value.maxH)} invites wild yeast. Go on to the next step now.`
)
const gone = computed(() => hoursBetween(props.step.at!, now.value))
const warm = computed(() =>
  clock.value.celsius && props.lot.temperature && props.lot.temperature.value > clock.value.celsius.max + 0.5
    ? props.lot.temperature.value
    : undefined
)
</script>

<template>
  <div class="grid gap-4">
    <template v-if="begun">
      <div class="clock" role="img" :aria-label="`${hoursWords(Math.max(0, gone))} gone of ${span}`">
        <span class="gone" :style="{ width: `${Math.min(100, (gone / clock.maxH) * 100)}%` }" />
        <span class="open" :style="{ left: `${(clock.minH / clock.maxH) * 100}%` }" />
      </div>
      <p>
        <b class="figure">{{ hoursWords(Math.max(0, gone)) }}</b> since {{ sayWhen(step.at!, now) }}. Finish between
        <b>{{ sayWhen(step.opensAt!, now) }}</b> and <b>{{ sayWhen(step.closesAt!, now) }}</b
        >.
      </p>
      <div v-if="step.code === 'settle' && step.status === 'done' && isMust(lot)">
        <UButton :to="`/lots/${lot.id}/move?as=rack`" size="lg" variant="outline">Rack it off the solids</UButton>
      </div>
      <FindingNote v-if="step.over" tone="stop"
      >Time is up. {{ tooLong }}</FindingNote
      >
    </template>
    <template v-else>
      <div>
        <UButton size="xl" :loading="saving" @click="begin">{{ BEGIN[step.code] }}</UButton>
      </div>
      <WhenField v-model="at" />
    </template>
    <FindingNote v-if="warm !== undefined"
    >Last read at {{ f.words(f.temperature(warm)) }}: it should be at most {{ f.words(f.temperature(clock.celsius!.max)) }}. Put frozen
      bottles in it.</FindingNote
    >
    <CautionNote v-if="step.code === 'heat-fruit'" code="hotFruit" />
    <CautionNote v-if="step.code === 'cold-soak'" code="dryIce" />
  </div>
</template>

<style scoped>
.clock {
  position: relative;
  height: 18px;
  border-radius: 9px;
  background: var(--line);
  overflow: hidden;
}
.gone {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--skin);
}
.open {
  position: absolute;
  inset: 0 auto 0 0;
  width: 3px;
  background: var(--ink);
}
</style>
