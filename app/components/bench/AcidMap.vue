<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { type AcidMove, MOVE_SIZES } from '~~/core/acids'
import type { Style } from '~~/core/ledger'
import type { MapArrow, MapDot, MapWindow } from '~/composables/useAcidMap'
import { MOVE } from '~/wording/acid-map'
import { STYLE } from '~/wording/terms'

/**
 * pH across, TA up. The must is a drop; arrows go from it for each thing that can be done or will happen. An arrow is taken
 * anywhere along its length and drawn to the size that is wanted; with the keyboard it is a slider.
 */
const props = defineProps<{
  here: { name: string, ph: number, ta: number, colour: string } | undefined
  then: { ph: number, ta: number } | undefined
  dots: MapDot[]
  windows: MapWindow[]
  arrows: MapArrow[]
  style: Style
}>()
const emit = defineEmits<{ size: [move: AcidMove, size: number] }>()

const frame = ref<HTMLElement>()
const { width } = useElementSize(frame)
const height = computed(() => Math.max(300, Math.min(460, width.value * 0.72)))
const PAD = { left: 46, right: 18, top: 14, bottom: 44 }
const STEPS: Record<AcidMove, number> = { 'tartaric': 0.1, 'potassium-bicarbonate': 0.1, 'water': 5, 'malolactic': 50, 'cold': 22 }

/** Room for everything that is drawn, in whole marks. */
const range = computed(() => {
  const all = [...props.dots, ...(props.here ? [props.here] : []), ...props.arrows.flatMap(a => [{ ph: a.path.at(-1)!.ph, ta: a.path.at(-1)!.taGPerL }])]
  const phs = [3, 3.9, ...all.map(p => p.ph)]
  const tas = [4.5, 9.5, ...all.map(p => p.ta)]
  return { ph: [Math.floor(Math.min(...phs) * 10 - 0.5) / 10, Math.ceil(Math.max(...phs) * 10 + 0.5) / 10], ta: [Math.floor(Math.min(...tas) - 0.3), Math.ceil(Math.max(...tas) + 0.3)] } as const
})
const x = (ph: number) => PAD.left + (ph - range.value.ph[0]!) / (range.value.ph[1]! - range.value.ph[0]!) * (width.value - PAD.left - PAD.right)
const y = (ta: number) => height.value - PAD.bottom - (ta - range.value.ta[0]!) / (range.value.ta[1]! - range.value.ta[0]!) * (height.value - PAD.top - PAD.bottom)
const ticks = computed(() => ({
  ph: Array.from({ length: Math.round((range.value.ph[1]! - range.value.ph[0]!) * 5) + 1 }, (_, i) => range.value.ph[0]! + i * 0.2).filter(v => v <= range.value.ph[1]! + 1e-9),
  ta: Array.from({ length: range.value.ta[1]! - range.value.ta[0]! + 1 }, (_, i) => range.value.ta[0]! + i)
}))
const line = (points: readonly { ph: number, taGPerL: number }[]) => points.map((p, i) => `${i ? 'L' : 'M'}${x(p.ph).toFixed(1)} ${y(p.taGPerL).toFixed(1)}`).join('')

const way = (a: MapArrow) => `${MOVE[a.move].name}${a.size > 0 ? ` ${MOVE[a.move].size(a.size)}` : ''}`
const drawn = computed(() => props.arrows.map((arrow) => {
  const path = arrow.path
  const [a, b] = [path.at(-3)!, path.at(-1)!]
  const angle = Math.atan2(y(b.taGPerL) - y(a.taGPerL), x(b.ph) - x(a.ph))
  const at = pointAt(arrow, arrow.size)
  return {
    arrow, angle, d: line(path), done: arrow.size > 0 && at ? line([...path.filter(p => p.size <= arrow.size + 1e-9), at]) : '',
    tip: { x: x(b.ph), y: y(b.taGPerL) }, handle: arrow.size > 0 && at ? { x: x(at.ph), y: y(at.taGPerL) } : undefined,
    marks: arrow.marks.map(m => ({ x: x(m.ph), y: y(m.taGPerL), dx: -Math.sin(angle) * 6, dy: Math.cos(angle) * 6, size: m.size }))
  }
}))
/** The must's own name first, then the arrows', then those of the other lots. */
const labels = computed(() => {
  const [here, then] = [props.here, props.then]
  const ways = drawn.value
  const points = [
    ...(here ? [{ x: x(here.ph), y: y(here.ta), r: 12 }] : []), ...(then ? [{ x: x(then.ph), y: y(then.ta), r: 12 }] : []), ...props.dots.map(d => ({ x: x(d.ph), y: y(d.ta), r: 9 })),
    ...props.windows.map(w => ({ x: x(w.ph.min) + 22, y: w.style === 'rose' ? y(w.ta.min) - 12 : y(w.ta.max) + 13, r: 15 })),
    // The arrows themselves, as beads on a string.
    ...ways.flatMap(w => w.arrow.path.filter((_, i) => i % 3 === 0).map(p => ({ x: x(p.ph), y: y(p.taGPerL), r: 5 })))
  ]
  const spots = placeLabels([
    ...(here ? [{ x: x(here.ph), y: y(here.ta), text: `${here.name}x`, gap: 18, towards: -Math.PI / 4 }] : []),
    ...ways.map(w => ({ ...w.tip, text: way(w.arrow), gap: 12, towards: w.angle })),
    ...props.dots.map(d => ({ x: x(d.ph), y: y(d.ta), text: d.name, gap: 13, towards: -Math.PI / 2 }))
  ], points, { width: width.value, height: height.value - PAD.bottom })
  return { here: here ? spots[0] : undefined, ways: spots.slice(here ? 1 : 0, (here ? 1 : 0) + ways.length), dots: spots.slice((here ? 1 : 0) + ways.length) }
})
function pointAt(arrow: MapArrow, size: number) {
  const i = arrow.path.findIndex(p => p.size >= size)
  if (i <= 0) return i === 0 ? arrow.path[0] : arrow.path.at(-1)
  const [a, b] = [arrow.path[i - 1]!, arrow.path[i]!]
  const share = (size - a.size) / (b.size - a.size)
  return { size, ph: a.ph + (b.ph - a.ph) * share, taGPerL: a.taGPerL + (b.taGPerL - a.taGPerL) * share }
}

const settle = (move: AcidMove, size: number) => Math.min(MOVE_SIZES[move].max, Math.max(0, Number((Math.round(size / STEPS[move]) * STEPS[move]).toFixed(2))))
const dragging = ref<AcidMove>()
function grab(event: PointerEvent, arrow: MapArrow) {
  (event.currentTarget as Element).setPointerCapture(event.pointerId)
  dragging.value = arrow.move
  drag(event, arrow)
}
/** The size on the arrow that lies nearest to the finger. */
function drag(event: PointerEvent, arrow: MapArrow) {
  if (dragging.value !== arrow.move || !frame.value) return
  const box = frame.value.getBoundingClientRect()
  const [px, py] = [event.clientX - box.left, event.clientY - box.top]
  let best = { distance: Infinity, size: 0 }
  for (let i = 1; i < arrow.path.length; i++) {
    const [a, b] = [arrow.path[i - 1]!, arrow.path[i]!]
    const [ax, ay, bx, by] = [x(a.ph), y(a.taGPerL), x(b.ph), y(b.taGPerL)]
    const squared = (bx - ax) ** 2 + (by - ay) ** 2
    const share = squared === 0 ? 0 : Math.min(1, Math.max(0, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / squared))
    const distance = Math.hypot(px - ax - share * (bx - ax), py - ay - share * (by - ay))
    if (distance < best.distance) best = { distance, size: a.size + share * (b.size - a.size) }
  }
  emit('size', arrow.move, settle(arrow.move, best.size))
}
const KEYS: Record<string, number> = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 }
function key(event: KeyboardEvent, arrow: MapArrow) {
  const to = event.key === 'Home' ? 0 : event.key === 'End' ? MOVE_SIZES[arrow.move].max : KEYS[event.key] === undefined ? undefined : arrow.size + KEYS[event.key]! * STEPS[arrow.move]
  if (to === undefined) return
  event.preventDefault()
  emit('size', arrow.move, settle(arrow.move, to))
}
</script>

<template>
  <div ref="frame" class="map">
    <svg v-if="width > 0" :width="width" :height="height" role="group" aria-label="Map of acids: pH across, TA up">
      <g aria-hidden="true">
        <g class="grid"><line v-for="t in ticks.ph" :key="`x${t}`" :x1="x(t)" :x2="x(t)" :y1="PAD.top" :y2="height - PAD.bottom" /><line v-for="t in ticks.ta" :key="`y${t}`" :x1="PAD.left" :x2="width - PAD.right" :y1="y(t)" :y2="y(t)" /></g>
        <g v-for="w in windows" :key="w.style" class="window" :class="{ mine: w.style === style }">
          <rect :x="x(w.ph.min)" :y="y(w.ta.max)" :width="x(w.ph.max) - x(w.ph.min)" :height="y(w.ta.min) - y(w.ta.max)" rx="10" />
          <text :x="x(w.ph.min) + 8" :y="w.style === 'rose' ? y(w.ta.min) - 8 : y(w.ta.max) + 18">{{ STYLE[w.style].toLowerCase() }}</text>
        </g>
        <g class="axis"><text v-for="t in ticks.ph" :key="t" :x="x(t)" :y="height - PAD.bottom + 20" text-anchor="middle">{{ t.toFixed(1) }}</text><text v-for="t in ticks.ta" :key="t" :x="PAD.left - 10" :y="y(t) + 5" text-anchor="end">{{ t }}</text><text class="title" :x="width - PAD.right" :y="height - 6" text-anchor="end">pH{{ width > 460 ? ': lower is safer' : '' }} →</text><text class="title" :x="PAD.left" :y="height - 6">↑ TA, g/L{{ width > 460 ? ': higher tastes sharper' : '' }}</text></g>
        <g v-for="(d, i) in dots" :key="d.id" class="other"><circle :cx="x(d.ph)" :cy="y(d.ta)" r="7" :fill="d.colour" /><text :x="labels.dots[i]!.x" :y="labels.dots[i]!.y" :text-anchor="labels.dots[i]!.anchor">{{ d.name }}</text></g>
      </g>
      <g
        v-for="(a, i) in drawn" :key="a.arrow.move" class="arrow" :class="{ set: a.arrow.size > 0 }" role="slider" tabindex="0"
        :aria-label="`Try ${MOVE[a.arrow.move].name}`" :aria-valuemin="0" :aria-valuemax="MOVE_SIZES[a.arrow.move].max" :aria-valuenow="a.arrow.size" :aria-valuetext="a.arrow.size > 0 ? MOVE[a.arrow.move].size(a.arrow.size) : 'none'"
        @pointerdown.prevent="grab($event, a.arrow)" @pointermove="drag($event, a.arrow)" @pointerup="dragging = undefined" @pointercancel="dragging = undefined" @keydown="key($event, a.arrow)"
      >
        <path :d="a.d" class="wide" />
        <path :d="a.d" class="way" />
        <path v-if="a.done" :d="a.done" class="done" />
        <path d="M-10 -6L2 0L-10 6Z" class="tip" :transform="`translate(${a.tip.x} ${a.tip.y}) rotate(${a.angle * 180 / Math.PI})`" />
        <line v-for="m in a.marks" :key="m.size" :x1="m.x - m.dx" :x2="m.x + m.dx" :y1="m.y - m.dy" :y2="m.y + m.dy" class="tick" />
        <text :x="labels.ways[i]!.x" :y="labels.ways[i]!.y" :text-anchor="labels.ways[i]!.anchor" :class="{ size: a.arrow.size > 0 }">{{ way(a.arrow) }}</text>
        <circle v-if="a.handle" :cx="a.handle.x" :cy="a.handle.y" r="9" class="handle" />
      </g>
      <g aria-hidden="true">
        <template v-if="here && then"><line :x1="x(here.ph)" :y1="y(here.ta)" :x2="x(then.ph)" :y2="y(then.ta)" class="link" /><circle :cx="x(then.ph)" :cy="y(then.ta)" r="11" class="then" /></template>
        <g v-if="here" class="here"><circle :cx="x(here.ph)" :cy="y(here.ta)" r="11" :fill="here.colour" /><text :x="labels.here!.x" :y="labels.here!.y" :text-anchor="labels.here!.anchor">{{ here.name }}</text></g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.map { width: 100%; min-height: 300px; background: var(--sheet); border: 1.5px solid var(--line); border-radius: var(--radius-sheet); overflow: hidden; }
svg { display: block; touch-action: pan-y; user-select: none; }
text { font-size: 14px; fill: var(--ink-soft); }
.grid line { stroke: var(--line); stroke-width: 1; }
.axis .title { font-size: 13px; }
.window rect { fill: none; stroke: var(--line-strong); stroke-width: 1.5; stroke-dasharray: 4 5; }
.mine rect { fill: var(--good); fill-opacity: 0.16; stroke: var(--good); stroke-width: 2.5; stroke-dasharray: none; }
.mine text { fill: var(--good); font-weight: 700; }
.other circle { stroke: var(--sheet); stroke-width: 2; }
.arrow { cursor: grab; outline: none; touch-action: none; }
.wide { fill: none; stroke: transparent; stroke-width: 30; }
.way { fill: none; stroke: var(--line-strong); stroke-width: 2.5; }
.tip { fill: var(--line-strong); }
.tick { stroke: var(--line-strong); stroke-width: 2.5; }
.arrow text { font-size: 14.5px; fill: var(--ink); font-weight: 600; paint-order: stroke; stroke: var(--sheet); stroke-width: 4px; stroke-linejoin: round; }
.arrow .size { fill: var(--skin); font-weight: 700; }
.done { fill: none; stroke: var(--skin); stroke-width: 5; stroke-linecap: round; }
.handle { fill: var(--skin); stroke: var(--sheet); stroke-width: 3; }
.arrow:hover .way, .arrow.set .way { stroke: var(--ink); }
.arrow:focus-visible .way { stroke: var(--skin); stroke-width: 5; }
.arrow:focus-visible text { text-decoration: underline; }
.link { stroke: var(--skin); stroke-width: 1.5; stroke-dasharray: 3 4; }
.then { fill: none; stroke: var(--skin); stroke-width: 4; }
.here circle { stroke: var(--ink); stroke-width: 3; }
.here text { font-size: 15px; font-weight: 700; fill: var(--ink); paint-order: stroke; stroke: var(--sheet); stroke-width: 4px; }
.other text { paint-order: stroke; stroke: var(--sheet); stroke-width: 4px; }
</style>
