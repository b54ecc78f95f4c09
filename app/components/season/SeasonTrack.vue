<script setup lang="ts">
import type { SeasonRow } from '~/composables/useSeason'
import type { WayStepCode } from '~~/core/ledger'
import { dayHere, sayDayOf } from '~/wording/days'
import { STEP, sayWindow } from '~/wording/way'
import { useNow } from '~/composables/useNow'
import { wineColour } from '~/composables/wineColour'

/** One lot's line: dots for what was done, bars for the window of what comes, today across all. */
const props = defineProps<{
  row: SeasonRow
  placeOf: (at: string | number) => number
  months: readonly { at: number }[]
  range: { from: number, to: number }
}>()
/** A step was dragged to a day. Without a pointer the list of steps does the same. */
const emit = defineEmits<{ move: [code: WayStepCode, day: string] }>()
const now = useNow()
const clamp = (x: number) => Math.min(100, Math.max(0, x))
const colour = computed(() => wineColour(props.row.lot))
const done = computed(() =>
  props.row.steps.flatMap((s) => {
    const at = s.doneAt ? props.placeOf(s.doneAt) : -1
    return at >= 0 && at <= 100 ? [{ code: s.code, at, title: `${STEP[s.code].done}, ${sayDayOf(s.doneAt!)}` }] : []
  })
)
const ahead = computed(() =>
  props.row.steps.flatMap((s) => {
    const [from, to, likely] = [props.placeOf(s.earliest), props.placeOf(s.latest), props.placeOf(s.likely)]
    return s.doneAt || from > 100
      ? []
      : [{
          code: s.code,
          from: clamp(from),
          width: Math.max(0.8, clamp(to) - clamp(from)),
          likely,
          title: `${STEP[s.code].label}: ${sayWindow(s, now.value)}`
        }]
  })
)
/** What an earlier year did, as many days after its start. */
const then = computed(() => (props.row.before?.done ?? []).flatMap(({ code, at: when }) => {
  const at = props.placeOf(when)
  return at >= 0 && at <= 100 ? [{ code, at, title: `${props.row.before!.name}: ${STEP[code].done}` }] : []
}))
const track = useTemplateRef<HTMLElement>('track')
const dragged = ref<{ code: WayStepCode, from: number, at: number }>()
function grab(event: PointerEvent, s: { code: WayStepCode, likely: number }) {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = { code: s.code, from: event.clientX, at: s.likely }
}
/** Where the finger is, as a place on the line, %. */
const under = (event: PointerEvent) => {
  const box = track.value!.getBoundingClientRect()
  return clamp(((event.clientX - box.left) / box.width) * 100)
}
function pull(event: PointerEvent) {
  if (dragged.value) dragged.value.at = under(event)
}
/** Less than a finger's tremble is a tap. */
const TREMBLE_PX = 6
function drop(event: PointerEvent) {
  const held = dragged.value
  dragged.value = undefined
  if (!held || Math.abs(event.clientX - held.from) < TREMBLE_PX) return
  const { from, to } = props.range
  emit('move', held.code, dayHere(from + (under(event) / 100) * (to - from)))
}
const sayUnder = (at: number) => sayDayOf(props.range.from + (at / 100) * (props.range.to - props.range.from))
/** From where it began to the end of its way. */
const life = computed(() => {
  const from = clamp(props.placeOf(props.row.lot.startedAt))
  return { left: `${from}%`, width: `${clamp(props.placeOf(props.row.steps.at(-1)?.latest ?? now.value)) - from}%` }
})
</script>

<template>
  <div ref="track" class="track" aria-hidden="true">
    <i v-for="m in months" :key="m.at" class="month" :style="{ left: `${m.at}%` }" />
    <span class="life" :style="{ ...life, background: colour }" />
    <span
      v-for="s in ahead"
      :key="s.code"
      class="window"
      :class="{ next: s.code === row.next?.code, bottle: s.code === 'bottled' }"
      :style="{ left: `${s.from}%`, width: `${s.width}%` }"
      :title="s.title"
      @pointerdown="grab($event, s)"
      @pointermove="pull"
      @pointerup="drop"
      @pointercancel="dragged = undefined"
    />
    <span v-for="t in then" :key="`t${t.code}`" class="then" :style="{ left: `${t.at}%` }" :title="t.title" />
    <b v-if="dragged" class="held" :class="{ left: dragged.at > 70 }" :style="{ left: `${dragged.at}%` }">{{ sayUnder(dragged.at) }}</b>
    <span
      v-for="s in ahead.filter((a) => a.likely <= 100)"
      :key="`l${s.code}`"
      class="likely"
      :style="{ left: `${s.likely}%` }"
      :title="s.title"
    />
    <span v-for="d in done" :key="d.code" class="done" :style="{ left: `${d.at}%`, background: colour }" :title="d.title" />
    <i class="today" :style="{ left: `${placeOf(now)}%` }" />
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 36px;
  min-width: 0;
  border-radius: var(--radius-control);
  background: var(--sheet);
  overflow: hidden;
}
.track > * {
  position: absolute;
}
.month {
  top: 0;
  bottom: 0;
  width: 1px;
  background: var(--line);
}
.life {
  top: 16px;
  height: 4px;
  opacity: 0.55;
  border-radius: 2px;
}
.window {
  top: 9px;
  height: 18px;
  border-radius: 6px;
  background: color-mix(in srgb, var(--skin) 12%, transparent);
}
/* Up and down still scrolls the page under a thumb. */
.window {
  cursor: grab;
  touch-action: pan-y;
}
.window.next {
  background: color-mix(in srgb, var(--skin) 38%, transparent);
}
.window.bottle {
  top: 5px;
  height: 26px;
  background: color-mix(in srgb, var(--good) 22%, transparent);
  border: 1.5px solid var(--good);
}
.likely {
  top: 9px;
  width: 2px;
  height: 18px;
  margin-left: -1px;
  background: var(--skin);
  opacity: 0.75;
}
.then {
  bottom: 2px;
  width: 7px;
  height: 7px;
  margin-left: -3.5px;
  border-radius: 50%;
  border: 1.5px solid var(--ink-soft);
}
.held {
  top: 0;
  bottom: 0;
  padding: 6px 8px;
  border-left: 2px solid var(--skin);
  color: var(--skin);
  white-space: nowrap;
  pointer-events: none;
}
.held.left {
  transform: translateX(-100%);
  border-left: 0;
  border-right: 2px solid var(--skin);
}
.done {
  top: 12px;
  width: 12px;
  height: 12px;
  margin-left: -6px;
  border-radius: 50%;
  border: 2px solid var(--sheet);
}
.today {
  top: 0;
  bottom: 0;
  width: 2px;
  margin-left: -1px;
  background: var(--ink);
}
</style>
