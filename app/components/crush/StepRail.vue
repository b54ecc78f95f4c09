<script setup lang="ts">
import { hoursBetween } from '~~/core/units'
import type { CrushStep } from '~~/core/stages'
import { STEP, sayStatus } from '~/wording/crush'
import { sayWhen } from '~/wording/days'
import { useNow } from '~/composables/useNow'

/** A lot's way from arrival to yeast as stations on a line; filled in the colour of its wine as far as it has come. */
const props = defineProps<{ lotId: string, steps: CrushStep[], colour: string, current?: string | undefined }>()
const now = useNow()
const hoursTo = (at: string) => hoursBetween(now.value, at)
const shown = computed(() => props.steps.map((step) => ({ step, words: sayStatus(step, (at) => sayWhen(at, now.value), hoursTo) })))
/** The line is filled to the first station that is still open: what was done ahead of its turn is apart. */
const reached = computed(() => {
  const open = props.steps.findIndex((s) => !['done', 'left-out', 'optional'].includes(s.status))
  return open < 0 ? props.steps.length : open
})
/** On a phone the rail is longer than the screen: the station that matters comes into sight. */
const row = useTemplateRef<{ row: HTMLElement | undefined }>('row')
const rail = computed(() => row.value?.row)
watch(
  [rail, () => props.current, () => props.steps.map((s) => s.status).join()],
  () => {
    const station = ['.open', '.now', '.running', '.waiting']
      .map((kind) => rail.value?.querySelector<HTMLElement>(kind))
      .find((found) => found)
    if (rail.value && station) rail.value.scrollLeft = station.offsetLeft - (rail.value.clientWidth - station.clientWidth) / 2
  },
  { flush: 'post' }
)
const MARK: Record<CrushStep['status'], string> = {
  done: '✓',
  'left-out': '–',
  now: '',
  running: '◔',
  waiting: '◔',
  optional: '',
  later: ''
}
</script>

<template>
  <ScrollRow ref="row" class="row">
    <ol class="rail" :style="{ '--wine': colour, '--stations': steps.length }">
      <li
        v-for="({ step, words }, i) in shown"
        :key="step.code"
        :class="[step.status, { open: current === step.code, over: step.over, reached: i <= reached }]"
      >
        <NuxtLink
          :to="{ path: `/crush/${lotId}`, query: { step: step.code } }"
          :aria-label="`${STEP[step.code].name}: ${words || 'later'}`"
        >
          <span class="dot" aria-hidden="true">{{ MARK[step.status] }}</span>
          <span class="name">{{ STEP[step.code].name }}</span>
          <span class="words">{{ words }}</span>
        </NuxtLink>
      </li>
    </ol>
  </ScrollRow>
</template>

<style scoped>
.row :deep(.content) {
  min-width: 100%;
}
.rail {
  display: grid;
  grid-template-columns: repeat(var(--stations), minmax(0, 1fr));
}
li {
  position: relative;
  min-width: 0;
}
/* The line between this station and the one before. */
li:not(:first-child)::before {
  content: '';
  z-index: 0;
  position: absolute;
  top: 19px;
  right: 50%;
  width: 100%;
  height: 3px;
  background: var(--line);
}
li.reached::before {
  background: var(--wine) !important;
}
a {
  position: relative;
  z-index: 1;
  display: grid;
  justify-items: center;
  gap: 1px;
  padding: 6px 2px;
  border-radius: 10px;
  text-align: center;
  line-height: 1.2;
}
a:hover .name {
  text-decoration: underline;
  text-underline-offset: 3px;
}
a:focus-visible {
  outline-offset: -2px;
}
.dot {
  width: 28px;
  height: 28px;
  border-radius: 14px;
  display: grid;
  place-items: center;
  background: var(--ground);
  border: 3px solid var(--line-strong);
  font-size: 0.85rem;
  font-weight: 700;
}
.done .dot {
  background: var(--good);
  border-color: var(--good);
  color: var(--ground);
}
.over .dot {
  background: var(--caution);
  border-color: var(--caution);
}
.over .words {
  color: var(--caution);
  font-weight: 600;
}
.left-out .dot {
  border-color: var(--line-strong);
  color: var(--ink-soft);
}
.now .dot {
  background: var(--skin);
  border-color: var(--skin);
  box-shadow: 0 0 0 4px var(--skin-wash);
}
.running .dot,
.waiting .dot {
  border-color: var(--caution);
  color: var(--caution);
  font-size: 1.05rem;
}
.optional .dot {
  border-style: dotted;
}
.name {
  font-size: 0.92rem;
  font-weight: 600;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.words {
  font-size: 0.8rem;
  color: var(--ink-soft);
  min-height: 1.2em;
}
.now .words {
  color: var(--skin);
  font-weight: 700;
}
.open a {
  background: var(--skin-wash);
}
@media (max-width: 640px) {
  .rail {
    display: flex;
  }
  li {
    flex: 0 0 74px;
  }
}
</style>
