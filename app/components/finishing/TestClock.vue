<script setup lang="ts">
import type { ProtocolStep } from '~~/core/finishing'
import type { TestUnderWay } from '~~/core/stages'
import { hoursWords } from '~/wording/crush'
import { TEST_STEP_WORDS } from '~/wording/stability'
import { useFormat } from '~/composables/useFormat'

/** The steps of a test as lengths of time, and where its sample is now. */
const props = defineProps<{ steps: readonly ProtocolStep[], running?: TestUnderWay | undefined }>()
const f = useFormat()
const stateOf = (i: number) =>
  !props.running ? 'to-come' : i < props.running.index ? 'over' : i === props.running.index ? 'now' : 'to-come'
const gone = (i: number, hours: number) =>
  stateOf(i) === 'over' ? 100 : stateOf(i) === 'now' ? Math.min(100, (props.running!.inH / hours) * 100) : 0
</script>

<template>
  <ol class="grid gap-3">
    <li v-for="(s, i) in steps" :key="s.code" :class="stateOf(i)">
      <span class="figure long">{{ hoursWords(s.hours) }}</span>
      <span>
        {{ f.degrees(TEST_STEP_WORDS[s.code].does.replace('-', '−')) }}
        <b v-if="stateOf(i) === 'now'" class="block">{{ hoursWords(Math.max(0, running!.leftH)) }} to go</b>
        <span v-else-if="stateOf(i) === 'over'" class="soft small block">over</span>
      </span>
      <span class="track" role="img" :aria-label="`${Math.round(gone(i, s.hours))} % gone`"
      ><span :style="{ width: `${gone(i, s.hours)}%` }"
      /></span>
    </li>
  </ol>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(5.5rem, auto) minmax(0, 1fr);
  gap: 2px 16px;
  align-items: baseline;
}
.long {
  font-size: 1.8rem;
  line-height: 1.1;
}
.over .long {
  color: var(--ink-soft);
}
.track {
  grid-column: 1 / -1;
  height: 12px;
  border-radius: 6px;
  background: var(--line);
  overflow: hidden;
}
.track span {
  display: block;
  height: 100%;
  background: var(--skin);
}
</style>
