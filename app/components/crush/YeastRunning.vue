<script setup lang="ts">
import type { YeastBench } from '~/composables/useYeastBench'
import { sayClock } from '~/wording/days'
import { sayPitchStep } from '~/wording/yeast'
import { useFormat } from '~/composables/useFormat'
import { minutesAndSeconds } from '~/composables/useYeastRun'

/** The run as it goes: the step that is on, the time to the next, and the gap of temperature before the yeast meets its must. */
const props = defineProps<{ yeast: YeastBench }>()
const { bench, run: clock, alarm, degrees, last, takeCalendar } = props.yeast
const { run, steps, on, next, left } = clock
const another = ref(false)
const gap = computed(() => bench.answer.value.gapC)
const f = useFormat()
</script>

<template>
  <div v-if="run" class="grid gap-4">
    <section class="run" aria-live="polite">
      <p class="soft">{{ bench.answer.value.culture }}, {{ f.words(f.powder(run.yeastG)) }}, begun at {{ sayClock(run.begunAt) }}</p>
      <h1>{{ sayPitchStep(steps[on]!, degrees(steps[on]!.celsius)) }}</h1>
      <p v-if="!last" class="count">
        <span class="figure" role="timer" :aria-label="`${Math.ceil(left / 60000)} minutes left`">{{
          minutesAndSeconds(left)
        }}</span>
        <span class="soft">until: {{ sayPitchStep(next!, degrees(next!.celsius)) }}</span>
      </p>
    </section>
    <ol class="line timed">
      <li v-for="(s, i) in steps" :key="i" :class="{ done: i < on, on: i === on }">
        <span class="figure">{{ sayClock(s.at) }}</span
        ><span>{{ sayPitchStep(s, degrees(s.celsius)) }}</span>
      </li>
    </ol>
    <FindingNote v-if="on < 2" tone="stop">
      {{ f.degrees('Check the water with a thermometer: over 43 °C it kills the yeast.') }}
    </FindingNote>
    <div v-if="last" class="gap">
      <BenchFields :bench="bench" part="gap" />
      <BenchFields :bench="bench" :only="['must']" />
      <FindingNote v-if="gap !== undefined && gap > 6" tone="stop"
      >{{ f.temperatureUnit.value === '°F' ? Math.round(gap * 1.8) : gap.toFixed(0) }} degrees apart: more than
        {{ f.temperatureUnit.value === '°F' ? 11 : 6 }} shocks the yeast. Stir in another portion of must, as much as there is, and wait ten
        minutes.</FindingNote
      >
      <p v-else-if="gap !== undefined" class="soft">Close enough. Pitch.</p>
    </div>
    <div class="ways">
      <UButton size="xl" :variant="last ? 'solid' : 'outline'" :loading="bench.saving.value" @click="bench.log('pitch')"
      >{{ f.words(f.powder(run.yeastG)) }} are in the must</UButton
      >
      <UButton v-if="!another" variant="link" @click="another = true">Another amount</UButton>
      <UButton variant="link" @click="takeCalendar">Calendar file with alarms</UButton>
    </div>
    <form v-if="another" novalidate class="ways" @submit.prevent="bench.log('pitch')">
      <BenchFields :bench="bench" part="pitch" /><UButton type="submit" size="xl" variant="outline"
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
