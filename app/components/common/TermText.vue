<script setup lang="ts">
import { partsOf } from '~/wording/glossary'
import { useTerm } from '~/composables/useTerm'
import { useSettingsStore } from '~/stores/settings'

/** A text whose words of the trade say what they mean when they are tapped; for those who know them it is plain. */
const props = defineProps<{
  text: string
  /** So many of them at the most. */
  most?: number
}>()
const settings = useSettingsStore()
const { asked, explain } = useTerm()
const id = useId()
const parts = computed(() => (settings.values.terms ? partsOf(props.text, props.most) : [props.text]))
</script>

<template>
  <template v-for="(part, i) in parts" :key="i"
  ><template v-if="typeof part === 'string'">{{ part }}</template
  ><button
    v-else
    type="button"
    class="term"
    aria-haspopup="dialog"
    :aria-expanded="asked?.id === `${id}-${i}`"
    :aria-label="`${part.text}: what does it mean?`"
    @click="explain(part.term, $event.currentTarget as HTMLElement, `${id}-${i}`, $event.detail === 0)"
  >{{ part.text }}</button
  ></template>
</template>

<style scoped>
.term {
  font: inherit;
  color: inherit;
  text-align: inherit;
  text-decoration: underline dotted var(--line-strong);
  text-decoration-thickness: 1.5px;
  text-underline-offset: 0.2em;
  cursor: help;
}
.term:hover,
.term[aria-expanded='true'] {
  text-decoration-color: currentcolor;
}
</style>
