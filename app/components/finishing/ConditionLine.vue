<script setup lang="ts">
import type { Condition } from '~~/core/stages'
import { sayWhen } from '~/wording/days'
import { addressOf } from '~/wording/findings'
import { sayCondition, settleLabel } from '~/wording/readiness'
import { useFormat } from '~/composables/useFormat'
import { useNow } from '~/composables/useNow'

/** A condition: met, not met or not known, with what it rests on and the way to settle it. */
const props = defineProps<{ condition: Condition, hard: boolean, lotId: string }>()
const now = useNow()
const f = useFormat()
const STATE = {
  'met': { icon: 'i-lucide-check', word: 'Met' },
  'not-met': { icon: 'i-lucide-x', word: 'Not met' },
  'unknown': { icon: 'i-lucide-circle-help', word: 'Unknown' }
} as const
const state = computed(() => STATE[props.condition.state])
/** What else gets past it, beside the bench that settles it. */
const ways = computed(() => (props.condition.state === 'met' ? [] : (props.condition.waysOut ?? [])))
const way = computed(() => (props.condition.state !== 'met' && props.condition.settle ? addressOf(props.condition.settle) : undefined))
</script>

<template>
  <li :class="condition.state">
    <span class="mark"><UIcon :name="state.icon" :aria-label="state.word" /></span>
    <span>
      {{ f.degrees(sayCondition(condition)) }}
      <b v-if="hard && condition.state !== 'met'" class="stop">Stop here.</b>
      <span v-if="condition.at" class="soft small block">seen {{ sayWhen(condition.at, now) }}</span>
      <WaysOut v-if="ways.length" class="mt-2" :finding="{ key: `condition:${condition.code}`, lotId, waysOut: ways }" />
    </span>
    <UButton v-if="way" :to="way" variant="outline" size="lg">{{ settleLabel(condition) }}</UButton>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 6px 14px;
  align-items: center;
  padding: 10px 0;
  border-top: 1.5px solid var(--line);
}
.mark {
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
  border-radius: 50%;
  border: 1.5px solid currentColor;
}
.met .mark {
  color: var(--good);
}
.not-met .mark {
  color: var(--stop);
}
.unknown .mark {
  color: var(--caution);
  border-style: dashed;
}
.stop {
  color: var(--stop);
}
@media (max-width: 560px) {
  li {
    grid-template-columns: 34px minmax(0, 1fr);
  }
  li > :nth-child(3) {
    grid-column: 2;
    justify-self: start;
  }
}
</style>
