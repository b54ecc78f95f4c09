<script setup lang="ts">
import { PROFILES, type VesselKind, levelFor, drawnHeightDm } from '~~/core/cellar'

const props = defineProps<{
  kind: VesselKind
  capacityL: number
  litres: number
  colour?: string | undefined
  pxPerDm: number
  /** Drawn dashed: the lot has no vessel of its own yet. */
  assumed?: boolean
}>()

/** Blown glass and bent staves have no corners. */
const ROUND = new Set<VesselKind>(['demijohn', 'barrel'])
const clip = useId()
const height = computed(() => drawnHeightDm(props.kind, props.capacityL) * props.pxPerDm)
const radius = computed(() => Math.max(...PROFILES[props.kind].map((p) => p[1])) * height.value)
const width = computed(() => radius.value * 2 + 4)

const at = ([x, y]: readonly [number, number]) => `${x.toFixed(1)} ${y.toFixed(1)}`
/** Runs through the middles of the pieces, bent towards their ends. */
function smooth(points: (readonly [number, number])[]): string {
  const middle = (i: number): readonly [number, number] => {
    const [a, b] = [points[i]!, points[(i + 1) % points.length]!]
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]
  }
  const next = (i: number) => (i + 1) % points.length
  return `M${at(middle(0))}${points.map((_, i) => `Q${at(points[next(i)]!)} ${at(middle(next(i)))}`).join('')}Z`
}

/** The outline, from the right bottom round to the left. */
const outline = computed(() => {
  const right = PROFILES[props.kind].map(([h, r]) => [width.value / 2 + r * height.value, height.value * (1 - h) + 2] as const)
  const left = PROFILES[props.kind].map(([h, r]) => [width.value / 2 - r * height.value, height.value * (1 - h) + 2] as const).reverse()
  return ROUND.has(props.kind) ? smooth([...right, ...left]) : `M${[...right, ...left].map(at).join('L')}Z`
})
const level = computed(() => levelFor(props.kind, props.litres / props.capacityL) * height.value)
const hoops = computed(() => (props.kind === 'barrel' ? [0.14, 0.32, 0.68, 0.86] : props.kind === 'tank' ? [0.86] : []))
</script>

<template>
  <svg :width="width" :height="height + 4" :viewBox="`0 0 ${width} ${height + 4}`" aria-hidden="true" class="vessel">
    <clipPath :id="clip"><path :d="outline" /></clipPath>
    <path :d="outline" fill="var(--glass)" />
    <g v-if="litres > 0" :clip-path="`url(#${clip})`">
      <rect x="0" :y="height + 2 - level" :width="width" :height="level + 2" :fill="colour" class="wine" />
      <rect x="0" :y="height + 2 - level" :width="width" height="2.5" fill="#fff" opacity="0.4" />
    </g>
    <line
      v-for="h in hoops"
      :key="h"
      :x1="width / 2 - radius"
      :x2="width / 2 + radius"
      :y1="height * (1 - h) + 2"
      :y2="height * (1 - h) + 2"
      stroke="var(--ink)"
      stroke-width="1.2"
      opacity="0.5"
      :clip-path="`url(#${clip})`"
    />
    <path
      :d="outline"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2"
      stroke-linejoin="round"
      :stroke-dasharray="assumed ? '6 5' : undefined"
    />
  </svg>
</template>

<style scoped>
.vessel {
  display: block;
  overflow: visible;
}
.wine {
  transition:
    y var(--quick),
    height var(--quick);
}
</style>
