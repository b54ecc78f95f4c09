<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import type { Said } from '~/composables/useFloor'

/** One thing to do: what, why, the way to it, and the ways round it. */
const props = defineProps<{ lot: LotView, said: Said, number?: number | undefined }>()
const { end } = useEnding()
/** The menu is large, and comes when it is first asked for. */
const asked = ref(false)
const otherwise = computed(() => `Otherwise: ${props.said.words.title}, ${props.lot.name}`)
const minutes = computed(() => props.said.finding.minutes)
</script>

<template>
  <li class="task" :class="{ rest: number === undefined }">
    <span class="ball figure" :class="{ hollow: number === undefined }" aria-hidden="true">{{ number }}</span>
    <div class="what">
      <NuxtLink :to="`/lots/${lot.id}`" class="lot">{{ lot.name }}</NuxtLink>
      <h2>{{ said.words.title }}</h2>
      <p class="soft">
        <TermText :text="said.words.reason" /><template v-if="minutes && number !== undefined"> About {{ minutes }} minutes.</template>
      </p>
    </div>
    <span v-if="number !== undefined" class="acts">
      <UButton v-if="said.to && said.words.action" :to="said.to" :aria-label="`${said.words.action}: ${lot.name}`" size="lg">{{
        said.words.action
      }}</UButton>
      <span class="flex">
        <UButton variant="ghost" color="neutral" :aria-label="`Not today: ${said.words.title}, ${lot.name}`" @click="end(said, 'skipped')">
          Not today
        </UButton>
        <LazyTaskMenu v-if="asked" :said="said" :label="otherwise" />
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
