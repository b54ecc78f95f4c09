<script setup lang="ts">
import { sayMinutes, counted } from '~/wording/count'
import { type SittingCode, sittingsOf } from '~~/core/way'
import { SITTING } from '~/wording/way'
import { useFloor } from '~/composables/useFloor'

/** What is to be done now, gathered into what is done in one go; a tap shows the tasks of one of them. */
const chosen = defineModel<SittingCode | undefined>({ required: true })
const floor = useFloor()
/** Fewer are a list by themselves. */
const FROM_TASKS = 4
const sittings = computed(() => {
  const due = floor.items.value.flatMap((item) => item.tasks.map((t) => t.finding)).filter((t) => t.urgency !== 'wait')
  return due.length < FROM_TASKS ? [] : sittingsOf(due)
})
const choose = (code: SittingCode) => (chosen.value = chosen.value === code ? undefined : code)
</script>

<template>
  <section v-if="sittings.length > 1" class="sittings" aria-label="Jobs to do together">
    <ScrollRow>
      <ul>
        <li v-for="s in sittings" :key="s.code">
          <UButton
            :variant="chosen === s.code ? 'solid' : 'outline'"
            :color="chosen === s.code ? 'primary' : 'neutral'"
            :aria-pressed="chosen === s.code"
            @click="choose(s.code)"
          >
            <b>{{ SITTING[s.code] }}</b>
            <span class="small">{{ counted(s.lotIds.length, 'lot') }}, {{ sayMinutes(s.minutes) }}</span>
          </UButton>
        </li>
      </ul>
    </ScrollRow>
  </section>
</template>

<style scoped>
.sittings {
  margin-bottom: 8px;
}
ul {
  display: flex;
  gap: 8px;
  padding: 4px 0;
  white-space: nowrap;
}
</style>
