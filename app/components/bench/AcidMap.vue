<script setup lang="ts">
import type { AcidMove } from '~~/core/acids'
import type { Style } from '~~/core/ledger'
import type { MapArrow, MapDot, MapWindow } from '~/composables/useAcidMap'
import { sayMove } from '~/wording/acid-map'
import { STYLE } from '~/wording/terms'
import { placeLabels } from '~/composables/placeLabels'
import { useMapScale } from '~/composables/useMapScale'

/**
 * pH across, TA up. The must is a drop; arrows go from it for each thing that can be done or will happen. An arrow is taken
 * anywhere along its length and drawn to the size that is wanted; with the keyboard it is a slider.
 */
const props = defineProps<{
  here: { name: string, ph: number, ta: number, colour: string } | undefined
  then: { ph: number, ta: number } | undefined
  /** Where it ends after what is planned. */
  end?: { ph: number, ta: number } | undefined
  dots: MapDot[]
  windows: MapWindow[]
  arrows: MapArrow[]
  style: Style
}>()
const emit = defineEmits<{ size: [move: AcidMove, size: number] }>()

const frame = ref<HTMLElement>()
const scale = useMapScale(frame, () => [
  ...props.dots,
  ...(props.here ? [props.here] : []),
  ...(props.end ? [props.end] : []),
  ...props.arrows.map((a) => ({ ph: a.path.at(-1)!.ph, ta: a.path.at(-1)!.taGPerL }))
])
const { PAD, width, height, x, y, ticks } = scale
const drawn = computed(() =>
  props.arrows.map((arrow) => {
    const [a, b] = [arrow.path.at(-3)!, arrow.path.at(-1)!]
    const angle = Math.atan2(y(b.taGPerL) - y(a.taGPerL), x(b.ph) - x(a.ph))
    return { arrow, angle, tip: { x: x(b.ph), y: y(b.taGPerL) } }
  })
)
/** The must's own name first, then the arrows', then those of the other lots. */
const labels = computed(() => {
  const [here, then] = [props.here, props.then]
  const ways = drawn.value
  const points = [
    ...(here ? [{ x: x(here.ph), y: y(here.ta), r: 12 }] : []),
    ...(then ? [{ x: x(then.ph), y: y(then.ta), r: 12 }] : []),
    ...props.dots.map((d) => ({ x: x(d.ph), y: y(d.ta), r: 9 })),
    ...(props.end ? [{ x: x(props.end.ph), y: y(props.end.ta), r: 11 }] : []),
    // Names of the windows, as beads too: wider than high.
    ...props.windows.flatMap((w) =>
      [16, 28, 40].map((dx) => ({ x: x(w.ph.min) + dx, y: w.style === 'rose' ? y(w.ta.min) - 13 : y(w.ta.max) + 13, r: 8 }))
    ),
    // The arrows themselves, as beads on a string.
    ...ways.flatMap((w) => w.arrow.path.filter((_, i) => i % 3 === 0).map((p) => ({ x: x(p.ph), y: y(p.taGPerL), r: 5 })))
  ]
  const spots = placeLabels(
    [
      ...(here ? [{ x: x(here.ph), y: y(here.ta), text: `${here.name}x`, gap: 18, towards: -Math.PI / 4 }] : []),
      ...ways.map((w) => ({ ...w.tip, text: sayMove(w.arrow.move, w.arrow.size), gap: 12, towards: w.angle })),
      ...props.dots.map((d) => ({ x: x(d.ph), y: y(d.ta), text: d.name, gap: 13, towards: -Math.PI / 2, optional: true }))
    ],
    points,
    { left: PAD.left, width: width.value, height: height.value - PAD.bottom }
  )
  return {
    here: here ? spots[0] : undefined,
    ways: spots.slice(here ? 1 : 0, (here ? 1 : 0) + ways.length),
    dots: spots.slice((here ? 1 : 0) + ways.length)
  }
})
</script>

<template>
  <div ref="frame" class="map">
    <svg v-if="width > 0" :width="width" :height="height" role="group" aria-label="Map of acids: pH across, TA up">
      <g aria-hidden="true">
        <g class="grid">
          <line v-for="t in ticks.ph" :key="`x${t}`" :x1="x(t)" :x2="x(t)" :y1="PAD.top" :y2="height - PAD.bottom" />
          <line v-for="t in ticks.ta" :key="`y${t}`" :x1="PAD.left" :x2="width - PAD.right" :y1="y(t)" :y2="y(t)" />
        </g>
        <g v-for="w in windows" :key="w.style" class="window" :class="{ mine: w.style === style }">
          <rect :x="x(w.ph.min)" :y="y(w.ta.max)" :width="x(w.ph.max) - x(w.ph.min)" :height="y(w.ta.min) - y(w.ta.max)" rx="10" />
          <text :x="x(w.ph.min) + 8" :y="w.style === 'rose' ? y(w.ta.min) - 8 : y(w.ta.max) + 18">{{ STYLE[w.style].toLowerCase() }}</text>
        </g>
        <g class="axis">
          <text v-for="t in ticks.ph" :key="t" :x="x(t)" :y="height - PAD.bottom + 20" text-anchor="middle">{{ t.toFixed(1) }}</text>
          <text v-for="t in ticks.ta" :key="t" :x="PAD.left - 10" :y="y(t) + 5" text-anchor="end">{{ t }}</text>
          <text class="title" :x="width - PAD.right" :y="height - 6" text-anchor="end">
            {{ width > 460 ? '← pH: lower is safer' : 'pH →' }}
          </text>
          <text class="title" :x="PAD.left" :y="height - 6">↑ TA, g/L{{ width > 460 ? ': higher tastes sharper' : '' }}</text>
        </g>
        <g v-for="(d, i) in dots" :key="d.id" class="other">
          <circle :cx="x(d.ph)" :cy="y(d.ta)" r="7" :fill="d.colour" />
          <text v-if="labels.dots[i]" :x="labels.dots[i].x" :y="labels.dots[i].y" :text-anchor="labels.dots[i].anchor">{{ d.name }}</text>
        </g>
      </g>
      <AcidArrow
        v-for="(d, i) in drawn"
        :key="d.arrow.move"
        :arrow="d.arrow"
        :angle="d.angle"
        :scale="scale"
        :label="labels.ways[i]!"
        @size="emit('size', d.arrow.move, $event)"
      />
      <g aria-hidden="true">
        <template v-if="here && end">
          <line :x1="x((then ?? here).ph)" :y1="y((then ?? here).ta)" :x2="x(end.ph)" :y2="y(end.ta)" class="course" />
          <path :d="`M${x(end.ph)} ${y(end.ta) - 10}l10 10l-10 10l-10 -10Z`" class="end" />
        </template>
        <template v-if="here && then">
          <line :x1="x(here.ph)" :y1="y(here.ta)" :x2="x(then.ph)" :y2="y(then.ta)" class="link" />
          <circle :cx="x(then.ph)" :cy="y(then.ta)" r="11" class="then" />
        </template>
        <g v-if="here" class="here">
          <circle :cx="x(here.ph)" :cy="y(here.ta)" r="11" :fill="here.colour" />
          <text :x="labels.here!.x" :y="labels.here!.y" :text-anchor="labels.here!.anchor">{{ here.name }}</text>
        </g>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.map {
  width: 100%;
  min-height: 300px;
  background: var(--sheet);
  border: 1.5px solid var(--line);
  border-radius: var(--radius-sheet);
  overflow: hidden;
}
svg {
  display: block;
  touch-action: pan-y;
  user-select: none;
}
text {
  font-size: 14px;
  fill: var(--ink-soft);
}
.grid line {
  stroke: var(--line);
  stroke-width: 1;
}
.axis .title {
  font-size: 13px;
}
.window rect {
  fill: none;
  stroke: var(--line-strong);
  stroke-width: 1.5;
  stroke-dasharray: 4 5;
}
.mine rect {
  fill: var(--good);
  fill-opacity: 0.16;
  stroke: var(--good);
  stroke-width: 2.5;
  stroke-dasharray: none;
}
.mine text {
  fill: var(--good);
  font-weight: 700;
}
.other circle {
  stroke: var(--sheet);
  stroke-width: 2;
}
.link {
  stroke: var(--skin);
  stroke-width: 1.5;
  stroke-dasharray: 3 4;
}
.course {
  stroke: var(--ink-soft);
  stroke-width: 2;
  stroke-dasharray: 2 5;
  stroke-linecap: round;
}
.end {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.5;
}
.then {
  fill: none;
  stroke: var(--skin);
  stroke-width: 4;
}
.here circle {
  stroke: var(--ink);
  stroke-width: 3;
}
.here text {
  font-size: 15px;
  font-weight: 700;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.other text {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
</style>
