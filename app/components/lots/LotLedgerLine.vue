<script setup lang="ts">
import type { Fact, LotView, StandingFact } from '~~/core/ledger'

/** A line of a lot's ledger: when, what, what it said before, and the ways to put it right. */
const props = defineProps<{
  id: string
  at: string
  when: string
  text: string
  standing: StandingFact
  /** What it said before it was corrected, oldest first, a line each. */
  before: string
  /** Its lot, while the entry is being corrected; what is corrected is the entry as it was when that began. */
  lot?: LotView | undefined
}>()
const emit = defineEmits<{ open: [fact: Fact], strike: [id: string], bringBack: [fact: Fact], corrected: [] }>()
const fact = computed(() => props.standing.fact)
const photo = computed(() => (fact.value.type === 'observation' && !props.standing.struck ? fact.value.photo : undefined))
</script>

<template>
  <li :id="`entry-${id}`" tabindex="-1" :class="{ struck: standing.struck }">
    <time :datetime="at" class="soft small">{{ when }}</time>
    <span class="text">
      <s v-if="standing.struck">{{ text }}</s
      ><template v-else>{{ text }}</template>
      <template v-if="before">
        <span v-for="(words, i) in before.split('\n')" :key="i" class="version small">{{ words }}</span>
      </template>
    </span>
    <img v-if="photo" :src="photo" :alt="`Picture: ${text}`" class="photo" />
    <span v-if="standing.struck" class="acts"
    ><span class="small soft">deleted</span
    ><UButton variant="ghost" color="neutral" :aria-label="`Restore: ${text}`" @click="emit('bringBack', fact)"
    >Restore</UButton
    ></span
    >
    <span v-else class="acts">
      <UButton
        variant="ghost"
        color="neutral"
        :aria-label="`Correct: ${text}`"
        :aria-expanded="lot !== undefined"
        @click="emit('open', fact)"
      >Correct</UButton
      >
      <UButton
        v-if="fact.type !== 'lot-started'"
        variant="ghost"
        color="neutral"
        :aria-label="`Delete: ${text}`"
        @click="emit('strike', id)"
      >Delete</UButton
      >
    </span>
    <EntryForm
      v-if="lot"
      :type="fact.type"
      :lot="lot"
      :fact="fact"
      send="Save changes"
      class="form sheet"
      @done="emit('corrected')"
      @leave="emit('open', fact)"
    />
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 9.5rem minmax(0, 1fr) auto;
  gap: 2px 16px;
  align-items: center;
  border-top: 1.5px solid var(--line);
  min-height: 46px;
  padding: 4px 0;
}
.text {
  overflow-wrap: anywhere;
}
.photo {
  grid-column: 2;
  grid-row: 2;
  max-height: 180px;
  border-radius: 10px;
  margin: 4px 0 8px;
}
.version {
  display: block;
  color: var(--ink-soft);
}
.struck .text {
  color: var(--ink-soft);
}
.form {
  grid-column: 1 / -1;
  margin: 4px 0 10px;
  padding: 14px 16px 16px;
}
@media (max-width: 560px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  time {
    grid-column: 1 / -1;
    padding-top: 6px;
  }
  .acts {
    display: grid;
  }
}
</style>
