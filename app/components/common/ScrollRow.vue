<script setup lang="ts">
import { useResizeObserver, useScroll } from '@vueuse/core'

/** A row that may be longer than the screen. A shade at an edge shows that there is more. */
const row = ref<HTMLElement>()
const content = ref<HTMLElement>()
/** Given only once it has its size: asked as it is put in, the browser would lay out a page that is half there. */
const laidOut = shallowRef<HTMLElement>()
const { arrivedState, measure } = useScroll(laidOut)
useResizeObserver([row, content], () => {
  laidOut.value = row.value
  measure()
})
defineExpose({ row })
</script>

<template>
  <div ref="row" class="scroll" :class="{ before: !arrivedState.left, after: !arrivedState.right }">
    <div ref="content" class="content"><slot /></div>
  </div>
</template>

<style scoped>
.scroll {
  --from: 0px;
  --to: 0px;
  position: relative;
  overflow-x: auto;
  scrollbar-width: none;
  mask-image: linear-gradient(90deg, transparent, #000 var(--from), #000 calc(100% - var(--to)), transparent);
}
.content {
  min-width: max-content;
}
.before {
  --from: 56px;
}
.after {
  --to: 56px;
}
</style>
