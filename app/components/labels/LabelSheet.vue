<script setup lang="ts">
import { type Shape, type Sheet, perSheet, placesOn } from '~~/core/labels'

/** The first sheet as it comes out of the printer. */
const props = defineProps<{ shapes: readonly Shape[], sheet: Sheet, count: number, from: number, nudge: { x: number, y: number } }>()
const all = computed(() => placesOn(props.sheet, perSheet(props.sheet)))
const used = computed(() => placesOn(props.sheet, props.count, props.from).filter((p) => p.page === 0))
const pages = computed(() => (placesOn(props.sheet, props.count, props.from).at(-1)?.page ?? -1) + 1)
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${sheet.pageW} ${sheet.pageH}`" role="img" :aria-label="`The first sheet, with ${used.length} labels`">
      <rect :width="sheet.pageW" :height="sheet.pageH" fill="#ffffff" />
      <rect
        v-for="(p, i) in all"
        :key="i"
        :x="p.x"
        :y="p.y"
        :width="p.w"
        :height="p.h"
        fill="none"
        stroke="#b9b0a2"
        stroke-width="0.5"
        :stroke-dasharray="sheet.cut ? '3 2' : undefined"
        rx="1.5"
      />
      <g v-for="(p, i) in used" :key="`l${i}`" :transform="`translate(${p.x + nudge.x} ${p.y + nudge.y})`">
        <LabelDrawing :shapes="shapes" :w="sheet.labelW" :h="sheet.labelH" />
      </g>
    </svg>
    <figcaption class="soft small">{{ pages === 1 ? 'One sheet' : `The first of ${pages} sheets` }}</figcaption>
  </figure>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
  border: 1.5px solid var(--line-strong);
}
figcaption {
  margin-top: 6px;
}
</style>
