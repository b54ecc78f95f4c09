<script setup lang="ts">
import { stemOf } from '~~/practice/instruments'

/** A hydrometer's stem in its jar, close up. The scale and the surface are to scale: it is read, not told. */
const props = defineProps<{ sg: number, seed: number, gassy?: boolean, colour?: 'red' | 'white', spun?: boolean }>()
/** Bubbles on its glass lift it by a point or so, until it is spun. */
const LIFT = 0.0012
const stem = computed(() => stemOf(props.sg + (props.gassy && !props.spun ? LIFT : 0), props.seed, props.gassy && !props.spun))
const LENGTH = { long: 30, middle: 20, short: 20 } as const
/** The text way: between which marks the flat surface is, and how far down, in tenths. */
const told = computed(() => {
  const { ticks, surfaceY } = stem.value
  const above = ticks.filter((t) => t.y <= surfaceY).at(-1)
  const below = ticks.find((t) => t.y > surfaceY)
  if (!above || !below) return 'The surface is off the scale.'
  const tenths = Math.round(((surfaceY - above.y) / (below.y - above.y)) * 10)
  return `The flat surface is between the marks ${above.sg.toFixed(3)} and ${below.sg.toFixed(3)}, ${tenths} tenths of the way down.`
})
</script>

<template>
  <figure class="drawing">
    <svg viewBox="0 0 220 300" role="img" aria-label="A hydrometer’s stem at the surface of the wine">
      <rect x="20" y="0" width="180" height="300" class="jar" />
      <rect x="20" :y="stem.surfaceY" width="180" :height="300 - stem.surfaceY" class="wine" :class="colour ?? 'red'" />
      <path
        :d="`M20 ${stem.surfaceY} H66 Q76 ${stem.surfaceY} 80 ${stem.surfaceY - stem.meniscus} H140
          Q144 ${stem.surfaceY} 154 ${stem.surfaceY} H200`"
        class="surface"
      />
      <rect x="80" y="0" width="60" height="300" class="stem" />
      <g v-for="t in stem.ticks" :key="t.sg">
        <line x1="80" :x2="80 + LENGTH[t.length]" :y1="t.y" :y2="t.y" class="tick" :class="t.length" />
        <text v-if="t.label" x="138" :y="t.y + 4" text-anchor="end">{{ t.label.slice(1) }}</text>
      </g>
      <line x1="20" x2="200" :y1="stem.surfaceY" :y2="stem.surfaceY" class="level" />
      <circle v-for="(b, i) in stem.bubbles" :key="i" :cx="110 + b.x * 1.25" :cy="b.y" :r="b.r" class="bubble" />
    </svg>
    <details class="small"><summary>In words</summary>{{ told }}</details>
  </figure>
</template>

<style scoped>
svg { width: min(100%, 330px); display: block; }
.jar { fill: var(--glass); stroke: var(--line-strong); stroke-width: 2; }
.wine.red { fill: var(--wine-red); opacity: 0.5; }
.wine.white { fill: var(--wine-white); opacity: 0.6; }
.surface { fill: none; stroke: var(--ink); stroke-width: 1.4; opacity: 0.5; }
.level { stroke: var(--ink); stroke-width: 1; opacity: 0.55; }
/* Paper inside glass: the same in both themes. */
.stem { fill: #fdfbf4; stroke: #6d625e; stroke-width: 1.2; }
.tick { stroke: #2b2326; stroke-width: 1; }
.tick.long { stroke-width: 1.9; }
text { font-size: 12px; font-weight: 600; fill: #2b2326; font-family: var(--font-sans); }
.bubble { fill: #ffffffcc; stroke: #8a7a72; stroke-width: 0.8; }
</style>
