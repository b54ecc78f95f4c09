<script setup lang="ts">
import { fieldOf } from '~~/practice/instruments'

/** What is seen through a refractometer: blue above the line, light below it. */
const props = defineProps<{ brix: number, blur: number, name: string }>()
const field = computed(() => fieldOf(props.brix, props.blur))
const id = useId()
const told = computed(() => {
  const low = Math.floor(props.brix)
  return `The line is between ${low} and ${low + 1}, ${Math.round((props.brix - low) * 10)} tenths of the way up.`
})
</script>

<template>
  <figure class="drawing">
    <figcaption class="font-semibold">{{ name }}</figcaption>
    <svg viewBox="0 0 300 300" role="img" :aria-label="`Through the refractometer: ${name}`">
      <defs>
        <clipPath :id="`${id}-eye`"><circle cx="150" cy="150" r="148" /></clipPath>
        <linearGradient :id="`${id}-line`" x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" stop-color="#5f86b5" /><stop offset="1" stop-color="#eef1ee" />
        </linearGradient>
      </defs>
      <g :clip-path="`url(#${id}-eye)`">
        <rect width="300" height="300" fill="#eef1ee" />
        <rect width="300" :height="Math.max(0, field.lineY - field.blur)" fill="#5f86b5" />
        <rect width="300" :y="field.lineY - field.blur" :height="2 * field.blur" :fill="`url(#${id}-line)`" />
        <g v-for="t in field.ticks" :key="t.brix">
          <line x1="130" :x2="t.label ? 170 : 158" :y1="t.y" :y2="t.y" stroke="#1d2530" :stroke-width="t.label ? 1.6 : 0.9" />
          <text v-if="t.label" x="178" :y="t.y + 4">{{ t.label }}</text>
        </g>
        <line x1="130" x2="130" y1="18" y2="282" stroke="#1d2530" />
      </g>
      <circle cx="150" cy="150" r="148" class="rim" />
    </svg>
    <details class="small"><summary>In words</summary>{{ told }}</details>
  </figure>
</template>

<style scoped>
svg { width: min(100%, 300px); display: block; }
text { font-size: 12px; fill: #1d2530; font-family: var(--font-sans); }
.rim { fill: none; stroke: var(--ink); stroke-width: 4; }
</style>
