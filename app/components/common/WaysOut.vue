<script setup lang="ts">
import type { Finding } from '~~/core/findings'
import { WAY_OUT } from '~/wording/ways-out'
import { useAnswer } from '~/composables/useAnswer'

/** The answers to a decision, or the ways round a task: each a button, with what follows from it. */
const props = defineProps<{
  finding: Pick<Finding, 'key' | 'lotId' | 'waysOut' | 'waysRound'>
  /** Added to each label where a page shows several wines. */
  of?: string | undefined
  /** What follows, below each. */
  hints?: boolean
}>()
const { saving, leadsTo, answer } = useAnswer()
const ways = computed(() =>
  (props.finding.waysOut ?? props.finding.waysRound ?? []).map((way) => ({ way, to: leadsTo(way), ...WAY_OUT[way.code] })))
</script>

<template>
  <ul class="answers" :class="{ told: hints }">
    <li v-for="{ way, to, label, hint } in ways" :key="way.code">
      <UButton
        v-if="to"
        :to="to"
        variant="outline"
        size="lg"
        trailing-icon="i-lucide-arrow-right"
        :aria-label="of ? `${label}: ${of}` : label"
      >{{ label }}</UButton>
      <UButton
        v-else
        variant="outline"
        size="lg"
        :loading="saving"
        :aria-label="of ? `${label}: ${of}` : label"
        @click="answer(finding, way)"
      >{{ label }}</UButton>
      <span v-if="hints && hint" class="soft small">{{ hint }}</span>
    </li>
  </ul>
</template>

<style scoped>
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.answers.told {
  display: grid;
  gap: 12px;
}
.told li {
  display: grid;
  gap: 2px;
  justify-items: start;
}
</style>
