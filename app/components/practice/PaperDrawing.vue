<script setup lang="ts">
/** A paper chromatogram with three standards and a wine’s lane, as strong as the acids are. */
const props = defineProps<{ malic: number, lactic: number }>()
/** How far each acid climbs, as a share of the solvent's front: common practice, no source. Standards are of 3 g/L. */
const RISE = { tartaric: 0.3, malic: 0.52, lactic: 0.76 } as const
type Acid = keyof typeof RISE
const STANDARD_G_PER_L = 3
const LANES: { name: string, acids: Partial<Record<Acid, number>> }[] = [
  { name: 'Tartaric', acids: { tartaric: 1 } }, { name: 'Malic', acids: { malic: 1 } }, { name: 'Lactic', acids: { lactic: 1 } }
]
const strength = (gPerL: number) => Math.min(1, Math.max(0, (gPerL - 0.05) / STANDARD_G_PER_L) ** 0.6)
const lanes = computed(() => [
  ...LANES, { name: 'The wine', acids: { tartaric: 0.9, malic: strength(props.malic), lactic: strength(props.lactic) } }
])
const y = (acid: Acid) => 208 - RISE[acid] * 180
const x = (lane: number) => 44 + lane * 62
const word = (s: number) =>
  s < 0.05 ? 'no spot' : s < 0.35 ? 'a faint spot' : s < 0.75 ? 'a spot fainter than the standard' : 'a strong spot'
const told = computed(() => `In the wine’s lane: malic, ${word(strength(props.malic))}; lactic, ${word(strength(props.lactic))}.`)
</script>

<template>
  <figure class="drawing">
    <svg viewBox="0 0 270 240" role="img" aria-label="A paper chromatogram: three standards and the wine">
      <rect x="8" y="6" width="254" height="206" rx="3" class="paper" />
      <line x1="8" x2="262" y1="28" y2="28" class="front" />
      <line x1="8" x2="262" y1="208" y2="208" class="start" />
      <g v-for="(lane, i) in lanes" :key="lane.name">
        <ellipse
          v-for="(s, acid) in lane.acids" :key="acid" class="spot" :cx="x(i)" :cy="y(acid)" rx="15" ry="10" :style="{ opacity: s }"
        />
        <text :x="x(i)" y="230" text-anchor="middle">{{ lane.name }}</text>
      </g>
    </svg>
    <details class="small"><summary>In words</summary>{{ told }}</details>
  </figure>
</template>

<style scoped>
svg { width: min(100%, 400px); font-size: 12px; fill: var(--ink); display: block; }
/* The dye of the paper, the same in both themes: it is a thing, not a surface. */
.paper { fill: #4c6f6a; stroke: var(--line-strong); }
.front, .start { stroke: #dfe9e0; }
.front { stroke-dasharray: 3 4; }
.spot { fill: #f0dc7c; }
</style>
