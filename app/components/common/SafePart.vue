<script setup lang="ts">
import { LimitError } from '~~/core/units'

/** A part that cannot be drawn says so in its place, and the rest of the page lives; another address is a fresh start. */
const route = useRoute()
const failed = shallowRef<unknown>()
watch(
  () => route.fullPath,
  () => (failed.value = undefined)
)
/** Setting up, drawing, a watched figure, an update; what fails on a tap goes on its way. Built pages name them by number. */
const DRAWING = /setup function|render function|watcher getter|component update|runtime-(0|1|2|15)$/
onErrorCaptured((error, _instance, info) => {
  if (!DRAWING.test(info)) return true
  console.warn(error)
  failed.value = error
  return false
})
const reason = computed(() =>
  failed.value instanceof LimitError
    ? `a figure (${failed.value.argument} of ${Number(failed.value.value.toPrecision(4))}) is outside the range Presk can calculate with`
    : 'something unexpected happened'
)
</script>

<template>
  <FindingNote v-if="failed" tone="stop">
    This part cannot be shown: {{ reason }}. Nothing you stored is lost. Find the entry in the
    <NuxtLink to="/lots" class="textlink">history of the lot</NuxtLink>, and correct or delete it.
  </FindingNote>
  <slot v-else />
</template>
