<script setup lang="ts">
import type { YeastBench } from '~/composables/useYeastBench'
import { sayClock } from '~/wording/days'
import { sayPitchStep } from '~/wording/yeast'

/** The run as it goes: the step that is on, the time to the next, and the gap of temperature before the yeast meets its must. */
const props = defineProps<{ bench: YeastBench }>()
const { log, run, alarm, mustC, slurry, gap, culture, degrees, last, pitched, actual, another, pitchedOther, takeCalendar } =
  props.bench
const f = useFormat()
</script>

<template>
  <div v-if="run.begun.value" class="grid gap-4">
    <section class="run" aria-live="polite">
      <p class="soft">{{ culture }}, {{ f.words(f.powder(run.begun.value.plan.yeastG)) }}, begun at {{ sayClock(run.begun.value.at) }}</p>
      <h1>{{ sayPitchStep(run.steps.value[run.on.value]!, degrees(run.steps.value[run.on.value]!.celsius)) }}</h1>
      <p v-if="!last" class="count">
        <span class="figure" role="timer" :aria-label="`${Math.ceil(run.left.value / 60000)} minutes left`">{{
          minutesAndSeconds(run.left.value)
        }}</span>
        <span class="soft">until: {{ sayPitchStep(run.next.value!, degrees(run.next.value!.celsius)) }}</span>
      </p>
    </section>
    <ol class="line timed">
      <li v-for="(s, i) in run.steps.value" :key="i" :class="{ done: i < run.on.value, on: i === run.on.value }">
        <span class="figure">{{ sayClock(s.at) }}</span
        ><span>{{ sayPitchStep(s, degrees(s.celsius)) }}</span>
      </li>
    </ol>
    <FindingNote v-if="run.on.value < 2" tone="stop">
      {{ f.degrees('Check the water with a thermometer: over 43 °C it kills the yeast.') }}
    </FindingNote>
    <div v-if="last" class="gap">
      <QuantityField label="Yeast temperature" :field="slurry" />
      <QuantityField label="Must temperature" :field="mustC" />
      <FindingNote v-if="gap !== undefined && gap > 6" tone="stop"
      >{{ f.temperatureUnit.value === '°F' ? Math.round(gap * 1.8) : gap.toFixed(0) }} degrees apart: more than
        {{ f.temperatureUnit.value === '°F' ? 11 : 6 }} shocks the yeast. Stir in another portion of must, as much as there is, and wait ten
        minutes.</FindingNote
      >
      <p v-else-if="gap !== undefined" class="soft">Close enough. Pitch.</p>
    </div>
    <div class="ways">
      <UButton size="xl" :variant="last ? 'solid' : 'outline'" :loading="log.saving.value" @click="pitched(run.begun.value.plan.yeastG)"
      >{{ f.words(f.powder(run.begun.value.plan.yeastG)) }} are in the must</UButton
      >
      <UButton v-if="!another" variant="link" @click="another = true">Another amount</UButton>
      <UButton variant="link" @click="takeCalendar">Calendar file with alarms</UButton>
    </div>
    <form v-if="another" novalidate class="ways" @submit.prevent="pitchedOther">
      <QuantityField label="Yeast added" :field="actual" unit-label="g" /><UButton type="submit" size="xl" variant="outline"
      >Log it</UButton
      >
    </form>
    <p class="soft small">
      An alarm rings here at each step{{
        alarm.allowed.value === 'granted'
          ? ', and as a notification'
          : alarm.allowed.value === 'denied'
            ? '; notifications are switched off for this page'
            : ''
      }}. A locked phone may silence a web page, but the calendar file rings by itself. You can close this page: the run is in the history.
    </p>
    <CautionNote code="carbonDioxide" />
  </div>
</template>

<style scoped>
.gap {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 280px));
  gap: 14px;
  align-items: start;
}
.gap > :nth-child(3) {
  grid-column: 1 / -1;
}
.run {
  display: grid;
  gap: 8px;
}
.run h1 {
  font-size: clamp(1.9rem, 5vw, 3rem);
  max-width: 26ch;
  line-height: 1.12;
}
.count .figure {
  font-size: clamp(3.6rem, 14vw, 6.4rem);
  line-height: 1;
  color: var(--skin);
}
.line .done {
  color: var(--ink-soft);
  text-decoration: line-through;
}
.line .on {
  font-weight: 700;
  background: var(--skin-wash);
  border-radius: 6px;
  padding-inline: 10px;
  margin-inline: -10px;
}
</style>
