<script setup lang="ts">
import type { Said } from '~/composables/useFloor'
import { counted } from '~/wording/count'
import { useEnding } from '~/composables/useEnding'

/** One thing worth knowing, with the way to act on it and the way to leave it. */
const props = defineProps<{
  said: Said
  lot?: string | undefined
  /** How much else is wrong with the lot, and the page that shows it. */
  more?: { count: number, to: string } | undefined
}>()
const emit = defineEmits<{ entry: [id: string] }>()
const { end, did } = useEnding()
const route = useRoute()
/** On the lot's own page the link to it leads nowhere; the entry it is based on is there. */
const here = computed(() => props.said.to === route.path)
const restsOn = computed(() => (here.value ? props.said.finding.evidence.at(-1) : undefined))
const COLOUR = { stop: 'error', now: 'error', soon: 'warning', wait: 'neutral', note: 'neutral' } as const
const colour = computed(() => COLOUR[props.said.finding.urgency])
</script>

<template>
  <UAlert :color="colour" variant="soft" :icon="colour === 'neutral' ? 'i-lucide-info' : 'i-lucide-circle-alert'">
    <template #description>
      <p>
        <b>{{ lot ? `${lot}: ` : '' }}{{ said.words.title }}{{ /[?!]$/.test(said.words.title) ? '' : '.' }}</b>
        {{ ' ' }}<TermText :text="said.words.reason" />
      </p>
      <WaysOut v-if="said.finding.waysOut?.length" class="my-2" :finding="said.finding" :of="lot" />
      <p class="flex flex-wrap items-center gap-x-4">
        <UButton v-if="said.finding.logs?.length && said.words.did" class="my-1" @click="did(said)">{{ said.words.did }}</UButton>
        <UButton v-if="restsOn" variant="link" class="px-0" @click="emit('entry', restsOn)">See the entry</UButton>
        <UButton v-else-if="said.to && said.words.action && !here" :to="said.to" variant="link" class="px-0">
          {{ said.words.action }}
        </UButton>
        <UButton
          variant="link"
          color="neutral"
          class="px-0 text-(--ink)"
          :aria-label="`Dismiss: ${said.words.title}`"
          @click="end(said, 'seen')"
        >
          Dismiss
        </UButton>
        <UButton v-if="more" :to="more.to" variant="link" color="neutral" class="px-0 text-(--ink)">
          {{ counted(more.count, 'thing') }} more
        </UButton>
      </p>
    </template>
  </UAlert>
</template>
