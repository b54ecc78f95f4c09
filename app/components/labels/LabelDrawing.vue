<script setup lang="ts">
import type { Shape } from '~~/core/labels'

/** A label as it will be printed, millimetre by millimetre: always on white, whatever the theme. */
defineProps<{ shapes: readonly Shape[], w: number, h: number }>()
const FACE = {
  display: { 'font-family': 'var(--font-display)', 'font-weight': 500 },
  text: { 'font-family': 'var(--font-sans)', 'font-weight': 400 },
  bold: { 'font-family': 'var(--font-sans)', 'font-weight': 700 }
} as const
</script>

<template>
  <g>
    <rect :width="w" :height="h" fill="#ffffff" />
    <template v-for="(s, i) in shapes" :key="i">
      <rect v-if="s.is === 'rect'" :x="s.x" :y="s.y" :width="s.w" :height="s.h" :fill="s.ink" />
      <path v-else-if="s.is === 'path'" :d="s.d" :fill="s.ink" />
      <text v-else :x="s.x" :y="s.y" :font-size="s.size" :fill="s.ink" :style="FACE[s.font]">{{ s.text }}</text>
    </template>
  </g>
</template>
