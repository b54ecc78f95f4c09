<script setup lang="ts">
import type { LotView } from '~~/core/ledger'
import type { Said } from '~/composables/useFloor'
import { counted } from '~/wording/count'
import { useEnding } from '~/composables/useEnding'

/**
 * One thing to do in one row: what, why, the way to it, and what is wrong with the same lot. What waits or rests has its words alone, and
 * no number.
 */
const props = defineProps<{
  lot: LotView
  said: Said | Pick<Said, 'words'>
  number?: number | undefined
  /** One of many: a line of its reason is enough. */
  compact?: boolean
  /** The worst that is wrong with the lot, and how much else. */
  alert?: { said: Said, more: number } | undefined
}>()
const { end, did } = useEnding()
/** The menu is large, and comes when it is first asked for. */
const asked = ref(false)
const otherwise = computed(() => `Otherwise: ${props.said.words.title}, ${props.lot.name}`)
const task = computed(() => (props.number !== undefined && 'finding' in props.said ? props.said : undefined))
/** A decision is answered here. Where there is one thing to do, the ways round it are in the menu. */
const decides = computed(() => (task.value?.finding.waysOut?.length ?? 0) > 0)
/** Done just as it says: one tap. */
const oneTap = computed(() => (task.value?.finding.logs?.length ? task.value.words.did : undefined))
const minutes = computed(() => (task.value && !decides.value ? task.value.finding.minutes : undefined))
</script>

<template>
  <li class="task" :class="{ rest: !task }">
    <span class="ball figure" :class="{ hollow: !task }" aria-hidden="true">{{ number }}</span>
    <div class="what">
      <h2>
        <NuxtLink :to="`/lots/${lot.id}`" class="lot">{{ lot.name }}</NuxtLink>
        <span>{{ said.words.title }}</span>
      </h2>
      <p class="soft why" :class="{ one: compact && !decides }" :title="said.words.reason">
        <template v-if="minutes">{{ minutes }} min. </template><TermText :text="said.words.reason" />
      </p>
      <WaysOut v-if="task && decides" class="mt-1" :finding="task.finding" :of="lot.name" />
    </div>
    <span v-if="task" class="acts">
      <UButton v-if="!decides && oneTap" :aria-label="`${oneTap}: ${lot.name}`" @click="did(task)">{{ oneTap }}</UButton>
      <UButton
        v-if="!decides && task.to && task.words.action"
        :to="task.to"
        :variant="oneTap ? 'outline' : 'solid'"
        :class="{ second: oneTap }"
        :aria-label="`${task.words.action}: ${lot.name}`"
      >{{ task.words.action }}</UButton>
      <UButton
        variant="ghost"
        color="neutral"
        class="px-2"
        :aria-label="`Not today: ${task.words.title}, ${lot.name}`"
        @click="end(task, 'skipped')"
      >Not today</UButton>
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
    <p v-if="alert" class="alert" :class="{ brief: compact }">
      <NuxtLink :to="`/lots/${lot.id}`" :title="alert.said.words.reason" class="wrong">
        <UIcon name="i-lucide-circle-alert" /> {{ alert.said.words.title }}
      </NuxtLink>
      <button
        v-if="alert.said.finding.logs?.length && alert.said.words.did"
        type="button"
        class="textlink"
        :aria-label="`${alert.said.words.did}: ${lot.name}`"
        @click="did(alert.said)"
      >{{ alert.said.words.did }}</button>
      <NuxtLink v-if="alert.said.to && alert.said.words.action" :to="alert.said.to" class="textlink">{{
        alert.said.words.action
      }}</NuxtLink>
      <button type="button" class="textlink" :aria-label="`Dismiss: ${alert.said.words.title}`" @click="end(alert.said, 'seen')">
        Dismiss
      </button>
      <NuxtLink v-if="alert.more" :to="`/lots/${lot.id}`" class="textlink">{{ counted(alert.more, 'thing') }} more</NuxtLink>
    </p>
  </li>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) auto;
  gap: 2px 14px;
  align-items: center;
  padding: 7px 0;
  border-top: 1.5px solid var(--line);
}
.ball {
  width: 30px;
  height: 30px;
}
h2 {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  font-size: 1.12rem;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.lot {
  font-family: var(--font-sans);
  font-weight: 600;
  color: var(--ink-soft);
}
.lot:hover {
  text-decoration: underline;
}
/* The lot's page has all of it. A decision is read before it is made. */
.one {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 1;
  overflow: hidden;
}
.why {
  line-height: 1.35;
}
.alert {
  grid-column: 2 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 12px;
  color: var(--stop);
}
.wrong {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-weight: 700;
}
.wrong:hover {
  text-decoration: underline;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  align-items: center;
  gap: 2px 6px;
}
.rest h2 {
  font-weight: 500;
  font-size: 1.05rem;
}
@media (max-width: 560px) {
  .task {
    grid-template-columns: 30px minmax(0, 1fr);
    gap: 1px 10px;
    padding: 4px 0;
  }
  h2 {
    font-size: 1.05rem;
    line-height: 1.15;
    margin-bottom: 2px;
  }
  .acts {
    grid-column: 2;
    justify-self: start;
    justify-content: flex-start;
  }
  /* It is in the menu as well. */
  .second {
    display: none;
  }
  .one {
    display: none;
  }
  .alert .textlink,
  .wrong {
    display: inline-flex;
    align-items: center;
    min-height: 36px;
  }
  /* The lot's page begins with it, and with what can be done. */
  .brief .textlink {
    display: none;
  }
}
</style>
