<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import type { Said } from '~/composables/useFloor'

/** One thing to do: what, why, the way to it, and the ways round it. What waits or rests has its words alone, and no number. */
const props = defineProps<{ lot: LotView, said: Said | Pick<Said, 'words'>, number?: number | undefined }>()
const { end } = useEnding()
/** The menu is large, and comes when it is first asked for. */
const asked = ref(false)
const otherwise = computed(() => `Otherwise: ${props.said.words.title}, ${props.lot.name}`)
const task = computed(() => (props.number !== undefined && 'finding' in props.said ? props.said : undefined))
/** A decision is answered here. Where there is one thing to do, the ways round it are in the menu. */
const decides = computed(() => (task.value?.finding.waysOut?.length ?? 0) > 0)
</script>

<template>
  <li class="task" :class="{ rest: !task }">
    <span class="ball figure" :class="{ hollow: !task }" aria-hidden="true">{{ number }}</span>
    <div class="what">
      <NuxtLink :to="`/lots/${lot.id}`" class="lot">{{ lot.name }}</NuxtLink>
      <h2>{{ said.words.title }}</h2>
      <p class="soft">
        <TermText :text="said.words.reason" /><template v-if="task?.finding.minutes && !decides">
          About {{ task.finding.minutes }} minutes.</template>
      </p>
      <WaysOut v-if="task && decides" class="mt-2" :finding="task.finding" :of="lot.name" />
    </div>
    <span v-if="task" class="acts">
      <UButton v-if="!decides && task.to && task.words.action" :to="task.to" :aria-label="`${task.words.action}: ${lot.name}`" size="lg">{{
        task.words.action
      }}</UButton>
      <span class="flex">
        <UButton variant="ghost" color="neutral" :aria-label="`Not today: ${task.words.title}, ${lot.name}`" @click="end(task, 'skipped')">
          Not today
        </UButton>
        <LazyTaskMenu v-if="asked" :said="task" :label="otherwise" />
        <UButton
          v-else
          variant="ghost"
          color="neutral"
          icon="i-lucide-ellipsis"
          class="px-2.5"
          aria-haspopup="menu"
          :aria-label="otherwise"
          @click="asked = true"
        />
      </span>
    </span>
  </li>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: center;
  padding: 14px 0;
  border-top: 1.5px solid var(--line);
}
.acts {
  display: grid;
  justify-items: center;
}
.lot {
  font-weight: 600;
  color: var(--ink-soft);
}
.lot:hover {
  text-decoration: underline;
}
.rest h2 {
  font-weight: 500;
  font-size: 1.1rem;
}
@media (max-width: 560px) {
  .task {
    grid-template-columns: 34px minmax(0, 1fr);
  }
  .acts {
    grid-column: 2;
    justify-self: start;
    margin-top: 6px;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
}
</style>
