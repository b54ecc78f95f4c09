<script setup lang="ts">
import type { Shown } from '~/composables/useFormat'

defineProps<{
  label: string
  /** Nothing known yet when left out. */
  shown?: Shown | undefined
  origin?: 'measured' | 'estimated' | 'forecast' | 'worked out' | undefined
  /** Half-width of the band, in words, like "0.05". */
  uncertainty?: string | undefined
  /** How old it is, in words, when that matters. */
  age?: string | undefined
  size?: 'normal' | 'hero' | 'small'
  /** It is inside a button: its words cannot be tapped by themselves. */
  plain?: boolean
}>()
const MARK = { measured: '●', estimated: '◐', forecast: '○', 'worked out': '=' } as const
</script>

<template>
  <div class="number" :class="size ?? 'normal'">
    <div class="label"><template v-if="plain">{{ label }}</template><TermText v-else :text="label" :most="1" /></div>
    <div v-if="shown" class="value">
      <span class="figure">{{ shown.text }}</span>
      <span v-if="shown.unit !== label" class="unit">{{ shown.unit }}</span>
    </div>
    <div v-else class="value none"><span class="figure" aria-label="not known">–</span></div>
    <div v-if="shown && origin" class="origin">
      <span aria-hidden="true">{{ MARK[origin] }}</span> {{ origin }}<template v-if="uncertainty">{{ ` ±\u00a0${uncertainty}` }}</template
      ><template v-if="age">, {{ age }}</template>
    </div>
    <div v-else-if="!shown" class="origin">not measured</div>
    <slot />
  </div>
</template>

<style scoped>
.number {
  min-width: 0;
}
.label {
  font-size: 0.92rem;
  color: var(--ink-soft);
}
.value {
  display: flex;
  align-items: baseline;
  gap: 6px;
  white-space: nowrap;
}
.value .figure {
  font-size: 2.4rem;
  line-height: 1.08;
}
.hero .value .figure {
  font-size: clamp(3.6rem, 11vw, 5.2rem);
  line-height: 1;
}
.small .value .figure {
  font-size: 1.55rem;
}
.unit {
  color: var(--ink-soft);
  font-size: 1rem;
}
.hero .unit {
  font-size: 1.4rem;
}
.none {
  color: var(--ink-soft);
}
.origin {
  font-size: 0.85rem;
  color: var(--ink-soft);
}
</style>
