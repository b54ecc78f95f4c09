<script setup lang="ts">
/** A glass with a torch behind it: the beam is sharp in a bright wine and a glow in a cloudy one. */
const props = defineProps<{ haze: number, colour: 'red' | 'white' }>()
const id = useId()
/** Turbidity by its logarithm, as eyes see it: 1 NTU is bright, 200 a wall. */
const cloud = computed(() => Math.min(1, Math.max(0, Math.log10(Math.max(0.5, props.haze)) / 2.4)))
const told = computed(() =>
  cloud.value < 0.12 ? 'The beam is a sharp spot, nothing floats in it.'
    : cloud.value < 0.38 ? 'The beam is sharp, with a breath of haze.'
      : cloud.value < 0.6 ? 'A thin veil around the beam.'
        : cloud.value < 0.92 ? 'The beam has a wide halo.' : 'The torch is only a glow.')
</script>

<template>
  <figure class="drawing">
    <svg viewBox="0 0 220 220" role="img" aria-label="A glass of the wine with a torch behind it">
      <defs>
        <!-- As large as the glass, else the glow would end in a square. -->
        <filter :id="`${id}-blur`" x="-300%" y="-300%" width="700%" height="700%">
          <feGaussianBlur :stdDeviation="1 + cloud * 26" />
        </filter>
      </defs>
      <rect width="220" height="220" rx="10" fill="#15100f" />
      <path d="M52 24 h116 l-12 168 a12 12 0 0 1 -12 10 h-68 a12 12 0 0 1 -12 -10 z" :fill="colour === 'red' ? '#3d0d1d' : '#6e6026'" />
      <circle cx="110" cy="112" r="20" fill="#ffe9b0" :filter="`url(#${id}-blur)`" :opacity="1 - cloud * 0.45" />
    </svg>
    <details class="small"><summary>In words</summary>{{ told }}</details>
  </figure>
</template>

<style scoped>
svg { width: min(100%, 260px); display: block; }
</style>
