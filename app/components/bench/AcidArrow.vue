<script setup lang="ts">
import { MOVE_SIZES } from '~~/core/acids'
import { inSteps, pointAt, sizeByKey, sizeNear } from '~/composables/mapArrow'
import type { Spot } from '~/composables/placeLabels'
import type { MapArrow } from '~/composables/useAcidMap'
import type { MapScale } from '~/composables/useMapScale'
import { MOVE, sayMove } from '~/wording/acid-map'

/**
 * A thing that can be done to a must, or will happen to it: an arrow on the map, taken anywhere along its length and drawn to the
 * size that is wanted; with the keyboard it is a slider.
 */
const props = defineProps<{ arrow: MapArrow, scale: MapScale, label: Spot, angle: number }>()
const emit = defineEmits<{ size: [size: number] }>()
const { x, y, line } = props.scale

const way = computed(() => line(props.arrow.path))
const at = computed(() => (props.arrow.size > 0 ? pointAt(props.arrow.path, props.arrow.size) : undefined))
const done = computed(() => at.value && line([...props.arrow.path.filter((p) => p.size <= props.arrow.size + 1e-9), at.value]))
const tip = computed(() => props.arrow.path.at(-1)!)
const marks = computed(() => {
  const [dx, dy] = [-Math.sin(props.angle) * 6, Math.cos(props.angle) * 6]
  return props.arrow.marks.map((m) => ({ size: m.size, x1: x(m.ph) - dx, x2: x(m.ph) + dx, y1: y(m.taGPerL) - dy, y2: y(m.taGPerL) + dy }))
})

const held = ref(false)
function drag(event: PointerEvent) {
  const map = (event.currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect()
  if (!held.value || !map) return
  emit('size', inSteps(props.arrow.move, sizeNear(props.arrow.path, { x: event.clientX - map.left, y: event.clientY - map.top }, x, y)))
}
function grab(event: PointerEvent) {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = true
  drag(event)
}
function key(event: KeyboardEvent) {
  const to = sizeByKey(props.arrow.move, props.arrow.size, event.key)
  if (to === undefined) return
  event.preventDefault()
  emit('size', to)
}
</script>

<template>
  <g
    class="arrow"
    :class="{ set: arrow.size > 0 }"
    role="slider"
    tabindex="0"
    :aria-label="`Try ${MOVE[arrow.move].name}`"
    :aria-valuemin="0"
    :aria-valuemax="MOVE_SIZES[arrow.move].max"
    :aria-valuenow="arrow.size"
    :aria-valuetext="arrow.size > 0 ? MOVE[arrow.move].size(arrow.size) : 'none'"
    @pointerdown.prevent="grab"
    @pointermove="drag"
    @pointerup="held = false"
    @pointercancel="held = false"
    @keydown="key"
  >
    <path :d="way" class="wide" />
    <path :d="way" class="way" />
    <path v-if="done" :d="done" class="done" />
    <path
      d="M-10 -6L2 0L-10 6Z"
      class="tip"
      :transform="`translate(${x(tip.ph)} ${y(tip.taGPerL)}) rotate(${(angle * 180) / Math.PI})`"
    />
    <line v-for="m in marks" :key="m.size" :x1="m.x1" :x2="m.x2" :y1="m.y1" :y2="m.y2" class="tick" />
    <text :x="label.x" :y="label.y" :text-anchor="label.anchor" :class="{ size: arrow.size > 0 }">
      {{ sayMove(arrow.move, arrow.size) }}
    </text>
    <circle v-if="at" :cx="x(at.ph)" :cy="y(at.taGPerL)" r="9" class="handle" />
  </g>
</template>

<style scoped>
.arrow {
  cursor: grab;
  outline: none;
  touch-action: none;
}
.wide {
  fill: none;
  stroke: transparent;
  stroke-width: 30;
}
.way {
  fill: none;
  stroke: var(--line-strong);
  stroke-width: 2.5;
}
.tip {
  fill: var(--line-strong);
}
.tick {
  stroke: var(--line-strong);
  stroke-width: 2.5;
}
.arrow text {
  font-size: 14.5px;
  fill: var(--ink);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
  stroke-linejoin: round;
}
.arrow .size {
  fill: var(--skin);
  font-weight: 700;
}
.done {
  fill: none;
  stroke: var(--skin);
  stroke-width: 5;
  stroke-linecap: round;
}
.handle {
  fill: var(--skin);
  stroke: var(--sheet);
  stroke-width: 3;
}
.arrow:hover .way,
.arrow.set .way {
  stroke: var(--ink);
}
.arrow:focus-visible .way {
  stroke: var(--skin);
  stroke-width: 5;
}
.arrow:focus-visible text {
  text-decoration: underline;
}
</style>
