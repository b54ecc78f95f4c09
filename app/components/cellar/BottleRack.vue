<script setup lang="ts">
/** The bottles of a lot, standing side by side: those that are left full, those that are gone as outlines. */
const props = defineProps<{
  filled: number
  left: number
  colour: string
  /** Heavier glass, with a wired closure. */
  sparkling?: boolean
}>()

/** So many are drawn one by one; of more, each drawing is a dozen, or a gross. */
const MOST = 36
const [WIDEST, WIDTH, HEIGHT, GAP] = [9, 20, 62, 3]
const each = computed(() => [1, 12, 144].find((n) => props.filled / n <= MOST) ?? Math.ceil(props.filled / MOST))
const count = computed(() => Math.ceil(props.filled / each.value))
/** Rows of about the same length. */
const columns = computed(() => Math.ceil(count.value / Math.ceil(count.value / WIDEST)))
const drawn = computed(() => {
  const full = Math.ceil(props.left / each.value)
  return Array.from({ length: count.value }, (_, i) => ({
    x: (i % columns.value) * (WIDTH + GAP),
    y: Math.floor(i / columns.value) * (HEIGHT + 8),
    full: i < full
  }))
})
const size = computed(() => ({
  width: columns.value * (WIDTH + GAP) - GAP + 4,
  height: Math.ceil(count.value / columns.value) * (HEIGHT + 8) - 4
}))

/** Half a bottle from the foot up: how far out, and how high, as parts of its height; the shoulder is a curve. */
const SHAPE = {
  still: { body: 0.13, shoulder: 0.6, neckFrom: 0.76, neck: 0.048, lip: 0.056 },
  sparkling: { body: 0.15, shoulder: 0.42, neckFrom: 0.8, neck: 0.05, lip: 0.075 }
} as const
const outline = computed(() => {
  const { body, shoulder, neckFrom, neck, lip } = SHAPE[props.sparkling ? 'sparkling' : 'still']
  const half = (side: -1 | 1) => {
    const x = (r: number) => (WIDTH / 2 + side * r * HEIGHT).toFixed(1)
    const y = (h: number) => (HEIGHT * (1 - h)).toFixed(1)
    return {
      up: `L${x(body)} ${y(0)}L${x(body)} ${y(shoulder)}C${x(body)} ${y(shoulder + 0.12)} ${x(neck)} ${y(neckFrom - 0.1)} ${x(neck)} `
        + `${y(neckFrom)}`
        + `L${x(neck)} ${y(0.95)}L${x(lip)} ${y(0.95)}L${x(lip)} ${y(1)}`,
      down: `L${x(lip)} ${y(1)}L${x(lip)} ${y(0.95)}L${x(neck)} ${y(0.95)}L${x(neck)} ${y(neckFrom)}`
        + `C${x(neck)} ${y(neckFrom - 0.1)} ${x(body)} ${y(shoulder + 0.12)} ${x(body)} ${y(shoulder)}L${x(body)} ${y(0)}`
    }
  }
  return `${half(-1).up.replace('L', 'M')}${half(1).down}Z`
})
const words = computed(
  () => `${props.left} of ${props.filled} ${props.filled === 1 ? 'bottle' : 'bottles'} `
    + `left${each.value > 1 ? `; each one drawn is ${each.value}` : ''}`
)
</script>

<template>
  <figure class="rack">
    <svg :width="size.width" :height="size.height" :viewBox="`-2 -2 ${size.width} ${size.height}`" aria-hidden="true">
      <path
        v-for="(b, i) in drawn"
        :key="i"
        :d="outline"
        :transform="`translate(${b.x} ${b.y})`"
        :fill="b.full ? colour : 'none'"
        :stroke-dasharray="b.full ? undefined : '2 3'"
        :class="{ gone: !b.full }"
        stroke="var(--ink)"
        stroke-width="1.4"
        stroke-linejoin="round"
      />
    </svg>
    <figcaption class="soft small">{{ words }}</figcaption>
  </figure>
</template>

<style scoped>
.rack {
  display: grid;
  gap: 8px;
  justify-items: center;
}
.rack svg {
  max-width: 100%;
  height: auto;
}
.gone {
  opacity: 0.45;
}
</style>
